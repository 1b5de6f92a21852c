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
import { printQuantity, type UnitSystem } from '../quantities'
import { clashesOf } from './crossCheck'
import { figureOf } from './figures'
import { kindsIn, kindTold } from './kinds'
import { layOut } from './layOut'
import { fieldsTold, type Told } from './motorSaid'
import { plainLine } from './pieces'
import { readSegment, type SegmentRead } from './readSegment'

/** A value as it is printed, with the field it is for. */
export interface PlateField {
  path: PlanPath
  label: string
  shown: string
}

/** What cannot be told for sure: never put on the plate by itself. */
export interface PlateDoubt {
  path: PlanPath
  label: string
  line: number
  why: string
  /** What it may be; each is put on the plate only by its own press. */
  choices: { shown: string; patch: Patch }[]
}

/** What one line of a plate was taken to say. */
export interface PlateLine {
  text: string
  understood: PlateField[]
  doubtful: PlateDoubt[]
  /** What is left of the line when everything understood is taken out of it. */
  rest: string
  /** Message where a reading is a choice among several. */
  notes: string[]
}

export interface PlateReading {
  lines: PlateLine[]
  /** Fills the plan's motor with what was understood beyond doubt. */
  patch: Patch
  doubtful: PlateDoubt[]
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

/** More than any plate has; the time to read a line grows with its length. */
const LINE_LETTERS = 300
const MOST_LINES = 60

/** The mains hertz that the plate is put in for: the shop's, else the first that it tells. */
function chosenHertz(told: readonly number[], plan: Plan): number | undefined {
  const own = valueAt(plan, 'supply.frequencyHz')
  return told.find((h) => h === own) ?? told[0]
}

/** What a plate tells, line by line, before it is held against itself and against the plan. */
interface PlateTold {
  segments: SegmentRead[]
  /** Words of each line that name a kind of motor. */
  kindWords: string[][]
  told: Told[]
  kind: ReturnType<typeof kindTold>
  hertz: number | undefined
  /** Lines that tell what the motor does at other hertz. */
  passed: ReadonlySet<number>
}

function tellAll(lines: readonly string[], plan: Plan, units: UnitSystem): PlateTold {
  const plain = lines.map((l) => plainLine(l.slice(0, LINE_LETTERS)))
  const segments = layOut(plain).map(readSegment)
  const named = plain.map(kindsIn)
  const all = segments.flatMap((s) => s.figures)
  const hertz = [
    ...new Set(
      all
        .filter((f) => f.quantity === 'hertz' && f.part === undefined)
        .flatMap((f) => f.group.alternatives.map((a) => figureOf(a.low, f.term))),
    ),
  ]
  const chosen = hertz.length > 1 ? chosenHertz(hertz, plan) : hertz[0]
  const passed = all.filter((f) => hertz.length > 1 && f.hertz !== undefined && f.hertz !== chosen)
  const figures = all.filter((f) => !passed.includes(f))
  const words = segments.flatMap((s) => s.told)
  const kind = kindTold(named, words, figures, hertz)
  const told = oneEach([
    ...kind.told,
    ...fieldsTold(figures, {
      hertz,
      chosen,
      isDc: kind.value === 'dc',
      connection: segments.find((s) => s.connection)?.connection,
      units,
    }),
    ...words.filter((w) => w.path !== 'motor.kind'),
  ])
  return {
    segments,
    kindWords: named.map((kinds) => kinds.map((k) => k.words)),
    told,
    kind,
    hertz: chosen,
    passed: new Set(passed.map((f) => f.line)),
  }
}

/**
 * Reads a nameplate as stamped, typed or pasted: words before or behind their numbers, headings over values, two mains
 * hertz, a line for each link. What the figures contradict, and what can be read two ways, is given as doubtful and is
 * not in the patch. Values are shown in the units asked for.
 *
 * @example readPlate('1.5 kW', emptyPlan('Lathe')).patch // [{ path: 'motor.powerW', value: 1500 }]
 */
export function readPlate(text: string, plan: Plan, units: UnitSystem = 'metric'): PlateReading {
  const written = text.split(/\r?\n/).filter((l) => l.trim() !== '')
  const taken = written.slice(0, MOST_LINES)
  const { segments, kindWords, told, kind, hertz, passed } = tellAll(taken, plan, units)

  const numberAt = (path: PlanPath): number | undefined => {
    const values = told.find((t) => t.path === path)?.values ?? []
    return values.length === 1 && typeof values[0] === 'number' ? values[0] : undefined
  }
  const clashes = clashesOf(numberAt, kind.value)
  const clashOf = (path: PlanPath) => clashes.find((c) => c.paths.includes(path))?.why
  const isSure = (t: Told) => t.doubt === undefined && t.values.length === 1 && clashOf(t.path) === undefined
  const sure = told.filter(isSure)
  const asKind: Patch = sure.some((t) => t.path === 'motor.kind') ? [setField(plan, 'motor.kind', kind.value)] : []
  const of = applyPatch(plan, asKind)
  const fitting = sure.filter((t) => misfit(of, t) === undefined)
  const patch = [
    ...asKind,
    ...fitting.flatMap((t): Change[] => (t.path === 'motor.kind' ? [] : [{ path: t.path, value: t.values[0] }])),
  ]
  const doubtful = told
    .filter((t) => !isSure(t))
    .map((t): PlateDoubt => ({
      path: t.path,
      label: fieldAt(t.path).label,
      line: t.line,
      why: t.doubt ?? clashOf(t.path) ?? MORE_THAN_ONE,
      choices: t.values
        .filter((v) => misfit(of, { ...t, values: [v] }) === undefined)
        .map((v) => ({
          shown: printed(t.path, v, units),
          patch: [t.path === 'motor.kind' ? setField(plan, t.path, v) : { path: t.path, value: v }],
        })),
    }))
  const lines = taken.map((line, i): PlateLine => ({
    text: line,
    understood: fitting
      .filter((t) => t.line === i)
      .map((t) => ({ path: t.path, label: fieldAt(t.path).label, shown: printed(t.path, t.values[0] ?? '', units) })),
    doubtful: doubtful.filter((d) => d.line === i),
    rest: withoutKind(segments.flatMap((s) => (s.line === i ? s.rest : [])).join(' '), kindWords[i] ?? []),
    notes: [
      ...told.flatMap((t) => (t.line === i ? (t.note ?? []) : [])),
      ...sure.flatMap((t) => (t.line === i ? (misfit(of, t) ?? []) : [])),
      ...(passed.has(i) ? [`Read for ${hertz ?? '?'} Hz; what the plate tells for other hertz is left`] : []),
      ...(line.length > LINE_LETTERS
        ? [`Only the first ${LINE_LETTERS} letters of a line are read; break this one where the plate does`]
        : []),
    ],
  }))
  if (written.length > MOST_LINES)
    lines.push({
      text: `${written.length - MOST_LINES} more lines`,
      understood: [],
      doubtful: [],
      rest: '',
      notes: [`Only the first ${MOST_LINES} lines are read; no plate has more`],
    })
  const found = new Set(told.filter((t) => fitting.includes(t)).map((t) => t.path))
  return {
    lines,
    patch,
    doubtful,
    missing: needed.filter((path) => !found.has(path) && valueAt(plan, path) === undefined),
  }
}

const MORE_THAN_ONE = 'the plate tells more than one'

function printed(path: PlanPath, value: number | string, units: UnitSystem): string {
  const field = fieldAt(path)
  if (typeof value === 'string') return field.options?.[value] ?? value
  return field.dimension ? printQuantity({ value, dimension: field.dimension }, units) : String(value)
}

/** What is left of a line when the words that name the kind of motor are taken out. */
const withoutKind = (rest: string, kinds: readonly string[]): string =>
  kinds
    .flatMap((words) => words.split(/[ -]+/))
    .reduce((left, word) => left.replace(word, ''), rest)
    .replace(/ +/g, ' ')
    .trim()

/** Why a value is not taken, where it is not: a motor of this kind has no such field, or not such a value. */
function misfit(plan: Plan, { path, values: [value] }: Told): string | undefined {
  const field = fieldIn(plan, path)
  if (!field) return `${fieldAt(path).label}: nothing that this kind of motor has here`
  return field.schema.safeParse(value).success ? undefined : `${field.label}: ${String(value)} is not believable`
}

/** Several sayings of one field are one, or a doubt. */
function oneEach(told: readonly Told[]): Told[] {
  const paths = [...new Set(told.map((t) => t.path))]
  return paths.flatMap((path): Told[] => {
    const own = told.filter((t) => t.path === path)
    const [first] = own
    if (!first) return []
    const values = [...new Set(own.flatMap((t) => t.values))]
    const doubt = own.find((t) => t.doubt !== undefined)?.doubt ?? (values.length > 1 ? MORE_THAN_ONE : undefined)
    return [{ ...first, values, ...(doubt === undefined ? {} : { doubt }) }]
  })
}
