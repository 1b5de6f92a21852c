import { dimensionKind, type Dimension, type UnitSystem } from './dimension'
import { gaugeName, nearestGauge } from './wireGauge'

/** A value with its dimension, in base units, so that it can be printed either way. */
export interface Amount {
  value: number
  dimension: Dimension
}

/** Never breaks across lines: between a number and its unit, and between thousands. */
const NO_BREAK = '\u00a0'
const NARROW_NO_BREAK = '\u202f'

/**
 * Rounded to `digits` significant figures, at most `decimals` decimals, thousands parted by a narrow no-break space, no
 * trailing zeros; `?` for what is not finite.
 *
 * @example printNumber(1419.6, 3, 1) // '1\u202f420'
 */
export function printNumber(value: number, digits: number, decimals: number): string {
  if (!Number.isFinite(value)) return '?'
  const magnitude = value === 0 ? 0 : Math.floor(Math.log10(Math.abs(value)))
  const places = Math.min(decimals, Math.max(0, digits - 1 - magnitude))
  const rounded = Math.abs(value).toFixed(places)
  const [whole = '0', part = ''] = rounded.split('.')
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, NARROW_NO_BREAK)
  const tail = part.replace(/0+$/, '')
  const sign = value < 0 && Number(rounded) !== 0 ? '-' : ''
  return `${sign}${grouped}${tail === '' ? '' : `.${tail}`}`
}

/**
 * The bare number in the unit that a system prints, for scales.
 *
 * @example inShownUnit({ value: 25.4, dimension: 'length' }, 'imperial') // 1
 */
export function inShownUnit({ value, dimension }: Amount, system: UnitSystem): number {
  const kind = dimensionKind(dimension)
  const unit = kind.units.find((u) => u.symbol === kind.shown[system])
  return unit ? (value - (unit.offset ?? 0)) / unit.factor : value
}

/** Number and unit apart, for tables that keep the unit in the heading. */
export function quantityParts(amount: Amount, system: UnitSystem = 'metric'): { number: string; unit: string } {
  const kind = dimensionKind(amount.dimension)
  if (amount.dimension === 'area' && system === 'imperial')
    return { number: gaugeName(nearestGauge(amount.value)), unit: 'AWG' }
  const small = kind.small?.[system]
  const symbol = small && amount.value !== 0 && Math.abs(amount.value) < small.under ? small.symbol : kind.shown[system]
  const unit = kind.units.find((u) => u.symbol === symbol)
  if (!unit) return { number: printNumber(amount.value, kind.digits, kind.decimals), unit: '' }
  const shown = (amount.value - (unit.offset ?? 0)) / unit.factor
  const { digits, decimals } = kind.finer?.[system] ?? kind
  return { number: printNumber(shown, digits, decimals), unit: symbol }
}

/**
 * `1.5 kW`, held together by a no-break space; the amount is in its dimension's base unit.
 *
 * @example printQuantity({ value: 1500, dimension: 'power' }, 'imperial') // '2.01\u00a0hp'
 */
export function printQuantity(amount: Amount, system: UnitSystem = 'metric'): string {
  const { number, unit } = quantityParts(amount, system)
  if (unit === '') return number
  return unit === '°' ? `${number}${unit}` : `${number}${NO_BREAK}${unit}`
}
