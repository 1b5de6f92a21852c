import { fluxLimits } from '../data/fluxLimits'
import { takeDrive, takeMotor } from '../plan/takePlate'
import { plateOf, voltsFor } from '../motor/leadConnections'
import { planningValues } from '../data/planningValues'
import { conversion, type Conversion } from '../conversion/conversion'
import { numberOf } from '../facts/figure'
import type { JudgementId } from '../findings/judge'
import type { TorqueCurve } from '../facts/motor/torquePoint'
import { motorCeilingHz } from '../facts/settings/highestHertz'
import { rpmAtHertz } from '../motor'
import { applyPatch, set, type Patch } from '../plan'
import { sameNominal } from '../quantities'
import type { DriveChoice, MotorChoice, SearchSpace } from './space'
import type { SearchCriteria } from './searchCriteria'

/** Why a motor and drive do not go together here, or in this shop. */
export type Unfit = 'volts' | 'amps' | 'wall' | 'breaker' | 'room' | 'unknown'

/** Judgements by which a drive cannot stand on this wall, or give these amps. */
const ofWall = [
  'wall.drive-input-volts',
  'wall.doubler',
  'drive.three-phase-input-on-one',
  'drive.rectifier',
  'supply-unit.static-converter',
] as const satisfies readonly JudgementId[]
const ofAmps = ['drive.output-too-small'] as const satisfies readonly JudgementId[]

/** Less than this share of the motor's amps is no drive for it, whatever else holds. */
const LEAST_SHARE = 0.9

const isStoppedBy = (of: Conversion, judgements: readonly JudgementId[]): boolean =>
  of.found(judgements).some((f) => f.severity === 'stop')

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

/** What a motor of a combination does to the plan, but for its hertz and pulleys. */
const motorPatch = (motor: MotorChoice): Patch => [
  ...takeMotor(motor.plate),
  set('settings.chosen.minimumHz', undefined),
  set('settings.chosen.maximumHz', undefined),
  set('controls.knobTopHz', undefined),
]

/** The same of motor and drive together. */
export const variantPatch = (motor: MotorChoice, drive: DriveChoice): Patch => [
  ...motorPatch(motor),
  ...takeDrive(drive.plate),
]

/**
 * Judges motors on drives in a shop. What the volts and amps of the plates alone tell is told without
 * judging the whole plan.
 */
export function pairing(machine: Conversion, space: SearchSpace, criteria: SearchCriteria) {
  const ceilings = new Map<DriveChoice, number | undefined>()
  const ceilingOf = (drive: DriveChoice): number | undefined => {
    if (!ceilings.has(drive)) ceilings.set(drive, numberOf(machine.tried(takeDrive(drive.plate)).facts.drive.ceilingV))
    return ceilings.get(drive)
  }
  // What jobs, belts and chucks ask is judged train by train; motor and drive are judged without them.
  const goneOn = (from: Conversion, patch: Patch) => conversion(applyPatch(from.plan, patch), { before: from })
  const bare = goneOn(machine, [set('survey.positions', []), set('survey.jobs', []), set('survey.holders', [])])
  // What is known of a motor is worked out once: the pairs come motor by motor.
  let last: { motor: MotorChoice; on: Conversion } | undefined
  const withMotor = (motor: MotorChoice): Conversion => {
    if (last?.motor !== motor) last = { motor, on: goneOn(bare, motorPatch(motor)) }
    return last.on
  }
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
    return variantOf(withMotor(motor), motor, drive, space, criteria)
  }
}

/** Judges a motor on a drive in the shop, or says why they are no pair. */
function variantOf(
  withMotor: Conversion,
  motor: MotorChoice,
  drive: DriveChoice,
  { tops, bottoms }: SearchSpace,
  criteria: SearchCriteria,
): Variant | Unfit {
  const { overallMm } = motor.plate
  if (criteria.roomMm !== undefined && !motor.own && (overallMm === undefined || overallMm > criteria.roomMm))
    return 'room'
  const tried = withMotor.tried(takeDrive(drive.plate))
  const { facts } = tried
  const { acting } = facts
  const [flux, outputA, plateA, inputA, poles, plateHz] = [
    acting.flux.fluxFraction,
    facts.drive.outputA,
    facts.motor.plateCurrentA,
    facts.drive.inputA,
    facts.motor.poles,
    facts.motor.frequencyHz,
  ].map(numberOf)
  const curve = facts.torque?.curve
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
  if (isStoppedBy(tried, ofWall)) return 'wall'
  if (outputA < plateA * LEAST_SHARE || isStoppedBy(tried, ofAmps)) return 'amps'
  if (inputA === undefined) return 'unknown'
  const breakerA = tried.plan.supply.breakerA
  if (criteria.withinBreaker && breakerA !== undefined && inputA > breakerA) return 'breaker'
  const ceilingHz = motorCeilingHz(
    { poles, plateHz, safeRpm: numberOf(facts.motor.safeRpm), driveHz: drive.plate.maximumHz },
    planningValues.topHertzRatio.value,
  )
  const lowestHz = numberOf(acting.minimumHz) ?? plateHz
  const topHz = tops.map((share) => {
    const hz = Math.round(share * plateHz)
    return hz <= ceilingHz ? hz : undefined
  })
  const bottomHz = bottoms.map((share) => Math.max(lowestHz, Math.round(share * plateHz)))
  return {
    motor,
    drive,
    curve,
    slip: drive.plate.control === 'vector' ? 0 : (numberOf(facts.motor.slip) ?? 0),
    topHz,
    topRpm: topHz.map((hz) => (hz === undefined ? undefined : rpmAtHertz(hz, poles))),
    bottomHz,
    bottomRpm: bottomHz.map((hz) => rpmAtHertz(hz, poles)),
    inputA,
  }
}
