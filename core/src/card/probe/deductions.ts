import type { Patch, Plan } from '../../plan'
import type { Deduction } from './deduction'
import { knob } from './knob'
import { listening } from './listening'
import type { Answers } from './narrow'
import { ramps } from './ramps'

const holds = (plan: Plan, patch: Patch): boolean =>
  patch.every(({ path, value }) => {
    const at = path.split('.').reduce<unknown>((o, key) => (o as Record<string, unknown> | undefined)?.[key], plan)
    return JSON.stringify(at) === JSON.stringify(value)
  })

/** What the tests made so far tell of the drive. */
export const deductions = (plan: Plan, answers: Answers): Deduction[] =>
  [...listening(answers), ...knob(plan, answers), ...ramps(plan, answers)].map((made) => ({
    ...made,
    known: made.known || holds(plan, made.patch),
  }))
