import { brushlessPoint, dcOperatingPoint } from '../../dc'
import { fanCooling } from '../../motor'
import { Refusal } from '../../rules/rule'
import type { TorqueCurve, TorquePoint } from '../motor/torquePoint'

/** What the curve of a DC motor is made from. */
export interface DcTorque {
  of: 'dc'
  ratedTorqueNm: number
  baseRpm: number
  topRpm: number
  lowestRpm: number
  highestRpm: number
  armatureV: number
  ratedA: number
  armatureOhm: number
  /** Mean amps that the armature may carry all day on the current that it gets. */
  continuousA: number
  /** What the drive gives all day, where that is known, and how often that, or the plate's, for a minute. */
  driveA?: number
  overload: number
  /** Its fan turns with its shaft. */
  shaftFan: boolean
}

/** What the curve of a motor with magnets is made from; without the last four it is kept at its plate. */
export interface MagnetTorque {
  of: 'driver'
  ratedTorqueNm: number
  ratedRpm: number
  lowestRpm: number
  highestRpm: number
  plateA?: number
  shaftFan: boolean
  onVolts?: { busV: number; rpmPerVolt: number; resistanceOhm: number; limitA: number }
}

/** Share of rated torque that a fan on the shaft carries at a share of the plate's speed. */
function fanShare(shaftFan: boolean, share: number): number | undefined {
  if (!shaftFan || share >= 1) return 1
  const made = fanCooling.compute({ frequencyFraction: share })
  return made instanceof Refusal ? undefined : made.torqueFraction
}

const point = (motorRpm: number, continuousNm: number | undefined, blowerNm: number, peakNm: number): TorquePoint => ({
  motorRpm,
  ...(continuousNm === undefined ? {} : { continuousNm: Math.min(continuousNm, peakNm) }),
  blowerNm: Math.min(blowerNm, peakNm),
  vectorNm: peakNm,
  peakNm,
})

/** Torque over speed of a DC motor: by its armature's amps below base, weaker with its field above. */
export function dcCurve(inputs: DcTorque): TorqueCurve {
  const { ratedTorqueNm, baseRpm, topRpm, armatureV, ratedA, armatureOhm, continuousA, driveA, overload } = inputs
  const air = (speedRpm: number, currentA: number): number => {
    const made = dcOperatingPoint.compute({
      armatureV,
      ratedA,
      armatureOhm,
      baseRpm,
      topRpm,
      speedRpm,
      currentA,
      formFactor: 1,
    })
    return made instanceof Refusal ? 0 : made.torqueNm
  }
  // Its own friction is taken off in proportion: at the plate's speed and amps it gives the plate's torque.
  const shaft = ratedTorqueNm / Math.max(air(baseRpm, ratedA), Number.EPSILON)
  const allDayA = Math.min(continuousA, driveA ?? Infinity)
  const momentsA = overload * Math.min(ratedA, driveA ?? Infinity)
  return {
    baseRpm,
    lowestRpm: inputs.lowestRpm,
    highestRpm: inputs.highestRpm,
    slipNm: ratedTorqueNm,
    slipRpm: 0,
    at: (motorRpm) => {
      if (motorRpm > topRpm) return point(motorRpm, 0, 0, 0)
      const speed = Math.max(motorRpm, 1)
      const [allDay, peak] = [shaft * air(speed, allDayA), shaft * air(speed, momentsA)]
      const share = fanShare(inputs.shaftFan, motorRpm / baseRpm)
      return point(motorRpm, share === undefined ? undefined : share * allDay, allDay, peak)
    },
  }
}

/** Torque over speed of a motor with magnets: by its driver's amps to a knee, then by what volts are left. */
export function magnetCurve(inputs: MagnetTorque): TorqueCurve {
  const { ratedTorqueNm, ratedRpm, plateA, onVolts } = inputs
  const limited = (speedRpm: number, limitA: number): number => {
    if (onVolts === undefined) return speedRpm <= ratedRpm * (1 + 1e-9) ? ratedTorqueNm : 0
    const made = brushlessPoint.compute({ ...onVolts, limitA, speedRpm })
    return made instanceof Refusal ? 0 : made.torqueNm
  }
  return {
    baseRpm: ratedRpm,
    lowestRpm: inputs.lowestRpm,
    highestRpm: inputs.highestRpm,
    slipNm: ratedTorqueNm,
    slipRpm: 0,
    at: (motorRpm) => {
      const peak = limited(motorRpm, onVolts?.limitA ?? 0)
      const allDayA = Math.min(plateA ?? Infinity, onVolts?.limitA ?? Infinity)
      const allDay = Math.min(ratedTorqueNm, Number.isFinite(allDayA) ? limited(motorRpm, allDayA) : peak)
      const share = fanShare(inputs.shaftFan, motorRpm / ratedRpm)
      return point(motorRpm, share === undefined ? undefined : share * allDay, allDay, Math.max(peak, allDay))
    },
  }
}
