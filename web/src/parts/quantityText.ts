import {
  fieldAt,
  parsePair,
  parseQuantity,
  printQuantity,
  set,
  type Dimension,
  type Parsed,
  type Patch,
  type PlanField,
  type PlanPath,
  type UnitSystem,
} from '@zesty/core'

/** The plan's limits for a field, as a sentence where a value lies outside. */
function outside(field: PlanField, value: number, dimension: Dimension, system: UnitSystem): string | undefined {
  const print = (v: number) => printQuantity({ value: v, dimension }, system)
  const { min, max } = field
  if ((min !== undefined && value < min) || (max !== undefined && value > max))
    return `${print(value)} is outside what this takes: ${print(min ?? 0)} to ${print(max ?? Infinity)}.`
  return undefined
}

/** Reads one quantity for a plan field; an emptied field becomes unknown. */
export function readQuantity(path: PlanPath, text: string, system: UnitSystem, as?: Dimension): Parsed<Patch> {
  if (text.trim() === '') return { ok: true, value: [set(path, undefined)] }
  const field = fieldAt(path)
  const dimension = as ?? field?.dimension ?? 'number'
  const parsed = parseQuantity(text, dimension, system)
  if (!parsed.ok) return parsed
  const message = field && outside(field, parsed.value, dimension, system)
  return message ? { ok: false, message } : { ok: true, value: [set(path, parsed.value)] }
}

/** Reads `230/400 V` for the two fields of a plate; one value fills the first and empties the second. */
export function readPair(low: PlanPath, high: PlanPath, text: string, system: UnitSystem): Parsed<Patch> {
  if (text.trim() === '') return { ok: true, value: [set(low, undefined), set(high, undefined)] }
  const field = fieldAt(low)
  const dimension = field?.dimension ?? 'number'
  const parsed = parsePair(text, dimension, system)
  if (!parsed.ok) return parsed
  for (const [i, value] of parsed.value.entries()) {
    const own = fieldAt(i === 0 ? low : high)
    const message = own && outside(own, value, dimension, system)
    if (message) return { ok: false, message }
  }
  return { ok: true, value: [set(low, parsed.value[0]), set(high, parsed.value[1])] }
}

/** A plain space in place of those that keep a line together: in a field nothing breaks, and people edit what they see. */
const editable = (text: string): string => text.replace(/[\u00a0\u202f]/g, ' ')

export const printedAt = (path: PlanPath, value: unknown, system: UnitSystem, as?: Dimension): string =>
  typeof value === 'number'
    ? editable(printQuantity({ value, dimension: as ?? fieldAt(path)?.dimension ?? 'number' }, system))
    : ''
