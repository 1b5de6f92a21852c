import type { Dimension } from '../quantities'
import type { PlanPath } from '../plan'
import type { RuleId } from '../rulebook/registry'
import type { FigureId } from './figureId'

/** Where a figure's number comes from. */
export type Basis = 'given' | 'measured' | 'computed' | 'typical'

/** One input of a computed figure, as it stood. */
export interface FigureInput {
  /** Key in the rule's schema. */
  key: string
  label: string
  value: number | string | boolean
  dimension?: Dimension | undefined
  basis?: Basis | undefined
  /** The figure it came from, to be opened in turn. */
  figureId?: FigureId | undefined
}

/** A number the product shows, with everything needed to show its working. Values are in base units. */
export interface Figure {
  id: FigureId
  label: string
  value: number
  dimension: Dimension
  basis: Basis
  /** True where it, or anything it came from, is a typical planning value. */
  restsOnTypical: boolean
  ruleId?: RuleId | undefined
  /** For given and typical values: the plan field, or the table they came from. */
  path?: PlanPath | undefined
  citation?: string | undefined
  from: FigureInput[]
}

/** A figure that cannot be had yet, and why. */
export interface Blocked {
  id: FigureId
  label: string
  /** Plan fields that are still unknown. */
  missing: PlanPath[]
  /** What the arithmetic said, where the inputs are there but cannot be. */
  refusal?: string
}

export type FigureState = Figure | Blocked

/** Whether a figure has a value; else it says what is missing or why a rule refused. */
export const isKnown = (reading: FigureState): reading is Figure => 'value' in reading

/**
 * The number, in its dimension's base unit, where there is one.
 *
 * @example numberOf({ value: 1500, basis: 'computed' }) // 1500
 * numberOf(undefined) // undefined
 */
export const numberOf = (reading: FigureState | undefined): number | undefined =>
  reading && isKnown(reading) ? reading.value : undefined
