import type { Dimension } from '../quantities'
import type { PlanPath } from '../plan'

/** Where a figure's number comes from. */
export type Basis = 'given' | 'measured' | 'computed' | 'typical'

/** One input of a computed figure, as it stood. */
export interface FigureInput {
  /** Key in the rule's schema. */
  key: string
  label: string
  value: number | string | boolean
  dimension?: Dimension
  basis?: Basis
  /** The figure it came from, to be opened in turn. */
  figureId?: string
}

/** A number the product shows, with everything needed to show its working. Values are in base units. */
export interface Figure {
  id: string
  label: string
  value: number
  dimension: Dimension
  basis: Basis
  /** True where it, or anything it came from, is a typical planning value. */
  restsOnTypical: boolean
  ruleId?: string
  /** For given and typical values: the plan field, or the table they came from. */
  path?: PlanPath
  source?: string
  from: FigureInput[]
}

/** A figure that cannot be had yet, and why. */
export interface Blocked {
  id: string
  label: string
  /** Plan fields that are still unknown. */
  missing: PlanPath[]
  /** What the arithmetic said, where the inputs are there but cannot be. */
  refusal?: string
}

export type Reading = Figure | Blocked

export const isKnown = (reading: Reading): reading is Figure => 'value' in reading

/** The number, where there is one. */
export const numberOf = (reading: Reading | undefined): number | undefined =>
  reading && isKnown(reading) ? reading.value : undefined

/** Marks a figure whose own rule holds a planning value. */
export function onPlanning(reading: Reading): Reading {
  if (isKnown(reading)) reading.restsOnTypical = true
  return reading
}
