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
 * The new value, with the old one in place of what in it says the same: itself, or its keys or items. Who compares by
 * identity then sees what did not change. Neither value is written to. Each is gone through once, and not deeper: what is
 * gained by keeping parts of parts is less than what it costs to make them anew.
 */
export function keepSame<T>(old: unknown, next: T): T {
  if (is(old, next)) return next
  if (typeof old !== 'object' || typeof next !== 'object' || old === null || next === null) return next
  if (isArray(next)) return (isArray(old) ? keepSameList(old, next) : next) as T
  if (isRecord(next)) return (isRecord(old) ? keepSameRecord(old, next) : next) as T
  return sameValue(old, next) ? (old as T) : next
}

/** What is made anew is made at the first difference: most of what is held against each other is the same. */
function keepSameList(old: readonly unknown[], next: readonly unknown[]): readonly unknown[] {
  let kept: unknown[] | undefined
  for (let i = 0; i < next.length; i += 1) {
    const one = sameValue(old[i], next[i]) ? old[i] : next[i]
    if (kept === undefined && (i >= old.length || !is(one, old[i]))) kept = old.slice(0, i)
    kept?.push(one)
  }
  return kept ?? (old.length === next.length ? old : old.slice(0, next.length))
}

function keepSameRecord(old: Record<string, unknown>, next: Record<string, unknown>): Record<string, unknown> {
  let kept: Record<string, unknown> | undefined
  for (const key in next) {
    const one = sameValue(old[key], next[key]) ? old[key] : next[key]
    if (kept === undefined && (!is(one, old[key]) || !(key in old))) kept = firstKeys(next, old, key)
    if (kept) kept[key] = one
  }
  if (kept) return kept
  for (const key in old) if (!(key in next)) return firstKeys(next, old)
  return old
}

/** The keys of one record before another key, or all, with what stands under them in the old one. */
function firstKeys(next: Record<string, unknown>, old: Record<string, unknown>, before?: string) {
  const kept: Record<string, unknown> = {}
  for (const key in next) {
    if (key === before) break
    kept[key] = old[key]
  }
  return kept
}
