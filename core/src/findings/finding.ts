import type { Facts } from '../facts/facts'
import type { FigureId } from '../facts/figureId'
import { fieldAt, type Patch, type PlanPath } from '../plan'
import type { Message } from '../quantities'
import type { ChainLinkId } from '../stages/chainLinks'
import type { StageId } from '../stages/stages'

export const severities = ['stop', 'watch', 'note'] as const
export type Severity = (typeof severities)[number]

/** A change that mends what a finding names, in one press. */
export interface Remedy {
  label: Message
  patch: Patch
}

/** What a judgement says once it applies. */
export interface Verdict {
  severity: Severity
  /** What is wrong, in a few words. */
  title: Message
  /** The numbers behind it. */
  says: Message
  /** Why it matters. */
  why: string
  remedies?: Remedy[]
  /** Figures to open for the working. */
  figures?: FigureId[]
  /** The plan field to go to. */
  path?: PlanPath
  /** Tells apart several verdicts of one judgement. */
  about?: string
}

/** A verdict with where it belongs. */
export interface Finding extends Omit<Verdict, 'about' | 'remedies' | 'figures'> {
  id: FindingId
  stage: StageId
  chainLink: ChainLinkId
  remedies: Remedy[]
  figures: FigureId[]
}

/** What one thing found is called: its judgement, and what it is about where that judgement may find several. */
export type FindingId = string & { readonly finding: unique symbol }

/** The id of a finding; there is no other way to make one. */
export const findingId = (judgement: string, about?: string): FindingId =>
  (about === undefined ? judgement : `${judgement}/${about}`) as FindingId

export interface Judgement<Id extends string = string> {
  id: Id
  judge: (facts: Facts) => Finding[]
}

/**
 * A remedy is only offered where every value it sets is one the plan may hold. That the path is there at all is no
 * question: one that is not would be a bug, and throws.
 */
const possible = ({ patch }: Remedy): boolean =>
  patch.every(({ path, value }) => value === undefined || fieldAt(path).accepts(value))

/** Most judgements find nothing, at every keystroke. */
const NONE: Finding[] = []

/** Makes a judgement: where it stands, and the question it asks of the facts. */
export function judgement<const Id extends string>(
  id: Id,
  stage: StageId,
  chainLink: ChainLinkId,
  ask: (facts: Facts) => Verdict | Verdict[] | undefined,
): Judgement<Id> {
  return {
    id,
    judge: (facts) => {
      const verdicts = ask(facts)
      if (verdicts === undefined) return NONE
      return (Array.isArray(verdicts) ? verdicts : [verdicts]).map(
        ({ about, remedies = [], figures = [], ...verdict }) => ({
          id: findingId(id, about),
          stage,
          chainLink,
          remedies: remedies.filter(possible),
          figures,
          ...verdict,
        }),
      )
    },
  }
}
