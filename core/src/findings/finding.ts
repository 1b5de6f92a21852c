import type { Facts } from '../facts/facts'
import type { FigureId } from '../facts/figureId'
import { fieldAt, isThere, type Patch, type Plan, type PlanPath } from '../plan'
import { message, type Message } from '../quantities'
import type { ChainLinkId } from '../stages/chainLinks'
import type { JudgedStage } from '../runIn/runInSheet'
import type { StopPlan } from '../runIn/stopSteps'
import { isDue, type Milestone } from '../stages/milestones'
import type { StageId } from '../stages/stages'
import type { CannotBeJudged, DoesNotApply, Good } from './answer'
import { notOfHeart } from './heartsOfJudgements'

export const severities = ['stop', 'watch', 'note'] as const
export type Severity = (typeof severities)[number]

/** A change that mends what a finding names, in one press. */
export interface Remedy {
  label: Message
  patch: Patch
  /** One of several named steps: what it mends is mended only with the others. */
  step?: boolean
  /** Work on the mains: it says who may do it. */
  mains?: boolean
}

/** What a judgement says where something is wrong, or worth knowing. */
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
  /** What it follows from: once that is mended it is gone, or is judged anew. */
  follows?: FindingId | undefined
  /** Something still to be done, rather than decided wrongly: it stands red only once it is due. */
  toDo?: boolean
}

/** What judgements look at: the facts, and what the run-in makes of them. */
export interface Judged extends Facts {
  runInSheet: readonly JudgedStage[]
  stopPlan: StopPlan
}

/** Found, good, does not apply, or cannot be judged. */
export type Answer = Verdict | Good | DoesNotApply | CannotBeJudged

/** A verdict with where it belongs. */
export interface Finding extends Omit<Verdict, 'about' | 'remedies' | 'figures' | 'toDo'> {
  id: FindingId
  stage: StageId
  chainLink: ChainLinkId
  /** By when it must be mended, and whether that is now. */
  by: Milestone
  due: boolean
  remedies: Remedy[]
  figures: FigureId[]
}

/** What one thing found is called: its judgement, and what it is about where that judgement may find several. */
export type FindingId = string & { readonly finding: unique symbol }

/** The id of a finding; there is no other way to make one. */
export const findingId = (judgement: string, about?: string): FindingId =>
  (about === undefined ? judgement : `${judgement}/${about}`) as FindingId

export const answers = {
  found: 'Found',
  good: 'Good',
  'does-not-apply': 'Does not apply',
  'cannot-be-judged': 'Not judged yet',
} as const

/** One answer of one judgement, as it is listed. */
export interface JudgedLine {
  id: FindingId
  /** What is asked. */
  asks: string
  stage: StageId
  chainLink: ChainLinkId
  by: Milestone
  due: boolean
  /** Whether somebody may be hurt, or something burn, by what it asks. */
  danger: boolean
  answer: keyof typeof answers
  /** Of what was found. */
  severity?: Severity | undefined
  /** What was found; the number that shows that it is good; why it does not apply; which table or rule ended. */
  says: Message
  /** Fields that must be known before it can be judged. */
  missing: PlanPath[]
  figures: FigureId[]
}

/** Where a judgement stands, and what it asks. */
interface Question<Id extends string> {
  id: Id
  asks: string
  stage: StageId
  chainLink: ChainLinkId
  by: Milestone
  danger?: boolean
}

export interface Judgement<Id extends string = string> extends Question<Id> {
  ask: (facts: Judged) => Answer | Answer[]
}

/** Makes a judgement: where it stands, and the question it asks of the facts. */
export const judgement = <const Id extends string>(
  question: Question<Id>,
  ask: (facts: Judged) => Answer | Answer[],
): Judgement<Id> => ({ ...question, ask })

/**
 * A remedy is only offered where every value it sets is one the plan may hold. That the path is there at all is no
 * question: one that is not would be a bug, and throws.
 */
const isPossible = ({ patch }: Remedy, plan: Plan): boolean =>
  patch.every(({ path, value }) => isThere(plan, path) && (value === undefined || fieldAt(path).accepts(value)))

const NO_PATHS: PlanPath[] = []
const NO_SUCH: Message = ['A thing of this kind does not have what it would rest on']
const NO_FIGURES: FigureId[] = []

/** What one judgement says: every answer as it is listed, and what was found. */
export interface Said {
  lines: JudgedLine[]
  findings: Finding[]
}

/** Asks one judgement, where its question is one of what turns the machine. */
export function askedOf(judgement: Judgement, facts: Judged, next: Milestone): Said {
  const given = notOfHeart(judgement.id, facts.plan) ?? judgement.ask(facts)
  const due = isDue(judgement.by, next)
  const findings: Finding[] = []
  const lines = Array.isArray(given)
    ? given.map((answer) => lineOf(judgement, answer, facts, due, findings))
    : [lineOf(judgement, given, facts, due, findings)]
  return { lines, findings }
}

/** One answer as it is listed; what it found is added. */
function lineOf(of: Judgement, answer: Answer, facts: Facts, due: boolean, findings: Finding[]): JudgedLine {
  const id = findingId(of.id, answer.about)
  if ('severity' in answer) {
    const finding = found(of, id, answer, due, facts.plan)
    findings.push(finding)
    const { title, figures, severity, stage } = finding
    return listed(of, id, 'found', title, NO_PATHS, figures, stage, finding.due, severity)
  }
  const as = (kind: JudgedLine['answer'], says: Message, missing = NO_PATHS, figures = NO_FIGURES): JudgedLine =>
    listed(of, id, kind, says, missing, figures, of.stage, due, undefined)
  if ('good' in answer) return as('good', answer.good, NO_PATHS, answer.figures)
  if ('doesNotApply' in answer) return as('does-not-apply', [answer.doesNotApply])
  // What this kind of thing does not have is not asked for.
  const missing = answer.missing.filter((path) => isThere(facts.plan, path))
  const where = answer.ended
  if (missing.length === 0 && where === undefined) return as('does-not-apply', NO_SUCH)
  if (where !== undefined && of.danger === true) findings.push(endedFinding(of, answer.about, where))
  return as('cannot-be-judged', where === undefined ? [] : [where], missing)
}

/** One shape, made at once: this runs two hundred times at every key. */
const listed = (
  { asks, chainLink, by, danger = false }: Judgement,
  id: FindingId,
  answer: JudgedLine['answer'],
  says: Message,
  missing: PlanPath[],
  figures: FigureId[],
  stage: StageId,
  due: boolean,
  severity: Severity | undefined,
): JudgedLine => ({ id, asks, stage, chainLink, by, due, danger, answer, severity, says, missing, figures })

function found(
  { stage, chainLink, by }: Judgement,
  id: FindingId,
  verdict: Verdict,
  due: boolean,
  plan: Plan,
): Finding {
  const { severity, title, says, why, remedies = [], figures = NO_FIGURES, follows, toDo = false } = verdict
  const path = verdict.path !== undefined && isThere(plan, verdict.path) ? verdict.path : undefined
  return {
    id,
    // It stands on the stage of the field that it leads to.
    stage: path === undefined ? stage : fieldAt(path).stage,
    chainLink,
    by,
    due: due || !toDo,
    severity,
    title,
    says,
    why,
    remedies: remedies.filter((remedy) => isPossible(remedy, plan)),
    figures,
    ...(path === undefined ? {} : { path }),
    ...(follows === undefined ? {} : { follows }),
  }
}

/** A rule or table that ends where danger can stand behind it. */
const endedFinding = (
  { id, asks, stage, chainLink, by }: Judgement,
  about: string | undefined,
  where: string,
): Finding => ({
  id: findingId(id, about === undefined ? 'ended' : `${about}-ended`),
  stage,
  chainLink,
  by,
  due: true,
  severity: 'watch',
  title: message`Not judged: ${asks.charAt(0).toLowerCase()}${asks.slice(1)}`,
  says: message`${where}${/[.!?]$/.test(where) ? '' : '.'}`,
  why: 'Where a table or a rule ends, nothing here says that it is safe. Have it judged by somebody who can, or change what led here.',
  remedies: [],
  figures: NO_FIGURES,
})
