import { runIn, type RunIn } from '@zesty/core/run-in'
import { useConversion } from './useConversion'

/** The run-in of the open plan. */
export const useRunIn = (): RunIn => useConversion().of(runIn)
