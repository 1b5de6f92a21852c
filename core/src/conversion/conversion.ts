import type { Evaluation } from '../evaluate/evaluation'
import type { Finding, Judged, Remedy } from '../findings/finding'
import type { JudgementId } from '../findings/judge'
import { partOf, type Graph, type Part } from '../graph/graph'
import { applyPatch, type Patch, type Plan } from '../plan'
import { evaluationIn, saidBy } from './evaluationIn'
import type { Given } from './given'
import { judgedIn } from './judgedIn'
import { graphOf, Known, type Beside } from './known'

/**
 * A plan with everything that follows from it and from what was read off the machine, each part made when it is asked
 * for, and at most once.
 */
export class Conversion extends Known {
  override readonly facts: Judged
  readonly evaluation: Evaluation
  /** Remedies that were tried on it, and whether each mends. */
  readonly mended = new Map<Remedy, boolean>()

  /** Made by `conversion` alone. */
  constructor(graph: Graph) {
    super(graph)
    this.facts = judgedIn(graph)
    this.evaluation = evaluationIn(graph)
  }

  /** A further part, of those too that look at what is judged. */
  override of<T>(part: Part<T>): T {
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

/** A part that looks at what is judged. */
export interface JudgedPart<T> extends Part<T> {
  readonly rests: 'judgements'
}

/** A further part that looks at what is judged, or tries patches: see `part`. */
export const judgedPart = <T>(name: string, make: (conversion: Conversion) => T): JudgedPart<T> => ({
  ...partOf(name, (graph) => ({ value: make(graph.owner as Conversion) }), { whole: true }),
  rests: 'judgements',
})

/**
 * Everything that follows from a plan. Pure: the same plan, readings and tables give the same, and no valid plan makes it
 * throw. Whoever asks again and again hands in the conversion before.
 *
 * @example conversion(emptyPlan('Lathe')).evaluation.agenda[0]?.text // 'Say what machine it is'
 */
export const conversion = (plan: Plan, beside?: Beside): Conversion => new Conversion(graphOf(plan, beside))
