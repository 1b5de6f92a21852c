import type { Plan } from './plan'
import { readPlan } from './upgrade'

/** Two sides changed one thing, each to something else. */
class Clash extends Error {}

type Item = { id: string }

/**
 * Both sides' changes to a plan that they began from, where they changed different things: each field, and of lists each
 * item by its id. Undefined where both changed the same, or where the two together are no plan.
 *
 * @example mergePlans(emptyPlan('Lathe'), emptyPlan('Lathe'), emptyPlan('Mill'))?.name // 'Mill'
 */
export function mergePlans(base: Plan, mine: Plan, theirs: Plan): Plan | undefined {
  try {
    const read = readPlan(merged(base, mine, theirs))
    return read.ok ? read.value : undefined
  } catch (error) {
    if (error instanceof Clash) return undefined
    throw error
  }
}

function merged(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (isSame(mine, theirs) || isSame(theirs, base)) return mine
  if (isSame(mine, base)) return theirs
  if (isItems(base) && isItems(mine) && isItems(theirs)) return mergedItems(base, mine, theirs)
  // What both sides began is begun by both.
  const from = base === undefined && isRecord(mine) && isRecord(theirs) ? {} : base
  if (!isRecord(from) || !isRecord(mine) || !isRecord(theirs)) throw new Clash()
  const keys = new Set([...Object.keys(from), ...Object.keys(mine), ...Object.keys(theirs)])
  const together: Record<string, unknown> = {}
  for (const key of keys) {
    const value = merged(from[key], mine[key], theirs[key])
    if (value !== undefined) together[key] = value
  }
  return together
}

/** Only one side may have added, removed or moved items; what the other changed within them comes along. */
function mergedItems(base: readonly Item[], mine: readonly Item[], theirs: readonly Item[]): unknown[] {
  const order = isSame(idsOf(theirs), idsOf(base)) ? mine : isSame(idsOf(mine), idsOf(base)) ? theirs : undefined
  if (!order) throw new Clash()
  const removed = base.filter(({ id }) => !order.some((item) => item.id === id))
  // One that is gone on one side and changed on the other is both sides' concern.
  for (const item of removed)
    for (const side of [mine, theirs]) {
      const there = byId(side, item.id)
      if (there && !isSame(there, item)) throw new Clash()
    }
  return order.map((item) => {
    const before = byId(base, item.id)
    return before ? merged(before, byId(mine, item.id), byId(theirs, item.id)) : item
  })
}

const idsOf = (items: readonly Item[]): string[] => items.map(({ id }) => id)
const byId = (items: readonly Item[], id: string): Item | undefined => items.find((item) => item.id === id)

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** A list whose items are told apart by their ids. */
const isItems = (value: unknown): value is Item[] =>
  Array.isArray(value) && value.every((item) => isRecord(item) && typeof item['id'] === 'string')
