import { nominalVoltage, parseNumber } from '../quantities'
import type { NumberGroup, Range } from './groups'
import type { QuantityId, Term } from './vocabulary'

const UNLIKELY_KW = 100

/** Quantities in which a dot or comma before three figures parts thousands. */
const inThousands: ReadonlySet<QuantityId> = new Set(['speed', 'maxSpeed'])

/**
 * One number of a plate as what it is taken for: base units for what has a unit, a share for what may be printed in
 * per cent. `1.420` turns a minute are a thousand and more, `1.420` kilowatts are not; 1.420 W is no motor.
 */
export function figureOf(text: string, { quantity, factor }: Term, percent = false): number {
  const thousands = inThousands.has(quantity) || (quantity === 'power' && factor === 1)
  const plain = thousands && /^[1-9]\d{0,2}(\.\d{3})+$/.test(text) ? text.replaceAll('.', '') : text
  const number = parseNumber(plain.replaceAll("'", ''), thousands) ?? NaN
  if (quantity === 'powerFactor' || quantity === 'efficiency') return percent || number > 1.5 ? number / 100 : number
  // Without a unit: kilowatts, or watts where it is too much for them. It is told as doubtful.
  if (quantity === 'power' && factor === undefined) return number < UNLIKELY_KW ? number * 1000 : number
  return number * (factor ?? 1)
}

/** Where a quantity of a plate lies, in base units, and where it lies more often than not. */
const usual: Partial<Record<QuantityId, { may: readonly [number, number]; often?: readonly [number, number] }>> = {
  power: { may: [5, 150_000], often: [40, 60_000] },
  volts: { may: [5, 1200], often: [12, 700] },
  amps: { may: [0.05, 500], often: [0.2, 120] },
  hertz: { may: [10, 2000], often: [25, 1500] },
  speed: { may: [50, 90_000], often: [400, 30_000] },
  maxSpeed: { may: [300, 120_000] },
  powerFactor: { may: [0.2, 1], often: [0.4, 1] },
  efficiency: { may: [0.2, 0.99], often: [0.4, 0.98] },
  serviceFactor: { may: [1, 1.6], often: [1, 1.4] },
  poles: { may: [2, 48] },
  breakdown: { may: [1.1, 6] },
  mass: { may: [0.5, 1000] },
  capacitance: { may: [0.5, 2000] },
}
/** Less than a number without a word costs: what cannot be is told, rather than left. */
const IMPLAUSIBLE = 3.8
const SELDOM = 1.5

/** How little a number looks like what it would be taken for. */
export function oddness(range: Range, term: Term, percent: boolean): number {
  const value = figureOf(range.low, term, percent)
  const { quantity } = term
  if (quantity === 'poles')
    return Number.isInteger(value) && value % 2 === 0 && value >= 2 && value <= 48 ? 0 : IMPLAUSIBLE
  if (quantity === 'hertz' && (value === 50 || value === 60)) return -0.3
  if (quantity === 'hertz' && value < 100) return SELDOM
  if (percent)
    return quantity === 'efficiency' ? -1 : quantity === 'percent' ? 0 : quantity === 'powerFactor' ? 2 : IMPLAUSIBLE
  // A power factor of 1, or of a half in per cent, is more likely another thing's number.
  if (quantity === 'powerFactor' && /^\d+$/.test(range.low) && (value === 1 || value < 0.65)) return SELDOM
  if (quantity === 'efficiency' && range.low === '1') return SELDOM
  const place = usual[quantity]
  if (!place) return 0
  const within = ([from, to]: readonly [number, number]) => value >= from && value <= to
  return within(place.may) ? (place.often === undefined || within(place.often) ? 0 : SELDOM) : IMPLAUSIBLE
}

export const near = (a: number, b: number, by: number): boolean => Math.abs(a / b - 1) <= by

/** In one of the classes that walls and plates have. */
export const isUsualVoltage = (volts: number): boolean =>
  nominalVoltage(volts) !== volts || nominalVoltage(volts + 0.01) !== volts + 0.01

const ofOneWinding = (ratio: number): boolean => near(ratio, Math.sqrt(3), 0.06) || near(ratio, 2, 0.08)

/** Why two voltages cannot be those of one winding linked two ways; undefined where they can. */
export const oddPair = (low: number, high: number | undefined): string | undefined =>
  high === undefined || ofOneWinding(high / low) ? undefined : `${high} V is neither 1.73 times nor twice ${low} V`

const VOLTS: Term = { quantity: 'volts', factor: 1 }

/** `230/460` without a word: two usual voltages of one winding. */
export function looksLikeVolts({ alternatives }: NumberGroup): boolean {
  const [low, high] = alternatives.map((a) => figureOf(a.high ?? a.low, VOLTS))
  return (
    low !== undefined &&
    high !== undefined &&
    isUsualVoltage(low) &&
    isUsualVoltage(high) &&
    oddPair(low, high) === undefined
  )
}

/** The alternatives of a group; `220-440` with its `2-1` amps tells two of them, though a dash parts them. */
export function rangesOf({ group, term }: { group: NumberGroup; term: Term }): Range[] {
  const [only] = group.alternatives
  if (group.alternatives.length !== 1 || only?.high === undefined) return group.alternatives
  const [a, b] = [figureOf(only.low, term), figureOf(only.high, term)]
  return ofOneWinding(Math.max(a, b) / Math.min(a, b)) ? [{ low: only.low }, { low: only.high }] : group.alternatives
}
