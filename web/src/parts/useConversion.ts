import type { Conversion } from '@zesty/core'
import { judge } from '../state/judge'
import { useMeasured, usePlan } from '../state/openPlan'

/** The conversion of the open plan: the same one for everything on the page. Whoever uses it brings what judges along. */
export const useConversion = (): Conversion => judge(usePlan(), useMeasured())
