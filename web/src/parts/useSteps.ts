import { steps, type BuildStep } from '@zesty/core/wiring'
import { useKnown } from './useKnown'

/** The steps of the build, with the lines of the card that a first spin wants. */
export const useSteps = (): BuildStep[] => useKnown().of(steps)
