import { takeDrive, takeMotor } from '../compare/takePlate'
import { plateOf, voltsFor } from '../data/leadConnections'
import { planningValues } from '../data/planningValues'
import { evaluate } from '../evaluate/evaluate'
import { torqueSource, type TorqueSource } from '../evaluate/torqueSource'
import { applyPatch, set, type Patch, type Plan } from '../plan'
import { sameNominal } from '../quantities'
import type { DriveChoice, MotorChoice, SearchSpace } from './space'
import type { Wishes } from './wishes'

/** Why a motor and drive do not go together here, or in this shop. */
export type Unfit = 'volts' | 'amps' | 'breaker' | 'room' | 'unknown'

/** One motor, linked one way, on one drive: what holds for every train and every hertz. */
export interface Variant {
  motor: MotorChoice
  drive: DriveChoice
  source: TorqueSource
  poles: number
  /** Slip under full load that lowers the top of the knob; none under vector control. */
  slip: number
  baseHz: number
  /** Hertz of each top and bottom of the space; undefined where motor or drive do not stand them. */
  topHz: (number | undefined)[]
  bottomHz: number[]
  inputA: number
}

/** Flux between which the volts are taken to fit. */
const FLUX = { least: 0.9, most: 1.05 }

/** Above this plate frequency a motor is kept at its plate. */
const HIGH_FREQUENCY_HZ = 100

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
export function pairing(plan: Plan, space: SearchSpace, wishes: Wishes) {
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
      if (flux < FLUX.least || flux > FLUX.most) return 'volts'
    }
    // Whatever is taken off a drive's amps, there are never more than its plate has.
    const plateA = plateOf(motor.connection).plate === 'high' ? motor.plate.highVoltageA : motor.plate.lowVoltageA
    const { ratedOutputA } = drive.plate
    if (plateA !== undefined && ratedOutputA !== undefined && ratedOutputA < plateA) return 'amps'
    return variantOf(bare, motor, drive, space, wishes)
  }
}

/** Judges a motor on a drive in the shop, or says why they are no pair. */
function variantOf(
  plan: Plan,
  motor: MotorChoice,
  drive: DriveChoice,
  { tops, bottoms }: SearchSpace,
  wishes: Wishes,
): Variant | Unfit {
  const { overallMm } = motor.plate
  if (wishes.roomMm !== undefined && !motor.own && (overallMm === undefined || overallMm > wishes.roomMm)) return 'room'
  const tried = applyPatch(plan, variantPatch(motor, drive))
  const evaluation = evaluate(tried)
  const value = (id: string) => evaluation.figures[id]?.value
  const [flux, outputA, plateA, inputA, poles, plateHz] = [
    'motor.fluxFraction',
    'drive.outputA',
    'motor.plateCurrentA',
    'drive.inputA',
    'motor.poles',
    'motor.ratedFrequencyHz',
  ].map(value)
  const source = torqueSource(tried, evaluation)
  if (
    !source ||
    flux === undefined ||
    outputA === undefined ||
    plateA === undefined ||
    poles === undefined ||
    plateHz === undefined
  )
    return 'unknown'
  if (flux < FLUX.least || flux > FLUX.most) return 'volts'
  if (outputA < plateA) return 'amps'
  if (inputA === undefined) return 'unknown'
  const breakerA = plan.supply.breakerA
  if (wishes.withinBreaker && breakerA !== undefined && inputA > breakerA) return 'breaker'
  const kept = poles === 2 || plateHz > HIGH_FREQUENCY_HZ
  const safeHz = ((value('motor.safeRpm') ?? Infinity) * poles) / 120
  const ceilingHz = Math.min(
    kept ? plateHz : plateHz * planningValues.topHertzRatio.value,
    Math.max(plateHz, safeHz),
    drive.plate.maximumHz ?? Infinity,
  )
  const lowestHz = value('settings.minimumHz') ?? plateHz
  return {
    motor,
    drive,
    source,
    poles,
    slip: drive.plate.control === 'vector' ? 0 : (value('motor.slip') ?? 0),
    baseHz: source.baseHz,
    topHz: tops.map((share) => {
      const hz = Math.round(share * plateHz)
      return hz <= ceilingHz + 1e-9 ? hz : undefined
    }),
    bottomHz: bottoms.map((share) => Math.max(lowestHz, Math.round(share * plateHz))),
    inputA,
  }
}
