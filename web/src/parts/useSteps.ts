import { firstLinesOf } from '@zesty/core/settings'
import { stepsOf, type BuildStep, type Wiring } from '@zesty/core/wiring'
import { useMemo } from 'react'
import { useCard } from './useCard'
import { usePlan } from '../state/openPlan'

/** The steps of the build, with the lines of the card that a first spin wants. */
export function useSteps(wiring: Wiring): BuildStep[] {
  const plan = usePlan()
  const card = useCard()
  return useMemo(() => stepsOf(plan, wiring, firstLinesOf(card)), [plan, wiring, card])
}
