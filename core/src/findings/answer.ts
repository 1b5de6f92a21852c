import { isKnown, type Blocked, type Figure, type FigureState } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import type { PlanPath } from '../plan'
import type { Message } from '../quantities'

/** All is well, and the number that shows it. */
export interface Good {
  good: Message
  about?: string | undefined
  figures?: FigureId[] | undefined
}

/** Not a question here, and why. */
export interface DoesNotApply {
  doesNotApply: string
  about?: string | undefined
}

/** What is missing before it can be said; or which table or rule ended, and where. */
export interface CannotBeJudged {
  missing: PlanPath[]
  ended?: string | undefined
  about?: string | undefined
}

/** All is well, by this. */
export const good = (says: Message, of: Omit<Good, 'good'> = {}): Good => ({ good: says, ...of })

/** There is nothing here to judge. */
export const doesNotApply = (why: string, about?: string): DoesNotApply => ({ doesNotApply: why, about })

/** These must be known first. */
export const lacks = (...missing: PlanPath[]): CannotBeJudged => ({ missing })

/** A table or a rule ends before it. */
export const ended = (where: string, about?: string): CannotBeJudged => ({ missing: [], ended: where, about })

/** A field of the plan that is needed as it was typed. */
export interface Typed<T> {
  path: PlanPath
  typed: T | undefined
}

export const typed = <T>(path: PlanPath, value: T | undefined): Typed<T> => ({ path, typed: value })

type Reading = FigureState | Typed<unknown>
type ValueOf<R> = R extends Figure | Blocked ? number : R extends Typed<infer T> ? NonNullable<T> : never

/** What those of these that are not known wait for; or the rule that refused where nothing is missing. */
export function waitsFor(...readings: readonly Reading[]): CannotBeJudged {
  const waits = lacks()
  for (const reading of readings) {
    if ('typed' in reading) {
      if (reading.typed === undefined) waits.missing.push(reading.path)
    } else if (!isKnown(reading)) {
      for (const path of reading.missing) if (!waits.missing.includes(path)) waits.missing.push(path)
      if (reading.missing.length === 0) waits.ended ??= reading.refusal ?? `${reading.label} is not known`
    }
  }
  return waits
}

/**
 * The values of all these, or what stands in the way of the first that lack one.
 *
 *     const known = need(drive.inputA, supply.breakerA)
 *     if (isUnjudged(known)) return known
 *     const [inputA, breakerA] = known
 */
export function need<const R extends readonly Reading[]>(
  ...readings: R
): { [K in keyof R]: ValueOf<R[K]> } | CannotBeJudged {
  const values: unknown[] = []
  for (const reading of readings) {
    const value = 'typed' in reading ? reading.typed : isKnown(reading) ? reading.value : undefined
    if (value === undefined) return waitsFor(...readings)
    values.push(value)
  }
  return values as { [K in keyof R]: ValueOf<R[K]> }
}

/** Whether something stood in the way. */
export const isUnjudged = (known: readonly unknown[] | CannotBeJudged): known is CannotBeJudged => !Array.isArray(known)
