import type { Blocked, Figure } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import type { RelinkingPlan } from '../facts/motor/relinkingPlan'
import type { TorqueInputs } from '../facts/motor/torqueInputs'
import type { SettingLine } from '../facts/settings/settingLine'
import type { Finding, JudgedLine } from '../findings/finding'
import type { Connection } from '../plan'
import type { Milestone } from '../stages/milestones'
import type { NextStep } from './agenda'
import type { ChainLink } from './chain'
import type { JobLine, PositionLine } from './positionLine'
import type { FirstStep, Missing, StageLine } from './stageStates'

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
