import type { z } from 'zod'
import { emptyPlan, fieldAt, valueAt, type Plan, type PlanPath } from '../plan'
import { sameValue } from '../graph/sameValue'
import type { Dimension } from '../quantities'
import type { Rule } from '../rules/rule'
import type { RuleId } from '../rulebook/registry'
import type { FieldFigureId, FigureId } from './figureId'
import { givenName } from './givenName'
import { isKnown, type Basis, type Blocked, type Figure, type FigureInput, type FigureState } from './figure'

/** What a figure is to be called and measured in. */
export interface Naming {
  id: FigureId
  label: string
  dimension: Dimension
}

/**
 * What a figure is to be called and measured in.
 *
 *     named('motor.torque', 'Rated torque', 'torque')
 */
export const named = (id: FigureId, label: string, dimension: Dimension): Naming => ({ id, label, dimension })

/** A value that is no figure (a choice, a list of stages), with the figures it was put together from. */
export interface Raw {
  raw: unknown
  shown: string | number | boolean
  label: string
  from?: readonly FigureState[]
}

type Input = FigureState | Raw | undefined

/** Inputs by the keys of the rule's schema; a key that it does not have does not compile. */
type InputsOf<I extends z.ZodObject> = { [K in keyof z.input<I>]?: Input }

/** Something typed or decided that is no number: a choice, a yes or no. */
export const choice = (value: string | number | boolean, label: string): Raw => ({ raw: value, shown: value, label })

/** A field that is not known and holds no number, for figures that wait for it. */
export const unknownField = (path: FieldFigureId, label: string): Blocked => ({ id: path, label, missing: [path] })

/** What else is to be said of what a rule gives. */
interface Booking<O extends z.ZodObject> {
  /** Where the rule itself holds a planning value, so that what it gives rests on one. */
  planning?: boolean
  /** Of what it gives, where that may be a typical value looked up in a table; computed unless said. */
  basis?: (output: z.output<O>) => Basis
}

const isRaw = (input: FigureState | Raw): input is Raw => 'raw' in input

/** What is known of fields beside what was typed in them. */
interface Beside {
  /** Those whose value was read off the machine. */
  measured: () => ReadonlySet<PlanPath>
  /** What follows for one of the belts that is open, where something does. */
  followsFor: (path: FieldFigureId) => FigureState | undefined
}

const NO_FIELDS: ReadonlySet<PlanPath> = new Set()
const NOTHING_BESIDE: Beside = { measured: () => NO_FIELDS, followsFor: () => undefined }

/** Tables of ids from the start: growing plain objects into them cost a fifth of an evaluation. */
const tableOf = <T>() => Object.create(null) as Partial<Record<FigureId, T>>

/**
 * Books every figure of one part of the facts: what was given, what is typical, what was computed from
 * which, and what could not be computed and for want of what. It takes over what the part booked before, where a rule's inputs
 * are the same: a figure that says the same is the same object.
 */
export class Ledger {
  readonly figures = tableOf<Figure>()
  readonly blocked = tableOf<Blocked>()
  /** What was booked, once it is closed: a list is gone through several times faster than a table. */
  figureIds: readonly FigureId[] = []
  blockedIds: readonly FigureId[] = []
  private readonly runs = new Map<string, Run<unknown>>()
  private before: Ledger | undefined
  /** Whether anything was booked that was not booked before. */
  private isNew = false

  constructor(
    private plan: Plan,
    private beside: Beside = NOTHING_BESIDE,
    before?: Ledger,
  ) {
    this.before = before
  }

  /** Nothing more is booked: the plan and what was booked before are let go, with the graph behind them. A book that says the same is the same. */
  close(): Ledger {
    const { before } = this
    this.before = undefined
    this.beside = NOTHING_BESIDE
    this.plan = emptyPlan('')
    this.figureIds = Object.keys(this.figures) as FigureId[]
    this.blockedIds = Object.keys(this.blocked) as FigureId[]
    const isOld =
      before?.figureIds.length === this.figureIds.length && before.blockedIds.length === this.blockedIds.length
    return isOld && !this.isNew ? before : this
  }

  private keep(figure: Figure): Figure {
    const old = this.before?.figures[figure.id]
    const kept = old && sameFigure(old, figure) ? old : figure
    if (kept !== old) this.isNew = true
    this.figures[figure.id] = kept
    return kept
  }

  private keepBlocked(blocked: Blocked): Blocked {
    const old = this.before?.blocked[blocked.id]
    const kept = old && sameValue(old, blocked) ? old : blocked
    if (kept !== old) this.isNew = true
    this.blocked[blocked.id] = kept
    return kept
  }

  /** A number the person typed, under the plan's own label. */
  given(path: FieldFigureId, label?: string): FigureState {
    const known = this.figures[path] ?? this.blocked[path]
    if (known) return known
    const field = fieldAt(path)
    const value = valueAt(this.plan, path)
    const name = label ?? givenName(this.plan, path)
    if (typeof value !== 'number') {
      const follows = path.startsWith('survey.positions.') ? this.beside.followsFor(path) : undefined
      return follows ?? this.keepBlocked({ id: path, label: name, missing: [path] })
    }
    const basis = this.beside.measured().has(path) ? 'measured' : 'given'
    return this.keep(figure(path, name, field.dimension ?? 'number', value, basis, false, NOTHING, { path }))
  }

  /** What the person typed, or else what is taken in its place. */
  givenOr(path: FieldFigureId, otherwise: () => FigureState, label?: string): FigureState {
    const own = this.given(path, label)
    return isKnown(own) ? own : otherwise()
  }

  /** What the person typed, where they did: for inputs that a rule can do without. */
  givenIfKnown(path: FieldFigureId): Figure | undefined {
    const own = this.given(path)
    return isKnown(own) ? own : undefined
  }

  /** A planning value from a table, unless the person has put their own at `override`. */
  typical(naming: Naming, value: number, citation: string, override?: PlanPath): FigureState {
    const own = override ? valueAt(this.plan, override) : undefined
    const { id, label, dimension } = naming
    if (override && typeof own === 'number')
      return this.keep(figure(id, label, dimension, own, 'given', false, NOTHING, { path: override }))
    return this.keep(figure(id, label, dimension, value, 'typical', true, NOTHING, { path: override, citation }))
  }

  /** A figure that is decided elsewhere (a setting), booked with what it rests on. */
  stated(naming: Naming, value: number, basis: Figure['basis'], from: readonly FigureState[], note?: string): Figure {
    const { id, label, dimension } = naming
    const lines: FigureInput[] = []
    for (const f of from) if (isKnown(f)) lines.push(inputLine(f.id, f))
    const restsOnTypical = basis === 'typical' || restOnTypical(from)
    return this.keep(figure(id, label, dimension, value, basis, restsOnTypical, lines, { citation: note }))
  }

  block(naming: Pick<Naming, 'id' | 'label'>, from: readonly FigureState[], refusal?: string): Blocked {
    const { id, label } = naming
    return this.keepBlocked({ id, label, missing: missingOf(from), ...(refusal ? { refusal } : {}) })
  }

  /** Books one output of a rule. */
  derive<I extends z.ZodObject, O extends z.ZodObject>(
    rule: Rule<I, O, RuleId>,
    output: keyof z.output<O> & string,
    naming: Naming,
    inputs: InputsOf<I>,
    booking?: Booking<O>,
  ): FigureState {
    const run = this.run(naming.id, rule, inputs, booking)
    return this.book(run, output, naming)
  }

  /**
   * Runs a rule on figures and books the named outputs. An undefined input is left out; an
   * unknown one blocks the result. Raw inputs carry choices and lists.
   */
  compute<I extends z.ZodObject, O extends z.ZodObject, K extends keyof z.output<O> & string>(
    rule: Rule<I, O, RuleId>,
    names: Record<K, Naming>,
    inputs: InputsOf<I>,
    booking?: Booking<O>,
  ): Record<K, FigureState> & { output?: z.output<O> } {
    const keys = Object.keys(names) as K[]
    const [first] = keys
    const run = this.run(first === undefined ? '' : names[first].id, rule, inputs, booking)
    const made: Partial<Record<K, FigureState>> & { output?: z.output<O> } = {}
    for (const key of keys) made[key] = this.book(run, key, names[key]) as (typeof made)[K]
    if (run.output) made.output = run.output
    return made as Record<K, FigureState> & { output?: z.output<O> }
  }

  /** Runs a rule, or takes over what it gave for the first figure that is booked of it, where its inputs are as they were. */
  private run<I extends z.ZodObject, O extends z.ZodObject>(
    id: string,
    rule: Rule<I, O, RuleId>,
    inputs: InputsOf<I>,
    { planning = false, basis }: Booking<O> = {},
  ): Run<z.output<O>> {
    const old = this.before?.runs.get(id)
    if (old?.ruleId === rule.id && sameInputs(old.inputs, inputs)) {
      this.runs.set(id, old)
      return old as Run<z.output<O>>
    }
    const run: Run<z.output<O>> = {
      ruleId: rule.id,
      inputs,
      lines: [],
      unknown: undefined,
      restsOnTypical: planning,
      basis: 'computed',
      output: undefined,
      refusal: undefined,
    }
    this.runs.set(id, run)
    const values = readInto(run)
    if (run.unknown) return run
    const result = rule.run(values)
    if (result.ok) {
      run.output = result.value
      if (basis) run.basis = basis(result.value)
    } else run.refusal = result.faults.map((f) => `${f.field} ${f.message}`.trim()).join('; ')
    return run
  }

  /** Books one output of a run; one that the rule leaves out where it does not apply is not known, rather than a number. */
  private book<O>(
    { ruleId, lines, unknown, restsOnTypical, basis, output, refusal }: Run<O>,
    key: keyof O,
    naming: Naming,
  ): FigureState {
    const value = output?.[key]
    if (value === undefined) return this.block(naming, unknown ?? [], refusal)
    const { id, label, dimension } = naming
    const typical = restsOnTypical || basis === 'typical'
    const old = this.before?.figures[id]
    // Made of the same run: only what it is called may be another.
    if (old && old.from === lines && old.value === value && old.label === label && old.dimension === dimension) {
      this.figures[id] = old
      return old
    }
    return this.keep(figure(id, label, dimension, Number(value), basis, typical, lines, { ruleId }))
  }
}

/** A rule that was run on figures, before its outputs are booked. */
interface Run<O> {
  ruleId: RuleId
  inputs: Readonly<Record<string, Input>>
  /** How they are told. */
  lines: FigureInput[]
  /** Inputs that are not known; then it did not run. */
  unknown: FigureState[] | undefined
  restsOnTypical: boolean
  basis: Figure['basis']
  output: O | undefined
  refusal: string | undefined
}

type Inputs = Readonly<Record<string, Input>>

/** What a rule gives follows from its inputs alone. A figure that says the same is the same object. */
function sameInputs(a: Inputs, b: Inputs): boolean {
  for (const key in b) if (!sameInput(a[key], b[key])) return false
  for (const key in a) if (a[key] !== undefined && b[key] === undefined) return false
  return true
}

const sameInput = (a: Input, b: Input): boolean => a === b || (a !== undefined && b !== undefined && sameRaw(a, b))

const sameRaw = (a: FigureState | Raw, b: FigureState | Raw): boolean =>
  isRaw(a) && isRaw(b)
    ? a.shown === b.shown && a.label === b.label && sameValue(a.raw, b.raw) && sameValue(a.from, b.from)
    : !isRaw(a) && !isRaw(b) && sameValue(a, b)

/** The values of a run's inputs, in one pass; what they rest on, and how they are told, is added to the run. */
function readInto(run: Run<unknown>): Record<string, unknown> {
  const values: Record<string, unknown> = {}
  for (const key in run.inputs) {
    const input = run.inputs[key]
    if (input === undefined) continue
    if (isRaw(input)) {
      values[key] = input.raw
      run.lines.push(rawLine(key, input))
      if (input.from) for (const one of input.from) rest(run, one)
    } else if (rest(run, input)) {
      values[key] = input.value
      run.lines.push(inputLine(key, input))
    }
  }
  return values
}

/** What a run rests on an input for: whether it is known, and whether it is typical. */
function rest(run: Run<unknown>, input: FigureState): input is Figure {
  if (!isKnown(input)) {
    ;(run.unknown ??= []).push(input)
    return false
  }
  if (input.restsOnTypical) run.restsOnTypical = true
  return true
}

const NOTHING: FigureInput[] = []

const sameFigure = (a: Figure, b: Figure): boolean =>
  a.value === b.value &&
  a.label === b.label &&
  a.basis === b.basis &&
  a.dimension === b.dimension &&
  a.restsOnTypical === b.restsOnTypical &&
  a.ruleId === b.ruleId &&
  a.path === b.path &&
  a.citation === b.citation &&
  (a.from === b.from || sameValue(a.from, b.from))

/** Every figure has the same keys in the same order, known or not: thousands are read at every key, and one shape is read fastest. */
const figure = (
  id: FigureId,
  label: string,
  dimension: Dimension,
  value: number,
  basis: Basis,
  restsOnTypical: boolean,
  from: FigureInput[],
  { ruleId, path, citation }: Pick<Figure, 'ruleId' | 'path' | 'citation'>,
): Figure => ({ id, label, value, dimension, basis, restsOnTypical, ruleId, path, citation, from })

const restOnTypical = (readings: readonly FigureState[]): boolean =>
  readings.some((r) => isKnown(r) && r.restsOnTypical)

const missingOf = (readings: readonly FigureState[]): PlanPath[] => [
  ...new Set(readings.flatMap((r) => (isKnown(r) ? [] : r.missing))),
]

const rawLine = (key: string, { label, shown }: Raw): FigureInput => ({
  key,
  label,
  value: shown,
  dimension: undefined,
  basis: undefined,
  figureId: undefined,
})

/** A line of a working: a figure that went into another. */
export const inputLine = (key: string, f: Figure): FigureInput => ({
  key,
  label: f.label,
  value: f.value,
  dimension: f.dimension,
  basis: f.basis,
  figureId: f.id,
})
