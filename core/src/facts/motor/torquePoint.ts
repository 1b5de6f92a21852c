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
