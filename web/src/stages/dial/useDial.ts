import type { Plan } from '@zesty/core'
import { dialOf, type DialPosition } from '@zesty/core/dial'
import type { Measured } from '@zesty/core/measurements'
import { useMeasured, usePlan } from '../../state/openPlan'

const made = new WeakMap<Plan, { measured: Measured; dial: DialPosition[] }>()

/** What the dial gives on each position, made once for all that shows it. */
export function useDial(): DialPosition[] {
  const plan = usePlan()
  const measured = useMeasured()
  const known = made.get(plan)
  if (known?.measured === measured) return known.dial
  const dial = dialOf(plan, measured)
  made.set(plan, { measured, dial })
  return dial
}
