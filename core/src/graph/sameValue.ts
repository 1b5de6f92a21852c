// At hand, not looked up: these run thousands of times at every key.
const { is, getPrototypeOf, prototype } = Object
const { isArray } = Array

/** Whether an object is a plain record: one that is compared, and watched, key by key. */
export const isRecord = (value: unknown): value is Record<string, unknown> => {
  if (typeof value !== 'object' || value === null) return false
  const proto: unknown = getPrototypeOf(value)
  return proto === prototype || proto === null
}

/**
 * Whether two values say the same: numbers, texts, lists, sets, maps and plain records by what is in them, anything
 * else (a function, an instance of a class) only where it is the same thing.
 *
 * @example sameValue({ a: [1] }, { a: [1] }) // true
 */
export function sameValue(a: unknown, b: unknown): boolean {
  if (is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (isArray(a)) {
    if (!isArray(b) || a.length !== b.length) return false
    for (let i = 0; i < a.length; i += 1) if (!sameValue(a[i], b[i])) return false
    return true
  }
  if (a instanceof Set) return b instanceof Set && a.size === b.size && [...a].every((one) => b.has(one))
  if (a instanceof Map)
    return (
      b instanceof Map && a.size === b.size && [...a].every(([key, one]) => b.has(key) && sameValue(one, b.get(key)))
    )
  return isRecord(a) && isRecord(b) && sameRecord(a, b)
}

function sameRecord(a: Record<string, unknown>, b: Record<string, unknown>): boolean {
  let keys = 0
  for (const key in a) {
    if (!sameValue(a[key], b[key])) return false
    keys += 1
  }
  for (const key in b) {
    if (!(key in a)) return false
    keys -= 1
  }
  return keys === 0
}

/**
 * The new value, with the old one in place of everything in it that says the same: itself, or its keys or items. Who
 * compares by identity then sees what did not change. Neither value is written to.
 */
export function keepSame<T>(old: unknown, next: T): T {
  if (sameValue(old, next)) return old as T
  if (isArray(old) && isArray(next))
    return (next as unknown[]).map((item, i) => (sameValue(old[i], item) ? (old[i] as unknown) : item)) as T
  if (!isRecord(old) || !isRecord(next)) return next
  const kept: Record<string, unknown> = {}
  for (const key in next) kept[key] = sameValue(old[key], next[key]) ? old[key] : next[key]
  return kept as T
}
