import type { Known } from '@zesty/core/known'
import { knownOf } from '../state/known'
import { useMeasured, usePlan } from '../state/openPlan'
import { useAppSelector } from '../state/store'

/**
 * What is known of the open plan: the page's conversion where what judges is there, else the facts alone, so that a stage
 * shows its own without waiting for it.
 */
export function useKnown(): Known {
  const plan = usePlan()
  const measured = useMeasured()
  const judge = useAppSelector((state) => state.judging.judge)
  return judge?.(plan, measured) ?? knownOf(plan, measured)
}
