import { shippedTables, type PlanningTables } from '../data/planningValues'
import type { Evaluation } from '../evaluate/evaluation'
import type { Finding, Judged } from '../findings/finding'
import type { JudgementId } from '../findings/judge'
import { Graph, partOf, type Part } from '../graph/graph'
import { keepSame } from '../graph/sameValue'
import { nothingMeasured, type Measured } from '../measurements/measured'
import { withMeasured } from '../measurements/withMeasured'
import { applyPatch, asJudged, type Patch, type Plan } from '../plan'
import { evaluationIn, saidBy } from './evaluationIn'
import { factsIn } from './factsIn'
import { seenGiven, type Given } from './given'

/**
 * A plan with everything that follows from it and from what was read off the machine, each part made when it is asked
 * for, and at most once.
 */
export class Conversion {
  /** What is known. Its plan is the one that is judged: with what was read where nothing was typed. */
  readonly facts: Judged
  readonly evaluation: Evaluation

  /** Made by `conversion` alone. */
  constructor(readonly graph: Graph) {
    this.facts = factsIn(graph)
    this.evaluation = evaluationIn(graph)
  }

  /** The plan as it was typed. */
  get plan(): Plan {
    return seenGiven(this.graph, 'typed')
  }

  get measured(): Measured {
    return seenGiven(this.graph, 'measured')
  }

  /** A further part: see `part`. */
  of<T>(part: Part<T>): T {
    return this.graph.seen(part)
  }

  /** What some judgements find, and no other is asked: each by itself, in no order of gravity. */
  found(judgements: readonly JudgementId[]): Finding[] {
    return judgements.flatMap((id) => this.graph.seen(saidBy(id)).findings)
  }

  /** The same machine with a patch tried on it, to be looked at and left. */
  tried(patch: Patch): Conversion {
    const { typed, measured, tables } = this.graph.given as Given
    return conversion(applyPatch(typed, patch), { readings: measured, library: tables, before: this, once: true })
  }
}

/**
 * A further part of a conversion, made from what it looks at. It stands beside its maker, so that only who asks for it
 * loads it.
 *
 *     export const sheets = part('sheets', ({ facts }) => sheetsOf(facts.wiring.wiring))
 *     conversion(plan).of(sheets)
 */
export const part = <T>(name: string, make: (conversion: Conversion) => T): Part<T> =>
  partOf(name, (graph) => ({ value: make(new Conversion(graph)) }), { whole: true })

/** What a conversion rests on beside its plan. */
interface Beside {
  readings?: Measured | undefined
  library?: PlanningTables | undefined
  /** The same machine a moment ago: what rests on nothing that has changed is taken over from it. It is not held on to. */
  before?: Conversion | undefined
  /** Nobody will go on from it: what is read need not be noted, which is quicker. */
  once?: boolean
}

/**
 * Everything that follows from a plan. Pure: the same plan, readings and tables give the same, and no valid plan makes it
 * throw. Whoever asks again and again hands in the conversion before.
 *
 * @example conversion(emptyPlan('Lathe')).evaluation.agenda[0]?.text // 'Say what machine it is'
 */
export function conversion(
  typed: Plan,
  { readings: measured = nothingMeasured, library: tables = shippedTables, before, once = false }: Beside = {},
): Conversion {
  const known = before?.graph.given as Given | undefined
  const { plan, fields } = withMeasured(asJudged(typed), measured)
  const given: Given =
    known?.tables === tables
      ? {
          typed,
          plan: keepSame(known.plan, sectionsKept(known.plan, plan)),
          measured: keepSame(known.measured, measured),
          fields: keepSame(known.fields, fields),
          tables,
        }
      : { typed, plan, measured, fields, tables }
  return new Conversion(new Graph(given, known?.tables === tables ? before?.graph : undefined, once))
}

/** The plan, with what did not change within its sections as it was. */
function sectionsKept(old: Plan, next: Plan): Plan {
  if (old === next) return old
  const kept: Record<string, unknown> = { ...next }
  for (const key of Object.keys(next) as (keyof Plan)[])
    if (old[key] !== next[key]) kept[key] = keepSame(old[key], next[key])
  return kept as unknown as Plan
}
