import { dimensionKind, dimensions, unitsOf, type Dimension, type Unit, type UnitSystem } from './dimension'
import { parseNumber, plainText } from './parseNumber'
import { plainTyped, rangeIn, valueOfRange } from './typedText'
import { gaugeArea, readGauge } from './wireGauge'

export type Parsed<T> = { ok: true; value: T } | { ok: false; message: string }

/** Nobody writes a longer one; what reads them may take time that grows with the square of their length. */
const LONGEST = 200

/** The refusal of a text that is longer than any value. */
export const tooLong = (text: string): { ok: false; message: string } | undefined =>
  text.length > LONGEST ? refused(`That is too long: a value is at most ${LONGEST} letters.`) : undefined

const refused = (message: string): { ok: false; message: string } => ({ ok: false, message })

/** Units in which four-digit values are everyday, so that `1,420` means one thousand. */
const thousandsUnits = new Set(['rpm', 'W', 'V', 'mm', 'ft/min', 'Hz', 'm/min'])

/** Units compared without case, spaces, dots and hyphens. */
const bare = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s.·^-]/g, '')
    .replace(/²/g, '2')
    .replace(/³/g, '3')

function findUnit(dimension: Dimension, written: string): Unit | undefined {
  const wanted = bare(written)
  return dimensionKind(dimension).units.find((u) => [u.symbol, ...(u.also ?? [])].some((name) => bare(name) === wanted))
}

/** Splits `1,420 rpm` into what reads as a number and what follows it. */
function split(text: string): { number: string; unit: string } {
  const found = /^([+-]?(?:\d+-\d+\/\d+|[\d.,/ ]*))(.*)$/.exec(plainText(text))
  return { number: (found?.[1] ?? '').trim().replace(/[,/]+$/, ''), unit: (found?.[2] ?? '').trim() }
}

/** Whether a bare number may be read with the system's own unit, and which unit that is. */
function unitFor(dimension: Dimension, written: string, system: UnitSystem): Parsed<Unit> {
  const kind = dimensionKind(dimension)
  if (written === '') {
    const shown = kind.units.find((u) => u.symbol === kind.shown[system]) ?? kind.units[0]
    return shown ? { ok: true, value: shown } : refused('This has no units.')
  }
  const unit = findUnit(dimension, written)
  if (unit) return { ok: true, value: unit }
  const other = (Object.keys(dimensions) as Dimension[]).find((d) => findUnit(d, written) !== undefined)
  const permitted = unitsOf(dimension)
  const takes =
    permitted.length > 0 ? `this takes ${kind.called} in ${permitted.join(', ')}` : 'this takes a number without a unit'
  return other
    ? refused(`"${written}" is ${dimensionKind(other).called}; ${takes}.`)
    : refused(`"${written}" is not a unit known here; ${takes}.`)
}

/**
 * Reads one quantity and returns it in the dimension's base unit: `"3/4 hp"` gives 559.27 W.
 * A number without a unit is read in the unit that `system` prints. Refuses, in a sentence for the person who typed,
 * what is no number, a unit of another dimension, and more than 200 letters.
 *
 * @example parseQuantity('1.5 kW', 'power') // { ok: true, value: 1500 }
 */
export function parseQuantity(text: string, dimension: Dimension, system: UnitSystem = 'metric'): Parsed<number> {
  const long = tooLong(text)
  if (long) return long
  const trimmed = plainTyped(plainText(text), dimension)
  const kind = dimensionKind(dimension)
  if (trimmed === '') return refused(`Type ${kind.called}, for example in ${unitsOf(dimension)[0] ?? 'digits'}.`)
  if (dimension === 'area') {
    const gauge = parseGauge(trimmed, system)
    if (gauge) return gauge
  }
  const several = severalValues(trimmed, dimension, system)
  if (several) return several
  // People write the sign of their money before the number.
  const parts = split(dimension === 'money' ? trimmed.replace(/^[£$€]\s*/, '') : trimmed)
  const unit = unitFor(dimension, parts.unit, system)
  if (!unit.ok) return parts.number === '' ? refused(`"${text.trim()}" is not ${kind.called}.`) : unit
  // 1.420 turns a minute are a thousand and more: no motor turns once and a half.
  const digits =
    dimension === 'speed' && /^[1-9]\d?\.\d{3}$/.test(parts.number) ? parts.number.replace('.', '') : parts.number
  const number = parseNumber(digits, dimension === 'money' || thousandsUnits.has(unit.value.symbol))
  if (number === undefined) return refused(`"${text.trim()}" is not ${kind.called}.`)
  return { ok: true, value: number * unit.value.factor + (unit.value.offset ?? 0) }
}

/** A range, which stands for one value only of volts and amps; two values with a slash, which of these never are a fraction. */
function severalValues(text: string, dimension: Dimension, system: UnitSystem): Parsed<number> | undefined {
  const range = rangeIn(text)
  if (range) {
    const [from, to] = [range.from, range.to].map((n) => parseQuantity(`${n} ${range.unit}`, dimension, system))
    if (from?.ok && to?.ok) {
      const one = valueOfRange(from.value, to.value, dimension)
      return one === undefined
        ? refused(`"${text}" is a range; this takes one value, for example ${range.from} ${range.unit}`.trim() + '.')
        : { ok: true, value: one }
    }
  }
  if ((dimension === 'voltage' || dimension === 'current') && /\d\s*\/\s*\d/.test(text)) {
    const [first = ''] = text.split('/')
    return refused(
      `"${text}" is two values, one for each way of linking; this takes one, for example ${first.trim()} ${dimension === 'voltage' ? 'V' : 'A'}.`,
    )
  }
  return undefined
}

function parseGauge(text: string, system: UnitSystem): Parsed<number> | undefined {
  const named = /^(?:#\s*)?(\S+)\s*(?:awg|ga|gauge)$/i.exec(text) ?? /^awg\s*(\S+)$/i.exec(text)
  const written = named?.[1] ?? (system === 'imperial' && /^[\d/]+$/.test(text) ? text : undefined)
  if (written === undefined) return undefined
  const gauge = readGauge(written)
  return gauge === undefined
    ? refused(`"${text}" is not a wire gauge; use 40 to 1, or 1/0 to 4/0.`)
    : { ok: true, value: gaugeArea(gauge) }
}

const isTwoLinks = ({ from, to }: { from: string; to: string }): boolean => {
  const [a, b] = [from, to].map((n) => parseNumber(n, false) ?? NaN).sort((x, y) => x - y)
  const ratio = (b ?? NaN) / (a ?? NaN)
  return Math.abs(ratio / Math.sqrt(3) - 1) < 0.06 || Math.abs(ratio / 2 - 1) < 0.08
}

/**
 * Reads one or two values that share a unit, as plates print them: `230/400 V`, `6.0 / 3.5 A`, `230 V`.
 * Returned in the order written, in the base unit. Refuses more than two.
 *
 * @example parsePair('230/400 V', 'voltage') // { ok: true, value: [230, 400] }
 */
export function parsePair(text: string, dimension: Dimension, system: UnitSystem = 'metric'): Parsed<number[]> {
  const long = tooLong(text)
  if (long) return long
  const pieces = plainTyped(plainText(text), dimension)
    .split('/')
    .map((p) => p.trim())
  if (pieces.length > 2) return refused('Type one value, or two with a slash between.')
  const dashed = pieces.length === 1 ? rangeIn(pieces[0] ?? '') : undefined
  // `220-440 V` is two ways of linking, though a dash parts them.
  if (dashed && isTwoLinks(dashed)) pieces.splice(0, 1, dashed.from, `${dashed.to} ${dashed.unit}`.trim())
  const lastUnit = split(pieces[pieces.length - 1] ?? '').unit
  const values: number[] = []
  for (const piece of pieces) {
    const own = split(piece).unit
    const parsed = parseQuantity(own === '' ? `${piece} ${lastUnit}` : piece, dimension, system)
    if (!parsed.ok) return parsed
    values.push(parsed.value)
  }
  return { ok: true, value: values }
}
