import type { Patch } from '../../plan'
import type { Message } from '../../quantities'
import type { Answers } from './narrow'

/** What follows from the tests: in words, and as a change of what is known. */
export interface Deduction {
  id: string
  says: Message
  patch: Patch
  /** Whether the plan says so already. */
  known: boolean
}

/** A number as it was noted; nothing where none was. */
export const numberIn = (answers: Answers, id: string): number | undefined => {
  const text = answers[id]?.trim().replace(',', '.')
  const value = text === undefined || text === '' ? NaN : Number(/^-?\d+(\.\d+)?/.exec(text)?.[0] ?? NaN)
  return Number.isFinite(value) && value >= 0 ? value : undefined
}

/** What two numbers read by eye and by watch may differ by and still be one. */
export const BY_EYE = 0.08

/** Whether two readings by eye and watch may be one. */
export const byEyeAlike = (a: number, b: number): boolean =>
  Math.abs(a - b) <= BY_EYE * Math.max(Math.abs(a), Math.abs(b))
