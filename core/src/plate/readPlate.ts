import { fieldAt, set, valueAt, type Patch, type Plan, type PlanPath } from '../plan'
import { plainText, printQuantity } from '../quantities'
import { platePatterns, type PlateValue } from './platePatterns'

/** What one line of a plate was taken to say. */
export interface PlateLine {
  text: string
  understood: { path: PlanPath; label: string; shown: string }[]
  /** What is left of the line when everything understood is taken out of it. */
  rest: string
  /** Said where a reading is a choice among several. */
  notes: string[]
}

export interface PlateReading {
  lines: PlateLine[]
  /** Fills the plan's motor with what was understood. */
  patch: Patch
  /** Fields of the plate that are still needed. */
  missing: PlanPath[]
}

const needed: readonly PlanPath[] = [
  'motor.kind',
  'motor.powerW',
  'motor.lowVoltageV',
  'motor.lowVoltageA',
  'motor.ratedFrequencyHz',
  'motor.ratedSpeedRpm',
  'motor.frame',
]

const shown = ({ path, value }: PlateValue): string => {
  const field = fieldAt(path)
  if (typeof value === 'string') return field?.options?.[value] ?? value
  return field?.dimension ? printQuantity({ value, dimension: field.dimension }) : String(value)
}

const fits = ({ path, value }: PlateValue): boolean => fieldAt(path)?.schema.safeParse(value).success === true

/** Reads one line: every pattern takes its part out of the line, longest sayings first. */
function readLine(text: string): PlateLine & { values: PlateValue[] } {
  let rest = plainText(text)
  const values: PlateValue[] = []
  const notes: string[] = []
  for (const { find, read } of platePatterns) {
    for (;;) {
      const match = find.exec(rest)
      if (!match) break
      const reading = read(match)
      rest = `${rest.slice(0, match.index)} ; ${rest.slice(match.index + match[0].length)}`
      for (const value of reading.values) {
        if (fits(value)) values.push(value)
        else notes.push(`${fieldAt(value.path)?.label ?? value.path}: ${String(value.value)} is not believable`)
      }
      if (reading.note !== undefined) notes.push(reading.note)
    }
  }
  return {
    text,
    values,
    understood: values.map((v) => ({ path: v.path, label: fieldAt(v.path)?.label ?? v.path, shown: shown(v) })),
    rest: rest.replace(/[;,\s]+/g, ' ').trim(),
    notes,
  }
}

/**
 * Reads the lines of a nameplate in any order, as stamped or pasted. The first reading of a field
 * counts, but a kind of motor that a drive cannot run counts over one that it can.
 */
export function readPlate(text: string, plan: Plan): PlateReading {
  const lines = text
    .split(/\r?\n/)
    .filter((l) => l.trim() !== '')
    .map(readLine)
  const found = new Map<PlanPath, number | string>()
  for (const { values } of lines)
    for (const { path, value } of values)
      if (!found.has(path) || (path === 'motor.kind' && found.get(path) === 'three-phase')) found.set(path, value)
  const patch = [...found].map(([path, value]) => set(path, value))
  const missing = needed.filter((path) => !found.has(path) && valueAt(plan, path) === undefined)
  return {
    lines: lines.map(({ text: t, understood, rest, notes }) => ({ text: t, understood, rest, notes })),
    patch,
    missing,
  }
}
