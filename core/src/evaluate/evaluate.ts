import { shippedTables, type PlanningTables } from '../data/planningValues'
import { sizeUpReasons } from '../facts/drive/sizing'
import { factsFor } from '../facts/factsFor'
import type { Blocked, Figure } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import { circuitMemory, type CircuitMemory } from '../facts/motor/plateCircuit'
import { wiringMemory, type WiringMemory } from '../facts/wiring/wiringFacts'
import { relinkingPlan, type RelinkingPlan } from '../facts/motor/relinkingPlan'
import type { TorqueInputs } from '../facts/motor/torqueInputs'
import type { SettingLine } from '../facts/settings/settingLine'
import { spindleLimits } from '../facts/spindle/spindleLimits'
import type { Finding, JudgedLine } from '../findings/finding'
import { judge } from '../findings/judge'
import { nothingMeasured, type Measured } from '../measurements/measured'
import type { Connection, Plan } from '../plan'
import type { Milestone } from '../stages/milestones'
import { agenda, type NextStep } from './agenda'
import { chain, type ChainLink } from './chain'
import { nextMilestone } from './nextMilestone'
import { jobLine, positionLine, type JobLine, type PositionLine } from './positionLine'
import { firstSteps, missingFields, stageStates, type FirstStep, type Missing, type StageLine } from './stageStates'

/** Everything the product says about a plan. Figures are in base units; prose holds amounts unprinted. */
export interface Evaluation {
  figures: Partial<Record<FigureId, Figure>>
  blocked: Partial<Record<FigureId, Blocked>>
  missing: Missing[]
  chain: ChainLink[]
  stages: StageLine[]
  /** What to do, in the order of the work; never empty. */
  agenda: NextStep[]
  /** The way to a first verdict; all done once there is one. */
  firstSteps: FirstStep[]
  findings: Finding[]
  /** By when things are due now. */
  comesNext: Milestone
  /** Every question and its answer: found, good, does not apply, or cannot be judged. */
  judged: JudgedLine[]
  positions: PositionLine[]
  jobs: JobLine[]
  /** Kind of earth-leakage device the circuit wants. */
  earthLeakageType?: 'F' | 'B'
  /** What speaks for a drive one size up here. */
  sizeUpReasons: string[]
  /** Verdicts on a second-hand motor's tests. */
  checks: { insulation?: 'pass' | 'dry-out' | 'reject'; alike?: boolean }
  /** Lower-voltage links on this higher-voltage drive, where that trick applies. */
  delta87Hz?: { connection: Connection; permitted: boolean }
  /** Speed limits of what spins, lowest first. */
  limits: { rpm: number; what: string; marked: boolean }[]
  settings: SettingLine[]
  /** The terminal box as found and as it should be; undefined for motors without a choice of links. */
  relinking?: RelinkingPlan
  /** What the motor's torque over speed is made from, where enough is known. */
  torque?: TorqueInputs
}

/** What is made anew only when the part of the plan that it rests on changes: the motor's circuit, and the wiring. */
export interface EvaluationMemory {
  circuit: CircuitMemory
  wiring: WiringMemory
}

/**
 * Judges a plan. Pure: the same plan and tables give the same evaluation, and no valid plan makes it throw. Whoever
 * judges again and again hands in a memory, so that the motor's circuit is fitted, and the
 * wiring made, only when what they rest on changes.
 *
 * @example evaluate(emptyPlan('Lathe')).agenda[0]?.text // 'Say what machine it is'
 */
export function evaluate(
  typed: Plan,
  tables: PlanningTables = shippedTables,
  measured: Measured = nothingMeasured,
  memory?: EvaluationMemory,
): Evaluation {
  const { plan, ledger, facts } = factsFor(typed, measured, tables, memory)
  const comesNext = nextMilestone(facts)
  const { lines, findings } = judge(facts, comesNext)
  const relinking = relinkingPlan(facts)
  const missing = missingFields(plan, ledger.blocked, ledger.figures)
  const steps = firstSteps(plan)
  return {
    figures: ledger.figures,
    blocked: ledger.blocked,
    missing,
    chain: chain(facts, findings, lines),
    stages: stageStates(plan, missing, findings),
    agenda: agenda(plan, steps, missing, lines, findings, comesNext),
    firstSteps: steps,
    findings,
    comesNext,
    judged: lines,
    positions: facts.speeds.positions.map((p) => positionLine(facts, p)),
    jobs: facts.jobs.map((job) => jobLine(facts.speeds.positions, job)),
    limits: spindleLimits(plan)
      .map(({ rpm, what, marked }) => ({ rpm, what, marked }))
      .sort((a, b) => a.rpm - b.rpm),
    settings: facts.settings.lines,
    ...(facts.branchCircuit.earthLeakageType ? { earthLeakageType: facts.branchCircuit.earthLeakageType } : {}),
    ...(relinking ? { relinking } : {}),
    ...(facts.torque ? { torque: facts.torque.inputs } : {}),
    sizeUpReasons: sizeUpReasons(facts),
    checks: {
      ...(facts.checks?.insulationVerdict ? { insulation: facts.checks.insulationVerdict } : {}),
      ...(facts.checks?.alike === undefined ? {} : { alike: facts.checks.alike }),
    },
    ...(facts.delta87Hz
      ? { delta87Hz: { connection: facts.delta87Hz.connection, permitted: facts.delta87Hz.permitted } }
      : {}),
  }
}

/**
 * An `evaluate` that remembers the last motor's circuit and the last wiring, for whoever judges a plan again and again while it is edited.
 *
 * @example evaluator()(emptyPlan('Lathe')).findings.length // 0
 */
export function evaluator(tables: PlanningTables = shippedTables): (plan: Plan, measured?: Measured) => Evaluation {
  const memory: EvaluationMemory = { circuit: circuitMemory(), wiring: wiringMemory() }
  return (plan, measured) => evaluate(plan, tables, measured, memory)
}
