import type { TorqueCurve } from '../motor/torquePoint'

/** A way from the motor to the spindle, as numbers. */
export interface Way {
  /** Spindle rpm per motor rpm. */
  speedRatio: number
  /** Share of motor power that reaches the spindle. */
  efficiency: number
}

export interface SpindleTorque {
  /** Speed the motor would turn at without load. */
  motorRpm: number
  /** All day, N m; undefined where the cooling there is not known. */
  continuousNm: number | undefined
  /** For moments, N m. */
  peakNm: number
}

/** Unloaded motor speed at which a spindle turns so fast while it carries a torque: slip is made up for. */
export function motorRpmFor(
  { slipRpm, slipNm }: Pick<TorqueCurve, 'slipRpm' | 'slipNm'>,
  { speedRatio, efficiency }: Way,
  spindleRpm: number,
  torqueNm = 0,
): number {
  const motorNm = (torqueNm * speedRatio) / efficiency
  return spindleRpm / speedRatio + (slipRpm * motorNm) / slipNm
}

/** What the spindle has at a speed. */
export function spindleAt(curve: TorqueCurve, way: Way, spindleRpm: number, loadNm = 0): SpindleTorque {
  const motorRpm = motorRpmFor(curve, way, spindleRpm, loadNm)
  const { continuousNm, peakNm } = curve.at(motorRpm)
  const multiplies = way.efficiency / way.speedRatio
  return {
    motorRpm,
    continuousNm: continuousNm === undefined ? undefined : continuousNm * multiplies,
    peakNm: peakNm * multiplies,
  }
}
