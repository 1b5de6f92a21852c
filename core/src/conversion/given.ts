import type { PlanningTables } from '../data/planningValues'
import { givenValue, type GivenValue, type Graph } from '../graph/graph'
import type { Measured } from '../measurements/measured'
import type { Plan, PlanPath } from '../plan'

/** What every part of a conversion is made from. */
export interface Given extends Record<string, unknown> {
  /** As it was typed. */
  typed: Plan
  /** As it is judged: with what was read off the machine where it says nothing. */
  plan: Plan
  measured: Measured
  /** Fields of the plan that hold what was read. */
  fields: ReadonlySet<PlanPath>
  tables: PlanningTables
}

const values: { readonly [K in 'typed' | 'plan' | 'measured' | 'fields' | 'tables']: GivenValue } = {
  // The manual is one thing, and so is a list.
  typed: givenValue('typed', (key) => key !== 'manual'),
  plan: givenValue('plan', (key) => key !== 'manual'),
  measured: givenValue('measured'),
  fields: givenValue('fields'),
  tables: givenValue('tables'),
}

/** A given value as whoever asks may see it. */
export const seenGiven = <K extends keyof typeof values>(graph: Graph, name: K): Given[K] =>
  graph.seenGiven(values[name]) as Given[K]
