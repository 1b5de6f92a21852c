import { shippedTables, type PlanningTables } from '../data/planningValues'
import type { Facts } from '../facts/facts'
import { Graph, partOf, type Part } from '../graph/graph'
import { keepSame } from '../graph/sameValue'
import { nothingMeasured, type Measured } from '../measurements/measured'
import { withMeasured } from '../measurements/withMeasured'
import { asJudged, type Plan } from '../plan'
import { factsIn } from './factsIn'
import { seenGiven, type Given } from './given'

/** A plan and the facts that follow from it, each made when it is asked for and at most once; nothing is judged. */
export class Known {
  /** What is known. Its plan is the one that is judged: with what was read where nothing was typed. */
  readonly facts: Facts

  /** Made by `known` and `conversion` alone. */
  constructor(readonly graph: Graph) {
    graph.owner = this
    this.facts = factsIn(graph)
  }

  /** The plan as it was typed. */
  get plan(): Plan {
    return seenGiven(this.graph, 'typed')
  }

  get measured(): Measured {
    return seenGiven(this.graph, 'measured')
  }

  /** A further part: see `part`. */
  of<T>(part: KnownPart<T>): T {
    return this.graph.seen(part)
  }
}

/** A part that rests on facts alone. */
export type KnownPart<T> = Part<T> & { readonly rests?: 'facts' }

/**
 * A further part of what is known, made from what it looks at. It stands beside its maker, so that only who asks for it
 * loads it.
 *
 *     export const sheets = part('sheets', ({ facts }) => sheetsOf(facts.wiring.wiring))
 *     known(plan).of(sheets)
 */
export const part = <T>(name: string, make: (known: Known) => T): KnownPart<T> =>
  partOf(name, (graph) => ({ value: make(graph.owner as Known) }), { whole: true })

/** What is known rests on beside its plan. */
export interface Beside {
  readings?: Measured | undefined
  library?: PlanningTables | undefined
  /** The same machine a moment ago: what rests on nothing that has changed is taken over from it. It is not held on to. */
  before?: Known | undefined
  /** Nobody will go on from it: what is read need not be noted, which is quicker. */
  once?: boolean
}

/** The facts of a plan, without what judges them. */
export const known = (plan: Plan, beside?: Beside): Known => new Known(graphOf(plan, beside))

/** The graph in which everything that follows from a plan is made. */
export function graphOf(
  typed: Plan,
  { readings: measured = nothingMeasured, library: tables = shippedTables, before, once = false }: Beside = {},
): Graph {
  const last = before?.graph.given as Given | undefined
  const { plan, fields } = withMeasured(asJudged(typed), measured)
  if (last?.tables !== tables) return new Graph({ typed, plan, measured, fields, tables }, undefined, once)
  const given: Given = {
    typed,
    plan: keepSame(last.plan, sectionsKept(last.plan, plan)),
    measured: keepSame(last.measured, measured),
    fields: keepSame(last.fields, fields),
    tables,
  }
  return new Graph(given, before?.graph, once)
}

/** The plan, with what did not change within its sections as it was. */
function sectionsKept(old: Plan, next: Plan): Plan {
  if (old === next) return old
  const kept: Record<string, unknown> = { ...next }
  for (const key of Object.keys(next) as (keyof Plan)[])
    if (old[key] !== next[key]) kept[key] = keepSame(old[key], next[key])
  return kept as unknown as Plan
}
