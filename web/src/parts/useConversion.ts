import type { Conversion } from '@zesty/core'
import { useMeasured, usePlan } from '../state/openPlan'
import { useAwaitedJudge } from './useAwaitedJudge'

/** The conversion of the open plan: the same one for everything on the page. Who asks before it is there waits for it. */
export function useConversion(): Conversion {
  const plan = usePlan()
  const measured = useMeasured()
  const { judge } = useAwaitedJudge(false)
  if (!judge) throw new Error('awaited, and not there')
  return judge(plan, measured)
}
