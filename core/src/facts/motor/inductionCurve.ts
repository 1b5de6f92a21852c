import { driveOverload } from '../drive/driveOverload'
import {
  hertzAtRpm,
  PULL_OUT_MARGIN,
  pullOut,
  rpmAtHertz,
  torqueByCurrent,
  torqueCapability,
  type EquivalentCircuit,
} from '../../motor'
import { Refusal } from '../../rules/rule'
import type { Knowing } from '../context'
import { numberOf } from '../figure'
import type { DriveFacts } from '../drive/driveFacts'
import type { MotorFacts } from './motorKnown'
import type { MotorPhysics } from './motorPhysics'
import type { TorqueCurve } from './torquePoint'
import type { SettingsFacts } from '../settings/settingsFacts'
import type { SpeedFacts } from '../spindle/speedFacts'

/** What an induction motor on a drive makes its curve from: plain numbers, so that an evaluation can carry them. */
export interface InductionTorque {
  of: 'induction'
  ratedTorqueNm: number
  plateHz: number
  baseHz: number
  poles: number
  lowestHz: number
  highestHz: number
  breakdownRatio: number
  /** Fastest the motor may turn, where that is known. */
  safeRpm?: number
  cooling: 'shaft-fan' | 'blower'
  inverterDutyRatio?: number
  /** Plate amps for the links used, and those at no load, where they are known. */
  plateA?: number
  noLoadA?: number
  /** What the drive gives all day, and how often that for a minute. */
  driveA?: number
  overload: number
  isVf: boolean
  slip: number
  /** Flux at the base that is set over the plate's. */
  flux: number
  /** The fitted circuit and the volts at base hertz of the plain V/f line that feeds it, without boost. */
  circuit?: EquivalentCircuit
  setVoltageV?: number
}

/** What the curve is made from; undefined while the plate, the poles or the hertz are unknown. */
export function inductionTorque({
  plan,
  tables,
  motor,
  drive,
  settings,
  speeds,
  physics,
}: Knowing<{
  motor: MotorFacts
  drive: DriveFacts
  settings: SettingsFacts
  speeds: SpeedFacts
  physics: MotorPhysics
}>): InductionTorque | undefined {
  const [ratedTorqueNm, plateHz, baseHz, poles, lowestHz, highestHz] = [
    motor.torqueNm,
    motor.frequencyHz,
    settings.baseFrequencyHz,
    motor.poles,
    settings.minimumHz,
    settings.maximumHz,
  ].map(numberOf)
  if (
    ratedTorqueNm === undefined ||
    plateHz === undefined ||
    baseHz === undefined ||
    poles === undefined ||
    lowestHz === undefined ||
    highestHz === undefined
  )
    return undefined
  const { cooling, inverterDutyRatio, breakdownRatio } = plan.motor
  const [safeRpm, driveA, plateA, noLoadA] = [motor.safeRpm, drive.outputA, motor.plateCurrentA, physics.noLoadA].map(
    numberOf,
  )
  const overload = driveOverload(plan, tables)
  const setVoltageV = numberOf(speeds.setVoltageV)
  return {
    of: 'induction',
    ratedTorqueNm,
    plateHz,
    baseHz,
    poles,
    lowestHz,
    highestHz,
    breakdownRatio: breakdownRatio ?? tables.planning.breakdownRatio.value,
    ...(safeRpm === undefined ? {} : { safeRpm }),
    cooling: cooling === 'blower' ? 'blower' : 'shaft-fan',
    ...(inverterDutyRatio === undefined ? {} : { inverterDutyRatio }),
    ...(plateA === undefined ? {} : { plateA }),
    ...(noLoadA === undefined ? {} : { noLoadA }),
    ...(driveA === undefined ? {} : { driveA }),
    overload,
    isVf: plan.drive.control === 'vf',
    slip: numberOf(motor.slip) ?? 0,
    flux: numberOf(speeds.fluxFraction) ?? 1,
    ...(physics.circuit && setVoltageV !== undefined ? { circuit: physics.circuit, setVoltageV } : {}),
  }
}

/** Torque over speed of an induction motor on a drive. */
export function inductionCurve(inputs: InductionTorque): TorqueCurve {
  const { ratedTorqueNm, plateHz, baseHz, poles, breakdownRatio, inverterDutyRatio, flux, isVf } = inputs
  const { circuit, setVoltageV = 0 } = inputs
  const capability = (frequencyHz: number, cooling: 'shaft-fan' | 'blower') => {
    const made = torqueCapability.compute({
      frequencyHz,
      ratedFrequencyHz: plateHz,
      ratedTorqueNm,
      breakdownRatio,
      cooling,
      inverterDutyRatio,
      fluxFraction: flux,
      baseFrequencyHz: baseHz,
    })
    return made instanceof Refusal ? { peakNm: 0 } : made
  }
  const driven = amps(inputs)
  return {
    baseRpm: rpmAtHertz(baseHz, poles),
    lowestRpm: rpmAtHertz(inputs.lowestHz, poles),
    highestRpm: rpmAtHertz(inputs.highestHz, poles),
    slipNm: ratedTorqueNm * Math.min(1, flux) ** 2,
    // Slip in rpm is the same at any hertz up to base, under the same torque.
    slipRpm: isVf ? inputs.slip * rpmAtHertz(plateHz, poles) : 0,
    at: (motorRpm) => {
      const frequencyHz = hertzAtRpm(motorRpm, poles)
      const field = Math.min(1, flux * Math.min(1, baseHz / frequencyHz))
      const cooled = capability(frequencyHz, inputs.cooling)
      const blown = capability(frequencyHz, 'blower')
      const allDayNm = driven(1, field)
      const blowerNm = Math.min(blown.continuousNm ?? 0, allDayNm)
      const vectorNm = Math.min(blown.peakNm, driven(inputs.overload, field))
      const outputV = setVoltageV * Math.min(1, frequencyHz / baseHz)
      const vfNm =
        circuit && frequencyHz > 0 ? Math.min(vectorNm, pullOut(circuit, outputV, frequencyHz).torqueNm) : undefined
      const peakNm = isVf ? (vfNm ?? vectorNm) : vectorNm
      return {
        motorRpm,
        frequencyHz,
        // What is not there for a moment is not there all day.
        ...(cooled.continuousNm === undefined ? {} : { continuousNm: Math.min(cooled.continuousNm, allDayNm, peakNm) }),
        blowerNm,
        vectorNm,
        ...(vfNm === undefined ? {} : { vfNm }),
        peakNm,
      }
    },
  }
}

/** Torque by the drive's amps, so many times what it gives all day, in a field; no limit where the amps are not known. */
function amps({ ratedTorqueNm, plateA, noLoadA, driveA }: InductionTorque): (times: number, field: number) => number {
  if (plateA === undefined || driveA === undefined) return () => Infinity
  return (times, field) => {
    const made = torqueByCurrent.compute({
      ratedTorqueNm,
      ratedCurrentA: plateA,
      noLoadCurrentA: noLoadA ?? 0,
      currentA: times * driveA,
      fluxFraction: field,
    })
    return made instanceof Refusal ? 0 : made.torqueNm
  }
}

/** Unloaded rpm up to which rated power is held; beyond, pull-out limits it. */
export const fieldWeakeningHz = ({ baseHz, breakdownRatio, flux }: InductionTorque): number =>
  baseHz * Math.max(1, (Math.min(1, flux) * breakdownRatio) / PULL_OUT_MARGIN)
