import type { Facts } from '../evaluate/facts'
import { fieldAt, type Patch, type PlanPath } from '../plan'
import type { Said } from '../quantities'

export const severities = ['stop', 'watch', 'note'] as const
export type Severity = (typeof severities)[number]

export const stageIds = ['survey', 'route', 'motor', 'drive', 'speeds', 'settings'] as const
export type StageId = (typeof stageIds)[number]

export const linkIds = ['wall', 'drive', 'motor', 'belts', 'spindle'] as const
export type LinkId = (typeof linkIds)[number]

/** A change that mends what a finding names, in one press. */
export interface Remedy {
  label: Said
  patch: Patch
}

/** What a judgement says once it applies. */
export interface Verdict {
  severity: Severity
  /** What is wrong, in a few words. */
  title: Said
  /** The numbers behind it. */
  says: Said
  /** Why it matters. */
  why: string
  remedies?: Remedy[]
  /** Figures to open for the working. */
  figures?: string[]
  /** The plan field to go to. */
  path?: PlanPath
  /** Tells apart several verdicts of one judgement. */
  about?: string
}

/** A verdict with where it belongs. */
export interface Finding extends Omit<Verdict, 'about' | 'remedies' | 'figures'> {
  id: string
  stage: StageId
  link: LinkId
  remedies: Remedy[]
  figures: string[]
}

export interface Judgement {
  id: string
  judge: (facts: Facts) => Finding[]
}

/** A remedy is only offered where every value it sets is one the plan may hold. */
const possible = ({ patch }: Remedy): boolean =>
  patch.every(({ path, value }) => value === undefined || fieldAt(path)?.schema.safeParse(value).success === true)

/** Most judgements find nothing, at every keystroke. */
const NONE: Finding[] = []

/** Makes a judgement: where it stands, and the question it asks of the facts. */
export function judgement(
  id: string,
  stage: StageId,
  link: LinkId,
  ask: (facts: Facts) => Verdict | Verdict[] | undefined,
): Judgement {
  return {
    id,
    judge: (facts) => {
      const verdicts = ask(facts)
      if (verdicts === undefined) return NONE
      return (Array.isArray(verdicts) ? verdicts : [verdicts]).map(
        ({ about, remedies = [], figures = [], ...verdict }) => ({
          id: about === undefined ? id : `${id}/${about}`,
          stage,
          link,
          remedies: remedies.filter(possible),
          figures,
          ...verdict,
        }),
      )
    },
  }
}
