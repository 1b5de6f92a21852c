import { runIn, type RunIn } from '@zesty/core/run-in'
import { useKnown } from './useKnown'

/** The run-in of the open plan. */
export const useRunIn = (): RunIn => useKnown().of(runIn)
