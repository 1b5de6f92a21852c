import type { Plan } from '@zesty/core'
import type { Measured } from '@zesty/core/measurements'
import { runInOf, type RunIn } from '@zesty/core/run-in'
import { useMeasured, usePlan } from '../state/openPlan'

const made = new WeakMap<Plan, { measured: Measured; runIn: RunIn }>()

/** The run-in of the open plan, made once for all that shows it, and anew when the plan or its readings change. */
export function useRunIn(): RunIn {
  const plan = usePlan()
  const measured = useMeasured()
  const known = made.get(plan)
  if (known?.measured === measured) return known.runIn
  const runIn = runInOf(plan, measured)
  made.set(plan, { measured, runIn })
  return runIn
}
