import { cardOf, type Card } from '@zesty/core/settings'
import { useMemo } from 'react'
import { usePlan } from '../../state/openPlan'
import { useEvaluation } from '../../state/evaluation'

/** The card of the open plan; made anew when the plan or what it comes to changes. */
export function useCard(): Card {
  const plan = usePlan()
  const { settings } = useEvaluation()
  return useMemo(() => cardOf(plan, settings), [plan, settings])
}
