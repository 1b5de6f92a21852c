import {
  applyPatch,
  fieldAt,
  fieldIn,
  setField,
  valueAt,
  type Change,
  type Patch,
  type Plan,
  type PlanPath,
} from '../plan'
import { plainText, printQuantity } from '../quantities'
import { platePatterns, type PlateValue } from './platePatterns'

/** What one line of a plate was taken to say. */
export interface PlateLine {
  text: string
  understood: { path: PlanPath; label: string; shown: string }[]
  /** What is left of the line when everything understood is taken out of it. */
  rest: string
  /** Message where a reading is a choice among several. */
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
  if (typeof value === 'string') return field.options?.[value] ?? value
  return field.dimension ? printQuantity({ value, dimension: field.dimension }) : String(value)
}

/** Why a value is not taken, where it is not: a motor of this kind has no such field, or not such a value. */
function misfit(plan: Plan, { path, value }: PlateValue): string | undefined {
  const field = fieldIn(plan, path)
  if (!field) return `${fieldAt(path).label}: nothing that this kind of motor has here`
  return field.schema.safeParse(value).success ? undefined : `${field.label}: ${String(value)} is not believable`
}

/** More than any plate has; the time to read a line grows with the square of its length. */
const LINE_LETTERS = 300
const MOST_LINES = 60

interface RawLine {
  text: string
  values: PlateValue[]
  rest: string
  notes: string[]
}

/** Reads one line: every pattern takes its part out of the line, longest sayings first. */
function readLine(text: string): RawLine {
  const unread = text.length > LINE_LETTERS ? text.slice(LINE_LETTERS) : ''
  let rest = plainText(text.slice(0, LINE_LETTERS))
  const values: PlateValue[] = []
  const notes: string[] = []
  if (unread !== '')
    notes.push(`Only the first ${LINE_LETTERS} letters of a line are read; break this one where the plate does`)
  for (const { find, read } of platePatterns) {
    for (;;) {
      const match = find.exec(rest)
      if (!match) break
      const reading = read(match)
      rest = `${rest.slice(0, match.index)} ; ${rest.slice(match.index + match[0].length)}`
      values.push(...reading.values)
      if (reading.note !== undefined) notes.push(reading.note)
    }
  }
  return { text, values, rest: rest.replace(/[;,\s]+/g, ' ').trim(), notes }
}

/**
 * Reads the lines of a nameplate in any order, as stamped or pasted. The first reading of a field
 * counts, but a kind of motor that a drive cannot run counts over one that it can.
 *
 * @example readPlate('1.5 kW', emptyPlan('Lathe')).patch // [{ path: 'motor.powerW', value: 1500 }]
 */
export function readPlate(text: string, plan: Plan): PlateReading {
  const written = text.split(/\r?\n/).filter((l) => l.trim() !== '')
  const lines = written.slice(0, MOST_LINES).map(readLine)
  if (written.length > MOST_LINES)
    lines.push({
      text: `${written.length - MOST_LINES} more lines`,
      values: [],
      rest: '',
      notes: [`Only the first ${MOST_LINES} lines are read; no plate has more`],
    })
  const kinds = lines.flatMap(({ values }) => values.filter((v) => v.path === 'motor.kind').map((v) => v.value))
  const kind = kinds.find((k) => k !== 'induction') ?? kinds[0]
  const asKind = kind === undefined ? [] : [setField(plan, 'motor.kind', kind)]
  const of = applyPatch(plan, asKind)
  const found = new Map<PlanPath, number | string>()
  const told = lines.map(({ text: line, values, rest, notes }): PlateLine => {
    const misfits = values.map((v) => misfit(of, v))
    const fitting = values.filter((_, i) => misfits[i] === undefined)
    for (const { path, value } of fitting) if (!found.has(path)) found.set(path, value)
    return {
      text: line,
      understood: fitting.map((v) => ({ path: v.path, label: fieldAt(v.path).label, shown: shown(v) })),
      rest,
      notes: [...misfits.flatMap((m) => m ?? []), ...notes],
    }
  })
  const rest = [...found].flatMap(([path, value]): Change[] => (path === 'motor.kind' ? [] : [{ path, value }]))
  return {
    lines: told,
    patch: [...asKind, ...rest],
    missing: needed.filter((path) => !found.has(path) && valueAt(plan, path) === undefined),
  }
}
