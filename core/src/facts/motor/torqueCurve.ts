import { hertzAtRpm, pullOut, rpmAtHertz, torqueCapability, type EquivalentCircuit } from '../../motor'
import { Refusal } from '../../rules/rule'
import type { Knowing } from '../context'
import { numberOf } from '../figure'
import type { DriveFacts } from '../drive/driveFacts'
import type { MotorFacts } from './motorFacts'
import type { MotorPhysics } from './motorPhysics'
import type { SettingsFacts } from '../settings/settingsFacts'
import type { SpeedFacts } from '../spindle/speedFacts'

/** Torque at the motor shaft at one speed, N m; what is not known is left out. */
export interface TorquePoint {
  /** Unloaded motor speed. */
  motorRpm: number
  /** At which the drive makes that speed, of a motor that has hertz. */
  frequencyHz?: number
  /** All day with the cooling the motor has. */
  continuousNm?: number
  /** All day with a blower of its own. */
  blowerNm: number
  /** For moments, as far as this drive's amps let it, under sensorless vector control. */
  vectorNm: number
  /** The same under plain V/f without boost; left out where the plate gives no circuit. */
  vfNm?: number
  /** For moments, by the way of control that the drive has. */
  peakNm: number
}

/**
 * Torque over motor speed, whatever makes the motor turn: speeds, search and jobs know no more of a motor than this.
 * Speeds are unloaded; under load the motor falls short by the slip.
 */
export interface TorqueCurve {
  /** Where its full field ends, and torque begins to fall. */
  baseRpm: number
  lowestRpm: number
  highestRpm: number
  /** Torque at which `slipRpm` is lost; none is lost where the drive makes up for it. */
  slipNm: number
  slipRpm: number
  at: (motorRpm: number) => TorquePoint
}

/** What an induction motor on a drive makes its curve from: plain numbers, so that an evaluation can carry them. */
export interface InductionTorque {
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
  /** For moments by the drive's amps, at full field; left out where they are not known. */
  driveNm?: number
  isVf: boolean
  slip: number
  /** Share of its pull that the flux leaves. */
  weak: number
  /** The fitted circuit and the volts at base hertz of the plain V/f line that feeds it, without boost. */
  circuit?: EquivalentCircuit
  setVoltageV?: number
}

/** Pull-out kept in hand over the load where the field is weak. */
const MARGIN = 1.3

/** Amps over the rating that a drive gives for moments, by its class. */
const overloads = { light: 1.1, normal: 1.5, heavy: 2 } as const

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
  const [safeRpm, driveA, plateA] = [motor.safeRpm, drive.outputA, motor.plateCurrentA].map(numberOf)
  const overload = plan.drive.overloadClass ? overloads[plan.drive.overloadClass] : tables.planning.driveOverload.value
  const setVoltageV = numberOf(speeds.setVoltageV)
  return {
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
    ...(driveA === undefined || plateA === undefined ? {} : { driveNm: (ratedTorqueNm * overload * driveA) / plateA }),
    isVf: plan.drive.control === 'vf',
    slip: numberOf(motor.slip) ?? 0,
    // Too little flux costs its square; too much gives no more torque, only heat.
    weak: Math.min(1, numberOf(speeds.fluxFraction) ?? 1) ** 2,
    ...(physics.circuit && setVoltageV !== undefined ? { circuit: physics.circuit, setVoltageV } : {}),
  }
}

/** Torque over speed of an induction motor on a drive. */
export function torqueCurve(inputs: InductionTorque): TorqueCurve {
  const { ratedTorqueNm, plateHz, baseHz, poles, breakdownRatio, inverterDutyRatio, weak, isVf } = inputs
  const { driveNm = Infinity, circuit, setVoltageV = 0 } = inputs
  const capability = (frequencyHz: number, ratedFrequencyHz: number, cooling: 'shaft-fan' | 'blower') => {
    const made = torqueCapability.compute({
      frequencyHz,
      ratedFrequencyHz,
      ratedTorqueNm,
      breakdownRatio,
      cooling,
      inverterDutyRatio,
    })
    return made instanceof Refusal ? { peakNm: 0 } : made
  }
  return {
    baseRpm: rpmAtHertz(baseHz, poles),
    lowestRpm: rpmAtHertz(inputs.lowestHz, poles),
    highestRpm: rpmAtHertz(inputs.highestHz, poles),
    slipNm: ratedTorqueNm * weak,
    // Slip in rpm is the same at any hertz up to base, under the same torque.
    slipRpm: isVf ? inputs.slip * rpmAtHertz(plateHz, poles) : 0,
    at: (motorRpm) => {
      const frequencyHz = hertzAtRpm(motorRpm, poles)
      // The fan turns with the plate's hertz; the field weakens from the base that is set.
      const cooled = capability(frequencyHz, plateHz, inputs.cooling)
      const blown = capability(frequencyHz, baseHz, 'blower')
      const blowerNm = weak * (blown.continuousNm ?? 0)
      // Above base the drive's amps make torque in proportion to the weakened field.
      const driven = driveNm * Math.min(1, baseHz / frequencyHz)
      const vectorNm = Math.min(weak * blown.peakNm, driven)
      const outputV = setVoltageV * Math.min(1, frequencyHz / baseHz)
      const vfNm =
        circuit && frequencyHz > 0 ? Math.min(vectorNm, pullOut(circuit, outputV, frequencyHz).torqueNm) : undefined
      const peakNm = isVf ? (vfNm ?? vectorNm) : vectorNm
      return {
        motorRpm,
        frequencyHz,
        // What is not there for a moment is not there all day.
        ...(cooled.continuousNm === undefined
          ? {}
          : { continuousNm: Math.min(weak * cooled.continuousNm, blowerNm, peakNm) }),
        blowerNm,
        vectorNm,
        ...(vfNm === undefined ? {} : { vfNm }),
        peakNm,
      }
    },
  }
}

/** Unloaded rpm up to which rated power is held; beyond, pull-out limits it. */
export const fieldWeakeningHz = ({ baseHz, breakdownRatio }: InductionTorque): number =>
  (baseHz * breakdownRatio) / MARGIN
