import { sizeUpReasons } from '../facts/drive/sizing'
import { relinkingPlan } from '../facts/motor/relinkingPlan'
import { spindleLimits } from '../facts/spindle/spindleLimits'
import type { Judged } from '../findings/finding'
import { agenda } from './agenda'
import { chain } from './chain'
import type { Evaluation } from './evaluation'
import { nextMilestone } from './nextMilestone'
import { jobLine, positionLine } from './positionLine'
import { firstSteps, missingFields, stageStates } from './stageStates'

/** What is put together from the books of all facts and the answers of all judgements. */
type Gathered = 'figures' | 'blocked' | 'findings' | 'judged'

/** How each part of an evaluation is made from the facts and from its other parts. */
export const evaluationParts: {
  readonly [K in Exclude<keyof Evaluation, Gathered>]-?: (facts: Judged, evaluation: Evaluation) => Evaluation[K]
} = {
  missing: ({ plan }, { blocked, figures }) => missingFields(plan, blocked, figures),
  chain: (facts, { findings, judged }) => chain(facts, findings, judged),
  stages: ({ plan }, { missing, findings }) => stageStates(plan, missing, findings),
  agenda: ({ plan }, { firstSteps: steps, missing, judged, findings, comesNext }) =>
    agenda(plan, steps, missing, judged, findings, comesNext),
  firstSteps: ({ plan }) => firstSteps(plan),
  comesNext: nextMilestone,
  positions: (facts) => facts.speeds.positions.map((p) => positionLine(facts, p)),
  jobs: ({ jobs, speeds }) => jobs.map((job) => jobLine(speeds.positions, job)),
  limits: ({ plan }) =>
    spindleLimits(plan)
      .map(({ rpm, what, marked }) => ({ rpm, what, marked }))
      .sort((a, b) => a.rpm - b.rpm),
  settings: ({ settings }) => settings.lines,
  earthLeakageType: ({ branchCircuit }) => branchCircuit.earthLeakageType,
  relinking: relinkingPlan,
  torque: ({ torque }) => torque?.inputs,
  sizeUpReasons,
  checks: ({ checks }) => ({
    ...(checks?.insulationVerdict ? { insulation: checks.insulationVerdict } : {}),
    ...(checks?.alike === undefined ? {} : { alike: checks.alike }),
  }),
  delta87Hz: ({ delta87Hz }) => delta87Hz && { connection: delta87Hz.connection, permitted: delta87Hz.permitted },
}
