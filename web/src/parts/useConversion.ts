import type { Conversion } from '@zesty/core'
import { use } from 'react'
import { judgeModule } from '../state/judging'
import { useMeasured, usePlan } from '../state/openPlan'
import { useAppSelector } from '../state/store'

/** The conversion of the open plan: the same one for everything on the page. Who asks before it is there waits for it. */
export function useConversion(): Conversion {
  const plan = usePlan()
  const measured = useMeasured()
  const judge = useAppSelector((state) => state.judging.judge)
  return (judge ?? use(judgeModule()).judge)(plan, measured)
}
