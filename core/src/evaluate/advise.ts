import { shippedTables, type PlanningTables } from '../data/planningValues'
import { severities, type Finding, type FindingId, type Remedy } from '../findings/finding'
import type { Measured } from '../measurements/measured'
import { applyPatch, type Plan } from '../plan'
import { evaluator, type Evaluation } from './evaluate'

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

/**
 * The evaluation with only those remedies that were tried, each on the plan as it would be, and that mend. `judge` judges
 * the plans that are tried.
 */
export function withTriedRemedies(
  plan: Plan,
  evaluation: Evaluation,
  judge: (plan: Plan) => Evaluation = evaluator(),
): Evaluation {
  const findings = evaluation.findings.map((finding) => {
    if (finding.remedies.length === 0) return finding
    const remedies = finding.remedies.filter((remedy) =>
      mends(finding, remedy, evaluation, judge(applyPatch(plan, remedy.patch))),
    )
    return { ...finding, remedies }
  })
  return { ...evaluation, findings }
}

/**
 * Everything the product says about a plan, and only remedies that were tried: what is shown to a person who does not
 * type. Takes as many times `evaluate` as there are remedies.
 *
 * @example advise(emptyPlan('Lathe')).findings.length // 0
 */
export function advise(plan: Plan, tables: PlanningTables = shippedTables, measured?: Measured): Evaluation {
  const judgeWith = evaluator(tables)
  const judge = (tried: Plan) => judgeWith(tried, measured)
  return withTriedRemedies(plan, judge(plan), judge)
}
