import { PLAN_VERSION, readPlan, type Plan } from '@zesty/core'
import type { Fault, Outcome } from '@zesty/core/rules'
import { Problem } from '../problems/problem'

const isCurrent = (plan: unknown): plan is Plan =>
  typeof plan === 'object' && plan !== null && 'schemaVersion' in plan && plan.schemaVersion === PLAN_VERSION

/** Only validated plans are stored, so one of this release's version is what it says; older ones are upgraded. */
export const readStored = (plan: unknown): Outcome<Plan> =>
  isCurrent(plan) ? { ok: true, value: plan } : readPlan(plan)

/** What is wrong with a stored plan that says it is of this release and yet cannot be judged: it was changed by other hands. */
export function faultsOfStored(plan: unknown): Fault[] {
  const read = readPlan(plan)
  return read.ok ? [] : read.faults
}

export const saysUnreadable = ([first]: readonly Fault[]): string =>
  `The stored plan cannot be read by this release${first ? `: ${first.field} ${first.message}` : ''}.`

/** A plan that cannot be brought up to date is told so, and can still be had as it is stored. */
export const unreadable = (faults: Fault[]): Problem =>
  new Problem(422, `${saysUnreadable(faults)} It can be exported as it is stored.`, { title: 'Cannot be read', faults })

/** What a plan that cannot be read calls its machine, if it does. */
export const nameOf = (plan: unknown): string => {
  const name: unknown = typeof plan === 'object' && plan !== null ? Reflect.get(plan, 'name') : undefined
  return typeof name === 'string' && name !== '' ? name : 'A machine without a name'
}
