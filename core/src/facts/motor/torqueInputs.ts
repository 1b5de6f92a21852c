import { driveOverload } from '../drive/driveOverload'
import { numberOf } from '../figure'
import type { DcFacts } from '../hearts/dcFacts'
import type { DriverFacts } from '../hearts/driverFacts'
import type { DcTorque, MagnetTorque } from '../hearts/rpmTorque'
import { inductionTorque, type InductionTorque } from './inductionCurve'

/** What a motor's torque over speed is made from, whatever turns the machine: plain numbers, so that an evaluation can carry them. */
export type TorqueInputs = InductionTorque | DcTorque | MagnetTorque

type Known = Parameters<typeof inductionTorque>[0] & {
  dc: DcFacts | undefined
  driver: DriverFacts | undefined
}

/** The inputs of the motor that there is; undefined while too little of it is known. */
export function torqueInputs(known: Known): TorqueInputs | undefined {
  if (known.dc) return dcTorque(known, known.dc)
  return known.driver ? magnetTorque(known, known.driver) : inductionTorque(known)
}

function dcTorque({ plan, tables, motor, drive, settings }: Known, dc: DcFacts): DcTorque | undefined {
  const [ratedTorqueNm, baseRpm, topRpm, armatureV, ratedA, armatureOhm, continuousA, lowestRpm, highestRpm] = [
    motor.torqueNm,
    motor.ratedSpeedRpm,
    dc.topRpm,
    motor.plateVoltageV,
    motor.plateCurrentA,
    dc.armatureOhm,
    dc.continuousA,
    settings.leastSpeedRpm,
    settings.mostSpeedRpm,
  ].map((f) => f && numberOf(f))
  if (
    ratedTorqueNm === undefined ||
    baseRpm === undefined ||
    topRpm === undefined ||
    armatureV === undefined ||
    ratedA === undefined ||
    armatureOhm === undefined ||
    continuousA === undefined ||
    lowestRpm === undefined ||
    highestRpm === undefined
  )
    return undefined
  const driveA = numberOf(drive.outputA)
  return {
    of: 'dc',
    ratedTorqueNm,
    baseRpm,
    topRpm: Math.max(topRpm, baseRpm),
    armatureV,
    ratedA,
    armatureOhm,
    continuousA,
    lowestRpm,
    highestRpm,
    ...(driveA === undefined ? {} : { driveA }),
    overload: driveOverload(plan, tables),
    shaftFan: plan.motor.cooling === 'shaft-fan',
  }
}

function magnetTorque({ plan, motor, settings }: Known, driver: DriverFacts): MagnetTorque | undefined {
  const [ratedTorqueNm, ratedRpm, lowestRpm, highestRpm] = [
    motor.torqueNm,
    motor.ratedSpeedRpm,
    settings.leastSpeedRpm,
    settings.mostSpeedRpm,
  ].map((f) => f && numberOf(f))
  if (ratedTorqueNm === undefined || ratedRpm === undefined || lowestRpm === undefined || highestRpm === undefined)
    return undefined
  const { rpmPerVolt, windingOhm } = plan.motor
  const { limitA } = plan.driver
  const [busV, plateA] = [driver.lowV, motor.plateCurrentA].map(numberOf)
  return {
    of: 'driver',
    ratedTorqueNm,
    ratedRpm,
    lowestRpm,
    highestRpm,
    ...(plateA === undefined ? {} : { plateA }),
    shaftFan: plan.motor.cooling === 'shaft-fan',
    ...(busV === undefined || rpmPerVolt === undefined || windingOhm === undefined || limitA === undefined
      ? {}
      : { onVolts: { busV, rpmPerVolt, resistanceOhm: windingOhm, limitA } }),
  }
}
