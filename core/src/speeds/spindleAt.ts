import type { TorqueSource } from '../evaluate/torqueSource'

/** A way from the motor to the spindle, as numbers. */
export interface Way {
  /** Spindle rpm per motor rpm. */
  speedRatio: number
  /** Share of motor power that reaches the spindle. */
  efficiency: number
}

export interface SpindleTorque {
  frequencyHz: number
  /** All day, N m; undefined where the cooling there is not known. */
  continuousNm: number | undefined
  /** For moments, N m. */
  peakNm: number
}

/** Hertz at which a spindle turns at a speed while it carries a torque: slip is made up for by hertz. */
export function hertzAt(
  { slipRpm, slipNm }: Pick<TorqueSource, 'slipRpm' | 'slipNm'>,
  poles: number,
  { speedRatio, efficiency }: Way,
  spindleRpm: number,
  torqueNm = 0,
): number {
  const motorNm = (torqueNm * speedRatio) / efficiency
  return ((spindleRpm / speedRatio + (slipRpm * motorNm) / slipNm) * poles) / 120
}

/** What the spindle has at a speed. */
export function spindleAt(
  source: TorqueSource,
  poles: number,
  way: Way,
  spindleRpm: number,
  loadNm = 0,
): SpindleTorque {
  const frequencyHz = hertzAt(source, poles, way, spindleRpm, loadNm)
  const { continuousNm, peakNm } = source.at(frequencyHz)
  const multiplies = way.efficiency / way.speedRatio
  return {
    frequencyHz,
    continuousNm: continuousNm === undefined ? undefined : continuousNm * multiplies,
    peakNm: peakNm * multiplies,
  }
}
