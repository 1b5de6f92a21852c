import { steps, type BuildStep } from '@zesty/core/wiring'
import { useConversion } from './useConversion'

/** The steps of the build, with the lines of the card that a first spin wants. */
export const useSteps = (): BuildStep[] => useConversion().of(steps)
