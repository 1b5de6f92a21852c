import { fluxLimits } from '../data/fluxLimits'
import { takeDrive, takeMotor } from '../plan/takePlate'
import { plateOf, voltsFor } from '../motor/leadConnections'
import { planningValues } from '../data/planningValues'
import { evaluate, type Evaluation } from '../evaluate/evaluate'
import type { JudgementId } from '../findings/judge'
import type { FigureId } from '../facts/figureId'
import { torqueCurve } from '../facts/motor/torqueCurve'
import type { TorqueCurve } from '../facts/motor/torquePoint'
import { motorCeilingHz } from '../facts/settings/highestHertz'
import { rpmAtHertz } from '../motor'
import { applyPatch, set, type Patch, type Plan } from '../plan'
import { sameNominal } from '../quantities'
import type { DriveChoice, MotorChoice, SearchSpace } from './space'
import type { SearchCriteria } from './searchCriteria'

/** Why a motor and drive do not go together here, or in this shop. */
export type Unfit = 'volts' | 'amps' | 'wall' | 'breaker' | 'room' | 'unknown'

/** Judgements by which a drive cannot stand on this wall, or give these amps. */
const ofWall: ReadonlySet<JudgementId> = new Set<JudgementId>([
  'wall.drive-input-volts',
  'wall.doubler',
  'drive.three-phase-input-on-one',
  'drive.rectifier',
  'supply-unit.static-converter',
])
const ofAmps: ReadonlySet<JudgementId> = new Set<JudgementId>(['drive.output-too-small'])

/** Less than this share of the motor's amps is no drive for it, whatever else holds. */
const LEAST_SHARE = 0.9

const stopsBy = ({ findings }: Evaluation, judgements: ReadonlySet<string>): boolean =>
  findings.some((f) => f.severity === 'stop' && judgements.has(f.id.split('/')[0] ?? ''))

/** One motor, linked one way, on one drive: what holds for every train and every hertz. */
export interface Variant {
  motor: MotorChoice
  drive: DriveChoice
  curve: TorqueCurve
  /** Slip under full load that lowers the top of the knob; none under vector control. */
  slip: number
  /** Hertz of each top and bottom of the space; undefined where motor or drive do not stand them. */
  topHz: (number | undefined)[]
  bottomHz: number[]
  /** The same as unloaded motor speeds: all that trains and jobs are judged by. */
  topRpm: (number | undefined)[]
  bottomRpm: number[]
  inputA: number
}

/** What a combination does to the plan, but for its hertz and pulleys. */
export const variantPatch = (motor: MotorChoice, drive: DriveChoice): Patch => [
  ...takeMotor(motor.plate),
  ...takeDrive(drive.plate),
  set('settings.chosen.minimumHz', undefined),
  set('settings.chosen.maximumHz', undefined),
  set('controls.knobTopHz', undefined),
]

/**
 * Judges motors on drives in a shop. What the volts and amps of the plates alone tell is told without
 * judging the whole plan.
 */
export function pairing(plan: Plan, space: SearchSpace, criteria: SearchCriteria) {
  const ceilings = new Map<DriveChoice, number | undefined>()
  const ceilingOf = (drive: DriveChoice): number | undefined => {
    if (!ceilings.has(drive))
      ceilings.set(drive, evaluate(applyPatch(plan, takeDrive(drive.plate))).figures['drive.ceilingV']?.value)
    return ceilings.get(drive)
  }
  // What jobs, belts and chucks ask is judged train by train; motor and drive are judged without them.
  const bare = applyPatch(plan, [set('survey.positions', []), set('survey.jobs', []), set('survey.holders', [])])
  return (motor: MotorChoice, drive: DriveChoice): Variant | Unfit => {
    const [plateV, ceilingV] = [voltsFor(motor.plate, motor.connection), ceilingOf(drive)]
    if (plateV !== undefined && ceilingV !== undefined && !sameNominal(plateV, ceilingV)) {
      const flux = ceilingV / plateV
      if (flux < fluxLimits.weak || flux > fluxLimits.warm) return 'volts'
    }
    // Whatever is taken off a drive's amps, there are never more than its plate has.
    const plateA = plateOf(motor.connection).plate === 'high' ? motor.plate.highVoltageA : motor.plate.lowVoltageA
    const { ratedOutputA } = drive.plate
    if (plateA !== undefined && ratedOutputA !== undefined && ratedOutputA < plateA * LEAST_SHARE) return 'amps'
    return variantOf(bare, motor, drive, space, criteria)
  }
}

/** Judges a motor on a drive in the shop, or says why they are no pair. */
function variantOf(
  plan: Plan,
  motor: MotorChoice,
  drive: DriveChoice,
  { tops, bottoms }: SearchSpace,
  criteria: SearchCriteria,
): Variant | Unfit {
  const { overallMm } = motor.plate
  if (criteria.roomMm !== undefined && !motor.own && (overallMm === undefined || overallMm > criteria.roomMm))
    return 'room'
  const tried = applyPatch(plan, variantPatch(motor, drive))
  const evaluation = evaluate(tried)
  const value = (id: FigureId) => evaluation.figures[id]?.value
  const [flux, outputA, plateA, inputA] = [
    value('motor.fluxFraction'),
    value('drive.outputA'),
    value('motor.plateCurrentA'),
    value('drive.inputA'),
  ]
  const [poles, plateHz] = [value('motor.poles'), value('motor.ratedFrequencyHz')]
  const curve = evaluation.torque && torqueCurve(evaluation.torque)
  if (
    !curve ||
    flux === undefined ||
    outputA === undefined ||
    plateA === undefined ||
    poles === undefined ||
    plateHz === undefined
  )
    return 'unknown'
  if (flux < fluxLimits.weak || flux > fluxLimits.warm) return 'volts'
  if (stopsBy(evaluation, ofWall)) return 'wall'
  if (outputA < plateA * LEAST_SHARE || stopsBy(evaluation, ofAmps)) return 'amps'
  if (inputA === undefined) return 'unknown'
  const breakerA = plan.supply.breakerA
  if (criteria.withinBreaker && breakerA !== undefined && inputA > breakerA) return 'breaker'
  const ceilingHz = motorCeilingHz(
    { poles, plateHz, safeRpm: value('motor.safeRpm'), driveHz: drive.plate.maximumHz },
    planningValues.topHertzRatio.value,
  )
  const lowestHz = value('settings.minimumHz') ?? plateHz
  const topHz = tops.map((share) => {
    const hz = Math.round(share * plateHz)
    return hz <= ceilingHz ? hz : undefined
  })
  const bottomHz = bottoms.map((share) => Math.max(lowestHz, Math.round(share * plateHz)))
  return {
    motor,
    drive,
    curve,
    slip: drive.plate.control === 'vector' ? 0 : (value('motor.slip') ?? 0),
    topHz,
    topRpm: topHz.map((hz) => (hz === undefined ? undefined : rpmAtHertz(hz, poles))),
    bottomHz,
    bottomRpm: bottomHz.map((hz) => rpmAtHertz(hz, poles)),
    inputA,
  }
}
