import type { z } from 'zod'
import { fieldAt, valueAt, type Plan, type PlanPath } from '../plan'
import type { Dimension } from '../quantities'
import type { Rule } from '../rules/rule'
import { isKnown, type Blocked, type Figure, type FigureInput, type Reading } from './figure'

/** What a figure is to be called and measured in. */
export interface Naming {
  id: string
  label: string
  dimension: Dimension
}

/** A value that is no figure (a choice, a list of stages), with the figures it was put together from. */
export interface Raw {
  raw: unknown
  shown: string | number | boolean
  label: string
  from?: readonly Reading[]
}

type Input = Reading | Raw | undefined

const isRaw = (input: Reading | Raw): input is Raw => 'raw' in input

/**
 * Books every figure of one evaluation: what was given, what is typical, what was computed from
 * which, and what could not be computed and for want of what.
 */
export class Ledger {
  // Tables of hundreds of ids from the start: growing plain objects into them cost a fifth of an evaluation.
  readonly figures = Object.create(null) as Record<string, Figure>
  readonly blocked = Object.create(null) as Record<string, Blocked>

  constructor(private readonly plan: Plan) {}

  private keep<R extends Reading>(reading: R): R {
    if (isKnown(reading)) this.figures[reading.id] = reading
    else this.blocked[reading.id] = reading
    return reading
  }

  /** A number the person typed, under the plan's own label. */
  given(path: PlanPath, label?: string): Reading {
    const known = this.figures[path] ?? this.blocked[path]
    if (known) return known
    const field = fieldAt(path)
    const value = valueAt(this.plan, path)
    const name = label ?? field?.label ?? path
    if (typeof value !== 'number') return this.keep({ id: path, label: name, missing: [path] })
    return this.keep({
      id: path,
      label: name,
      value,
      dimension: field?.dimension ?? 'number',
      basis: 'given',
      restsOnTypical: false,
      path,
      from: [],
    })
  }

  /** A planning value from a table, unless the person has put their own at `override`. */
  typical(naming: Naming, value: number, source: string, override?: PlanPath): Reading {
    const own = override ? valueAt(this.plan, override) : undefined
    const { id, label, dimension } = naming
    if (override && typeof own === 'number')
      return this.keep({
        id,
        label,
        dimension,
        value: own,
        basis: 'given',
        restsOnTypical: false,
        path: override,
        from: [],
      })
    const figure: Figure = { id, label, dimension, value, basis: 'typical', restsOnTypical: true, source, from: [] }
    if (override) figure.path = override
    return this.keep(figure)
  }

  /** A figure that is decided elsewhere (a setting), booked with what it rests on. */
  stated(naming: Naming, value: number, basis: Figure['basis'], from: readonly Reading[], note?: string): Figure {
    const { id, label, dimension } = naming
    const lines: FigureInput[] = []
    for (const f of from) if (isKnown(f)) lines.push(inputLine(f.id, f))
    const figure: Figure = {
      id,
      label,
      value,
      dimension,
      basis,
      restsOnTypical: basis === 'typical' || restOnTypical(from),
      from: lines,
    }
    if (note !== undefined) figure.source = note
    return this.keep(figure)
  }

  block(naming: Pick<Naming, 'id' | 'label'>, from: readonly Reading[], refusal?: string): Blocked {
    return this.keep({ id: naming.id, label: naming.label, missing: missingOf(from), ...(refusal ? { refusal } : {}) })
  }

  /**
   * Runs a rule on figures and books the named outputs. An undefined input is left out; an
   * unknown one blocks the result. Raw inputs carry choices and lists.
   */
  compute<O extends z.ZodObject, K extends keyof z.output<O> & string>(
    rule: Rule<z.ZodObject, O>,
    names: Record<K, Naming>,
    inputs: Record<string, Input>,
  ): Record<K, Reading> & { output?: z.output<O> } {
    // One pass and no copies: this runs for every figure at every keystroke.
    const values: Record<string, unknown> = {}
    const lines: FigureInput[] = []
    const unknown: Reading[] = []
    let restsOnTypical = false
    const see = (reading: Reading): void => {
      if (!isKnown(reading)) unknown.push(reading)
      else if (reading.restsOnTypical) restsOnTypical = true
    }
    for (const key in inputs) {
      const input = inputs[key]
      if (input === undefined) continue
      if (isRaw(input)) {
        values[key] = input.raw
        lines.push({ key, label: input.label, value: input.shown })
        input.from?.forEach(see)
        continue
      }
      see(input)
      if (!isKnown(input)) continue
      values[key] = input.value
      lines.push(inputLine(key, input))
    }
    const made: Partial<Record<K, Reading>> & { output?: z.output<O> } = {}
    const result = unknown.length > 0 ? undefined : rule.run(values)
    const refusal =
      result && !result.ok ? result.faults.map((f) => `${f.field} ${f.message}`.trim()).join('; ') : undefined
    for (const key of Object.keys(names) as K[]) {
      const { id, label, dimension } = names[key]
      // An output that the rule leaves out where it does not apply is not known, rather than a number.
      if (result?.ok && result.value[key] !== undefined)
        made[key] = this.keep({
          id,
          label,
          value: Number(result.value[key]),
          dimension,
          basis: 'computed',
          restsOnTypical,
          ruleId: rule.id,
          from: lines,
        }) as (typeof made)[K]
      else made[key] = this.block(names[key], unknown, refusal) as (typeof made)[K]
    }
    if (result?.ok) made.output = result.value
    return made as Record<K, Reading> & { output?: z.output<O> }
  }
}

const restOnTypical = (readings: readonly Reading[]): boolean => readings.some((r) => isKnown(r) && r.restsOnTypical)

const missingOf = (readings: readonly Reading[]): PlanPath[] => [
  ...new Set(readings.flatMap((r) => (isKnown(r) ? [] : r.missing))),
]

const inputLine = (key: string, f: Figure): FigureInput => ({
  key,
  label: f.label,
  value: f.value,
  dimension: f.dimension,
  basis: f.basis,
  figureId: f.id,
})
