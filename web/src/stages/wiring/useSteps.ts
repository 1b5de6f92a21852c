import { cardOf } from '@zesty/core/settings'
import { stepsOf, type BuildStep, type Wiring } from '@zesty/core/wiring'
import { useMemo } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'

/** The steps of the build, with the lines of the card that a first spin wants. */
export function useSteps(wiring: Wiring): BuildStep[] {
  const plan = usePlan()
  const { settings } = useEvaluation()
  return useMemo(() => {
    const { lines, first } = cardOf(plan, settings)
    const firstLines = lines
      .slice(0, first)
      .map(({ code, words, value }) => (code === undefined ? `${words}: ${value}` : `${code} = ${value}, ${words}`))
    return stepsOf(plan, wiring, firstLines)
  }, [plan, wiring, settings])
}
