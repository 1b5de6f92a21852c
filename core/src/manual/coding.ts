import type { SettingId } from '../stages/settingTable'
import type { Manual, ManualCode } from './manual'

export type Value = number | string
/** Values under the product’s own names, in base units; ramps as the drive counts them. */
export type Values = Readonly<{ [K in SettingId]?: Value | undefined }>

/** What values are shares of. */
export interface ShareOf {
  baseHz?: number | undefined
  maximumHz?: number | undefined
  motorA?: number | undefined
  motorV?: number | undefined
  driveA?: number | undefined
}

const shares = {
  'base-hertz': 'baseHz',
  'highest-hertz': 'maximumHz',
  'motor-amps': 'motorA',
  'motor-volts': 'motorV',
  'drive-amps': 'driveA',
} as const satisfies Record<string, keyof ShareOf>

/** Whether a code is written as a number, and not as one of a list or digit by digit. */
export const isNumber = ({ values, digits, terminal, macro }: ManualCode): boolean =>
  values.length === 0 && digits === undefined && terminal === undefined && macro !== true

const settingsByCode = new WeakMap<ManualCode, SettingId[]>()

/** The settings that a code decides; told once for each code, for it is asked of all of them at every key. */
export function settingsOf(code: ManualCode): readonly SettingId[] {
  const known = settingsByCode.get(code)
  if (known) return known
  const { sets, values, digits } = code
  const named = [...values, ...(digits ?? []).flatMap((d) => d.values)].flatMap(({ is }) =>
    is === undefined ? [] : (Object.keys(is) as SettingId[]),
  )
  const made = [...new Set([...(sets === undefined ? [] : [sets]), ...named])]
  settingsByCode.set(code, made)
  return made
}

const codesBySetting = new WeakMap<readonly ManualCode[], ReadonlyMap<SettingId, ManualCode[]>>()

/** Codes by the setting that each decides, first as the manual lists them. */
export function codesFor({ codes }: Manual, id: SettingId): readonly ManualCode[] {
  let table = codesBySetting.get(codes)
  if (!table) {
    const made = new Map<SettingId, ManualCode[]>()
    for (const code of codes)
      for (const setting of settingsOf(code)) {
        const others = made.get(setting)
        if (others) others.push(code)
        else made.set(setting, [code])
      }
    table = made
    codesBySetting.set(codes, table)
  }
  return table.get(id) ?? []
}

/** Why a value cannot be written. */
export interface CannotWrite {
  why: 'no-such-value' | 'below-least' | 'above-most' | 'share-unknown' | 'not-said'
  /** The value at the end that it passes, as the drive writes it. */
  nearest?: string
}

/** Limits must not be passed by rounding: these are written at or under what is wanted, these at or over it. */
const downward: ReadonlySet<SettingId> = new Set([
  'overloadA',
  'currentLimitA',
  'maximumHz',
  'boostV',
  'chopperDuty',
  'dcA',
  'busLossS',
])
const upward: ReadonlySet<SettingId> = new Set(['accelerationS', 'decelerationS', 'quickStopS'])

/** Sums of binary fractions miss a step by this much and mean it. */
const NEARLY = 1e-6

const roundedTo = (value: number, step: number, id: SettingId | undefined): number => {
  const steps = value / step
  if (id !== undefined && downward.has(id)) return Math.floor(steps + NEARLY) * step
  if (id !== undefined && upward.has(id)) return Math.ceil(steps - NEARLY) * step
  return Math.round(steps) * step
}

const written = (value: number, decimals: number): string => value.toFixed(decimals)

/** How a number is written where the manual does not say: as it is, with what decimals it needs. */
const plainly = (value: number): string => String(Math.round(value * 1000) / 1000)

/** Base units in one of what is written, with what it is a share of; undefined where that is not known. */
function eachOf({ counts }: ManualCode, of: ShareOf): number | undefined {
  if (counts?.shareOf === undefined) return counts?.each ?? 1
  const base = of[shares[counts.shareOf]]
  return base === undefined || base <= 0 ? undefined : counts.each * base
}

/** A number in the drive’s own way of writing it, or which end it passes. */
function writeNumber(code: ManualCode, value: number, of: ShareOf): string | CannotWrite {
  const each = eachOf(code, of)
  if (each === undefined) return { why: 'share-unknown' }
  const { counts, least, most } = code
  if (counts === undefined && code.step === undefined) {
    const text = plainly(value)
    return endPassed(code, Number(text), (n) => plainly(n)) ?? text
  }
  const decimals = counts?.decimals ?? 0
  const step = code.step ?? 10 ** -decimals
  const number = roundedTo(value / each, step, code.sets)
  const inside = Math.min(most ?? Infinity, Math.max(least ?? -Infinity, number))
  // What rounding alone carried over an end is no fault of what was wanted.
  if (inside !== number && Math.abs(inside - value / each) > step / 2)
    return endPassed(code, number, (n) => written(n, decimals)) ?? written(number, decimals)
  return written(inside, decimals)
}

function endPassed({ least, most }: ManualCode, number: number, write: (n: number) => string): CannotWrite | undefined {
  if (least !== undefined && number < least - NEARLY) return { why: 'below-least', nearest: write(least) }
  if (most !== undefined && number > most + NEARLY) return { why: 'above-most', nearest: write(most) }
  return undefined
}

const same = (a: Value, b: Value): boolean =>
  typeof a === 'number' && typeof b === 'number'
    ? Math.abs(a - b) <= 0.01 * Math.max(Math.abs(a), Math.abs(b))
    : a === b

/** How many of the wanted values something stands for, less those that it contradicts. */
function fit(is: Values | undefined, wanted: Values): number {
  let found = 0
  for (const [id, value] of Object.entries(is ?? {}) as [SettingId, Value][]) {
    const want = wanted[id]
    if (want === undefined) continue
    if (!same(value, want)) return -Infinity
    found += 1
  }
  return found
}

function best<T extends { is?: Values | undefined }>(list: readonly T[], wanted: Values): T | undefined {
  let chosen: T | undefined
  let most = 0
  for (const one of list) {
    const fits = fit(one.is, wanted)
    if (fits > most) [chosen, most] = [one, fits]
  }
  return chosen
}

/**
 * A code’s value as the drive writes it, so that it stands for what is wanted; or why it cannot be written.
 *
 * @param held what the code holds now: digits of which nothing is wanted stay
 * @example encode(code, { accelerationS: 5 }, {}) // '50', where it counts tenths of a second
 */
export function encode(code: ManualCode, wanted: Values, of: ShareOf, held?: string): string | CannotWrite {
  if (code.digits) {
    const places = code.digits.map((place, i) => {
      const cares = place.values.some(({ is }) => Object.keys(is ?? {}).some((id) => id in wanted))
      const kept = held?.[i] ?? code.comesWith?.[i]
      return cares ? best(place.values, wanted)?.digit : (kept ?? place.values[0]?.digit)
    })
    return places.includes(undefined) ? { why: 'no-such-value' } : places.join('')
  }
  if (!isNumber(code)) return best(code.values, wanted)?.value ?? { why: 'no-such-value' }
  const value = code.sets === undefined ? undefined : wanted[code.sets]
  if (value === undefined) return { why: 'not-said' }
  // A choice whose values the manual does not list can only be told in words.
  return typeof value === 'number' ? writeNumber(code, value, of) : { why: 'not-said' }
}

/** A number as it was typed or copied: with a comma, a unit behind it, or leading zeros. */
function numberIn(text: string): number | undefined {
  const found = /^\s*([+-]?\d+(?:[.,]\d+)?)\s*(?:[^\d\s].*)?$/.exec(text)?.[1]
  return found === undefined ? undefined : Number(found.replace(',', '.'))
}

const plainText = (text: string): string => text.trim().toLowerCase()

/**
 * What a value that was read stands for; nothing where it means nothing to the manual.
 *
 * @example decode(code, '50', {}) // { accelerationS: 5 }
 */
export function decode(code: ManualCode, text: string, of: ShareOf): Values | undefined {
  if (code.digits) {
    const typed = text.trim()
    if (typed.length !== code.digits.length) return undefined
    const found: Partial<Record<SettingId, Value>> = {}
    for (const [i, place] of code.digits.entries()) {
      const value = place.values.find(({ digit }) => digit === typed[i])
      if (!value) return undefined
      Object.assign(found, value.is)
    }
    return found
  }
  if (!isNumber(code)) return code.values.find(({ value }) => plainText(value) === plainText(text))?.is
  const number = numberIn(text)
  const each = eachOf(code, of)
  if (code.sets === undefined || number === undefined || each === undefined) return undefined
  // Twelve digits: a tenth times fifty is five.
  return { [code.sets]: Number((number * each).toPrecision(12)) }
}

/** Whether two texts are one value to the drive: 5, 5.0 and 5,00 s are. */
export function sameValue(code: ManualCode | undefined, a: string, b: string): boolean {
  if (plainText(a) === plainText(b)) return true
  if (code && !isNumber(code)) return false
  const [x, y] = [numberIn(a), numberIn(b)]
  return x !== undefined && y !== undefined && Math.abs(x - y) < NEARLY
}

/** The number that a text is, of a code that is written as one. */
export const writtenNumber = (code: ManualCode | undefined, text: string | undefined): number | undefined =>
  code && text !== undefined && isNumber(code) ? numberIn(text) : undefined
