import type { PlanningTables } from '../data/planningValues'
import type { Evaluation } from '../evaluate/evaluation'
import { severities, type Finding, type FindingId, type Remedy } from '../findings/finding'
import type { Measured } from '../measurements/measured'
import type { Plan } from '../plan'
import { conversion, type Conversion } from './conversion'

const judgementOf = (id: FindingId): string => id.split('/')[0] ?? id

const isAsGrave = (a: Finding, b: Finding): boolean => severities.indexOf(a.severity) <= severities.indexOf(b.severity)

/**
 * Whether a remedy mends: it makes no new stop, and its own finding is gone or milder, also under another name of the same
 * judgement; what could be judged before still can. One of several named steps need only do no harm.
 */
function mends(finding: Finding, { step }: Remedy, before: Evaluation, after: Evaluation): boolean {
  const known = new Set(before.findings.map((f) => f.id))
  if (after.findings.some((f) => f.severity === 'stop' && !isStopIn(before, f.id))) return false
  if (step === true) return true
  const judgement = judgementOf(finding.id)
  const stays = after.findings.some(
    (f) => (f.id === finding.id || (judgementOf(f.id) === judgement && !known.has(f.id))) && isAsGrave(f, finding),
  )
  if (stays) return false
  return !after.judged.some((line) => line.id === finding.id && line.answer === 'cannot-be-judged')
}

const isStopIn = ({ findings }: Evaluation, id: FindingId): boolean =>
  findings.some((f) => f.id === id && f.severity === 'stop')

/** Whether a remedy of a finding mends, tried once on the machine as it would be. */
export function isMended(of: Conversion, finding: Finding, remedy: Remedy): boolean {
  const known = of.mended.get(remedy) ?? mends(finding, remedy, of.evaluation, of.tried(remedy.patch).evaluation)
  of.mended.set(remedy, known)
  return known
}

/** The evaluation with only those remedies that were tried and that mend. Judges as many plans as there are remedies. */
export const withTriedRemedies = (of: Conversion): Evaluation => ({
  ...of.evaluation,
  findings: of.evaluation.findings.map((finding) =>
    finding.remedies.length === 0
      ? finding
      : { ...finding, remedies: finding.remedies.filter((remedy) => isMended(of, finding, remedy)) },
  ),
})

/**
 * Everything the product says about a plan, and only remedies that were tried: what is shown to a person who does not
 * type.
 *
 * @example advise(emptyPlan('Lathe')).findings.length // 0
 */
export const advise = (plan: Plan, library?: PlanningTables, readings?: Measured): Evaluation =>
  withTriedRemedies(conversion(plan, { library, readings }))
