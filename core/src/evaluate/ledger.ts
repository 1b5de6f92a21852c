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
  readonly figures = new Map<string, Figure>()
  readonly blocked = new Map<string, Blocked>()

  constructor(private readonly plan: Plan) {}

  private keep<R extends Reading>(reading: R): R {
    if (isKnown(reading)) this.figures.set(reading.id, reading)
    else this.blocked.set(reading.id, reading)
    return reading
  }

  /** A number the person typed, under the plan's own label. */
  given(path: PlanPath, label?: string): Reading {
    const known = this.figures.get(path) ?? this.blocked.get(path)
    if (known) return known
    const field = fieldAt(path)
    const value = valueAt(this.plan, path)
    const name = label ?? field?.label ?? path
    if (typeof value !== 'number') return this.keep({ id: path, label: name, missing: [path] })
    return this.keep({ id: path, label: name, value, dimension: field?.dimension ?? 'number', basis: 'given', restsOnTypical: false, path, from: [] })
  }

  /** A planning value from a table, unless the person has put their own at `override`. */
  typical(naming: Naming, value: number, source: string, override?: PlanPath): Reading {
    const own = override ? valueAt(this.plan, override) : undefined
    if (override && typeof own === 'number')
      return this.keep({ ...naming, value: own, basis: 'given', restsOnTypical: false, path: override, from: [] })
    return this.keep({ ...naming, value, basis: 'typical', restsOnTypical: true, source, from: [], ...(override ? { path: override } : {}) })
  }

  /** A figure that is decided elsewhere (a setting), booked with what it rests on. */
  stated(naming: Naming, value: number, basis: Figure['basis'], from: readonly Reading[], note?: string): Figure {
    return this.keep({
      ...naming,
      value,
      basis,
      restsOnTypical: basis === 'typical' || restOnTypical(from),
      from: from.filter(isKnown).map((f) => inputLine(f.id, f)),
      ...(note ? { source: note } : {}),
    })
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
    const readings = Object.values(inputs).flatMap((input) => (input === undefined ? [] : isRaw(input) ? [...(input.from ?? [])] : [input]))
    const keys = Object.keys(names) as K[]
    const each = (make: (key: K) => Reading) => Object.fromEntries(keys.map((k) => [k, make(k)])) as Record<K, Reading>
    if (readings.some((r) => !isKnown(r))) return each((k) => this.block(names[k], readings))
    const lines = Object.entries(inputs).flatMap(([key, input]) => (input === undefined ? [] : [lineOf(key, input)]))
    const result = rule.run(Object.fromEntries(Object.entries(inputs).flatMap(([key, input]) => (input === undefined ? [] : [[key, plainValue(input)]]))))
    if (!result.ok) {
      const why = result.faults.map((f) => `${f.field} ${f.message}`.trim()).join('; ')
      return each((k) => this.block(names[k], [], why))
    }
    const made = each((k) =>
      this.keep({
        ...names[k],
        value: Number(result.value[k]),
        basis: 'computed',
        restsOnTypical: restOnTypical(readings),
        ruleId: rule.id,
        from: lines,
      }),
    )
    return { ...made, output: result.value }
  }
}

const restOnTypical = (readings: readonly Reading[]): boolean => readings.some((r) => isKnown(r) && r.restsOnTypical)

const missingOf = (readings: readonly Reading[]): PlanPath[] => [...new Set(readings.flatMap((r) => (isKnown(r) ? [] : r.missing)))]

const plainValue = (input: Reading | Raw): unknown => (isRaw(input) ? input.raw : isKnown(input) ? input.value : undefined)

const inputLine = (key: string, f: Figure): FigureInput => ({ key, label: f.label, value: f.value, dimension: f.dimension, basis: f.basis, figureId: f.id })

function lineOf(key: string, input: Reading | Raw): FigureInput {
  if (isRaw(input)) return { key, label: input.label, value: input.shown }
  return isKnown(input) ? inputLine(key, input) : { key, label: input.label, value: 'not known' }
}
