import {
  fieldAt,
  parsePair,
  parseQuantity,
  printQuantity,
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
export function readQuantity(
  path: PlanPath,
  text: string,
  system: UnitSystem,
  field: PlanField = fieldAt(path),
): Parsed<Patch> {
  if (text.trim() === '') return { ok: true, value: [{ path }] }
  const dimension = field.dimension ?? 'number'
  const parsed = parseQuantity(text, dimension, system)
  if (!parsed.ok) return parsed
  // A share of one is printed in per cent on many plates: cos phi 79.
  const asShare = field.max === 1 && parsed.value > 1.5 && parsed.value <= 100
  const value = asShare ? parsed.value / 100 : parsed.value
  const message = outside(field, value, dimension, system)
  return message ? { ok: false, message } : { ok: true, value: [{ path, value }] }
}

/** One of two fields that are typed as one. */
interface Half {
  path: PlanPath
  field: PlanField | undefined
}

/** Lower volts first, and with them the larger amps, whichever order a plate has them in. */
function inOrder([first, second]: readonly number[], dimension: Dimension): (number | undefined)[] {
  if (first === undefined || second === undefined) return [first, second]
  const turned = dimension === 'voltage' ? first > second : dimension === 'current' && first < second
  return turned ? [second, first] : [first, second]
}

/** Reads `230/400 V` for the two fields of a plate; one value fills the first and empties the second. */
export function readPair(low: Half, high: Half, text: string, system: UnitSystem): Parsed<Patch> {
  if (text.trim() === '') return { ok: true, value: [{ path: low.path }, { path: high.path }] }
  const dimension = low.field?.dimension ?? 'number'
  const parsed = parsePair(text, dimension, system)
  if (!parsed.ok) return parsed
  for (const [i, value] of parsed.value.entries()) {
    const { field } = i === 0 ? low : high
    const message = field && outside(field, value, dimension, system)
    if (message) return { ok: false, message }
  }
  const [first, second] = inOrder(parsed.value, dimension)
  return {
    ok: true,
    value: [
      { path: low.path, value: first },
      { path: high.path, value: second },
    ],
  }
}

/** A plain space in place of those that keep a line together: in a field nothing breaks, and people edit what they see. */
const editable = (text: string): string => text.replace(/[\u00a0\u202f]/g, ' ')

export const printedAt = (path: PlanPath, value: unknown, system: UnitSystem): string =>
  typeof value === 'number'
    ? editable(printQuantity({ value, dimension: fieldAt(path).dimension ?? 'number' }, system))
    : ''
