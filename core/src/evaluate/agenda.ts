import type { Finding, FindingId, JudgedLine } from '../findings/finding'
import { fieldAt, plannedWork, type Plan, type PlanPath } from '../plan'
import { listed } from '../quantities'
import type { Milestone } from '../stages/milestones'
import { stageIds, stages, type StageId } from '../stages/stages'
import { fieldName } from './fieldName'
import { asked, type FirstStep, type Missing } from './stageStates'

/** One thing to do next. */
export interface NextStep {
  /** Fields to fill in, a finding to look at, or work to be done away from the screen. */
  kind: 'ask' | 'stop' | 'watch' | 'do'
  stage: StageId
  text: string
  /** Fields that are asked for together, all of one stage; the first is gone to. */
  paths?: PlanPath[]
  findingId?: FindingId
}

/** More fields than these are not named in one breath. */
const NAMED = 4

/** What is done away from the screen before each moment of the work, and where its paper is. */
const beyond: Readonly<Record<Milestone, { stage: StageId; text: string }>> = {
  buying: {
    stage: 'drive',
    text: 'Nothing is asked and nothing stops it: buy what is planned, then say that first power comes next',
  },
  'first-power': { stage: 'settings', text: 'Print the settings card, wire it, enter the card, and say so' },
  'first-spin': { stage: 'settings', text: 'Make the checks before first spin, with the belt off' },
  'on-machine': { stage: 'run-in', text: 'Put the belt on, and run it in by its sheet' },
  'in-use': { stage: 'log', text: 'It is in use: keep its log, and look after it' },
}

/**
 * What to do, what matters most first: the first verdict; then what stops it, a cause and not what follows from it; then
 * what is asked now, stage by stage; then watches; then the work away from the screen. Whoever passes one by goes on to the
 * next, and the last is always something to do.
 */
export function agenda(
  plan: Plan,
  first: readonly FirstStep[],
  missing: readonly Missing[],
  judged: readonly JudgedLine[],
  findings: readonly Finding[],
  comesNext: Milestone,
): NextStep[] {
  const due = findings.filter((f) => f.due && f.follows === undefined)
  const of = (severity: 'stop' | 'watch') =>
    due
      .filter((f) => f.severity === severity)
      .map((f): NextStep => ({ kind: severity, stage: f.stage, text: lookAt[severity], findingId: f.id }))
  const begun = first.filter((step) => step.paths.length > 0)
  const early = new Set(begun.flatMap((step) => step.paths))
  return [
    ...begun.map(({ stage, text, paths }): NextStep => ({ kind: 'ask', stage, text, paths })),
    ...of('stop'),
    ...asks(
      plan,
      dueFields(plan, missing, judged).filter((path) => !early.has(path)),
    ),
    ...of('watch'),
    doing(plan, comesNext),
  ]
}

/** Planned work goes before what comes next anyway. */
function doing(plan: Plan, comesNext: Milestone): NextStep {
  const { stage, text } = beyond[comesNext]
  const [first, ...others] = plannedWork(plan)
  if (!first) return { kind: 'do', stage, text }
  const more = others.length === 0 ? '' : `, and ${others.length} more that is planned`
  return {
    kind: 'do',
    stage: 'settings',
    text: `Do what is planned, then look and type what you see: ${first.label}${more}`,
  }
}

const lookAt = { stop: 'Look at what stops it', watch: 'Look at what to watch' }

/** What some stage cannot do without. */
const essential: ReadonlySet<string> = new Set(stageIds.flatMap((id) => stages[id].essentials))

/** What each stage cannot do without, and what a judgement waits for that is due now. */
function dueFields(plan: Plan, missing: readonly Missing[], judged: readonly JudgedLine[]): PlanPath[] {
  const waited = judged.filter((line) => line.due && line.answer === 'cannot-be-judged').flatMap((line) => line.missing)
  const all = new Set([
    ...missing.map((m) => m.path).filter((path) => essential.has(path) && asked(plan, path)),
    ...waited,
  ])
  // That the card was entered is no question: it is work, and the last step says so.
  all.delete('settings.state')
  return [...all]
}

/** The fields of each stage together, named. */
function asks(plan: Plan, paths: readonly PlanPath[]): NextStep[] {
  return stageIds.flatMap((stage): NextStep[] => {
    const here = paths.filter((path) => fieldAt(path).stage === stage)
    if (here.length === 0) return []
    const names = [...new Set(here.map((path) => fieldName(plan, path)))]
    const more = names.length - NAMED
    const shown = more > 1 ? [...names.slice(0, NAMED), `${more} more`] : names
    return [{ kind: 'ask', stage, text: `Fill in: ${listed(shown)}`, paths: here }]
  })
}
