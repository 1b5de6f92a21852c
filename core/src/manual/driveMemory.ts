import { isNumber, sameValue, writtenNumber } from './coding'
import type { Manual, ManualCode } from './manual'
import type { Entered } from './terminalsUnder'

/** A drive as it stands while somebody types: what it holds, what was entered since its reset, and what it is doing. */
export interface DriveMemory {
  held: Entered
  /** Codes that were entered since it was reset; what waits for one of them waits for this. */
  told: ReadonlySet<string>
  running: boolean
  /** A remote station is plugged in. */
  plugged: boolean
}

/** Why a drive does not take a value, and what it wants first. */
export type Refusal =
  | { why: 'no-such-code' }
  | { why: 'running' }
  | { why: 'plugged' }
  | { why: 'locked'; wants: { code: string; value: string } }
  | { why: 'order'; wants: { code: string } }
  | { why: 'gate'; wants: { code: string; value: string } }
  | { why: 'no-such-value'; allowed: string[] }
  | { why: 'range'; least?: number | undefined; most?: number | undefined; wants?: { code: string } }

const numberAt = (codes: ReadonlyMap<string, ManualCode>, held: Entered, name: string): number | undefined =>
  writtenNumber(codes.get(name), held[name])

const byNames = new WeakMap<Manual, ReadonlyMap<string, ManualCode>>()

/** The codes of a manual by their names, made once for each. */
export function codesByName(manual: Manual): ReadonlyMap<string, ManualCode> {
  const found = byNames.get(manual)
  if (found) return found
  const made = new Map(manual.codes.map((code) => [code.code, code]))
  byNames.set(manual, made)
  return made
}

/** Why a drive would refuse a value as it stands; undefined where it takes it. */
export function refusal(manual: Manual, memory: DriveMemory, name: string, value: string): Refusal | undefined {
  const codes = codesByName(manual)
  const code = codes.get(name)
  if (!code) return { why: 'no-such-code' }
  if (code.onlyUnplugged === true && memory.plugged) return { why: 'plugged' }
  if (code.onlyStopped === true && memory.running) return { why: 'running' }
  const { unlock } = manual
  if (code.locked === true && unlock && name !== unlock.code && memory.held[unlock.code] !== unlock.value)
    return { why: 'locked', wants: { code: unlock.code, value: unlock.value } }
  const before = code.after?.find((other) => !memory.told.has(other))
  if (before !== undefined) return { why: 'order', wants: { code: before } }
  const gate = code.onlyWhile
  if (gate && !sameValue(codes.get(gate.code), memory.held[gate.code] ?? '', gate.value))
    return { why: 'gate', wants: gate }
  return notAValue(code, value) ?? outside(codes, memory.held, code, value)
}

function notAValue(code: ManualCode, value: string): Refusal | undefined {
  if (code.digits) {
    const fits =
      value.length === code.digits.length &&
      code.digits.every((place, i) => place.values.some(({ digit }) => digit === value[i]))
    return fits ? undefined : { why: 'no-such-value', allowed: [] }
  }
  if (isNumber(code) || code.values.length === 0) return undefined
  return code.values.some((v) => sameValue(code, v.value, value))
    ? undefined
    : { why: 'no-such-value', allowed: code.values.map((v) => v.value) }
}

/** Past its own ends, or past those that other codes hold; or an end that another already passes. */
function outside(
  codes: ReadonlyMap<string, ManualCode>,
  held: Entered,
  code: ManualCode,
  value: string,
): Refusal | undefined {
  const number = writtenNumber(code, value)
  if (number === undefined) return undefined
  const { least, most, leastBy, mostBy } = code
  if (number < (least ?? -Infinity) || number > (most ?? Infinity)) return { why: 'range', least, most }
  const [low, high] = [leastBy, mostBy].map((name) => (name === undefined ? undefined : numberAt(codes, held, name)))
  if (mostBy !== undefined && high !== undefined && number > high)
    return { why: 'range', most: high, wants: { code: mostBy } }
  if (leastBy !== undefined && low !== undefined && number < low)
    return { why: 'range', least: low, wants: { code: leastBy } }
  for (const other of codes.values()) {
    const theirs = numberAt(codes, held, other.code)
    if (theirs === undefined) continue
    if (other.mostBy === code.code && theirs > number)
      return { why: 'range', least: theirs, wants: { code: other.code } }
    if (other.leastBy === code.code && theirs < number)
      return { why: 'range', most: theirs, wants: { code: other.code } }
  }
  return undefined
}

/** The drive after a value was entered, with what that changes behind one’s back; or why it refused. */
export function enter(
  manual: Manual,
  memory: DriveMemory,
  name: string,
  value: string,
): { memory: DriveMemory } | { refused: Refusal } {
  const refused = refusal(manual, memory, name, value)
  if (refused) return { refused }
  const held = new Map([...Object.entries(memory.held), [name, value]])
  for (const { code, to } of codesByName(manual).get(name)?.changes ?? [])
    if (to === undefined) held.delete(code)
    else held.set(code, to)
  return { memory: { ...memory, held: Object.fromEntries(held), told: new Set([...memory.told, name]) } }
}

/** What a drive holds after a reset: its defaults as found, else as printed; what a reset leaves stays. */
export function afterReset(manual: Manual, held: Entered): DriveMemory {
  const reset: Record<string, string> = {}
  for (const { code, comesWith, foundWith, keptAtReset } of manual.codes) {
    const value = keptAtReset === true ? held[code] : (foundWith ?? comesWith)
    if (value !== undefined) reset[code] = value
  }
  return { held: reset, told: new Set(), running: false, plugged: false }
}
