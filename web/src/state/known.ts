import { known, type Known } from '@zesty/core/known'
import type { Plan } from '@zesty/core'
import type { Measured } from '@zesty/core/measurements'

let last: { plan: Plan; measured: Measured; made: Known } | undefined

/** What is known of the open plan: one for all that asks, going on from the one before. */
export function knownOf(plan: Plan, measured: Measured): Known {
  if (last?.plan !== plan || last.measured !== measured)
    last = { plan, measured, made: known(plan, { readings: measured, before: last?.made }) }
  return last.made
}
