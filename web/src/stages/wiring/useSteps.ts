import { printValue } from '@zesty/core'
import { stepsOf, type BuildStep, type Wiring } from '@zesty/core/wiring'
import { useMemo } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'

/** The steps of the build, with what each setting is to be. */
export function useSteps(wiring: Wiring): BuildStep[] {
  const plan = usePlan()
  const units = useUnits()
  const { settings } = useEvaluation()
  return useMemo(() => {
    const values = Object.fromEntries(
      settings.flatMap(({ id, value }) =>
        value === undefined ? [] : [[id, printValue(`settings.chosen.${id}`, value, units)]],
      ),
    )
    return stepsOf(plan, wiring, values)
  }, [plan, wiring, settings, units])
}
