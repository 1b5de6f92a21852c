/** Full-load efficiency to plan with where a plate prints neither efficiency nor power factor. */
export const motorEfficiency = {
  citation: 'IEC 60034-30-1:2014, class IE1, 50 Hz, by size and poles; older motors lie lower',
  /** Tolerance: a class is the least of a new motor. */
  kW: [0.12, 0.18, 0.25, 0.37, 0.55, 0.75, 1.1, 1.5, 2.2, 3, 4, 5.5, 7.5, 11, 15],
  percentByPoles: {
    2: [45, 52.8, 58.2, 63.9, 69, 72.1, 75, 77.2, 79.7, 81.5, 83.1, 84.7, 86, 87.6, 88.7],
    4: [50, 57, 61.5, 66, 70, 72.1, 75, 77.2, 79.7, 81.5, 83.1, 84.7, 86, 87.6, 88.7],
    6: [38.3, 45.5, 52.1, 59.7, 65.8, 70, 72.9, 75.2, 77.7, 79.7, 81.4, 83.1, 84.7, 86.4, 87.7],
    8: [31, 38, 43.4, 49.7, 56.1, 61.2, 66.5, 70.2, 74.2, 77, 79.2, 81.4, 83.1, 85, 86.2],
  } as Readonly<Record<number, readonly number[]>>,
}

/** Poles of the table that a motor is planned by: its own, else the nearest that lies no higher. */
const column = (poles: number): readonly number[] =>
  motorEfficiency.percentByPoles[Math.min(8, Math.max(2, 2 * Math.round(poles / 2)))] ?? []

/**
 * Straight lines over the logarithm of power between the table's points; the end values outside.
 *
 * @example typicalMotorEfficiency(1500) // 0.772
 */
export function typicalMotorEfficiency(powerW: number, poles = 4): number {
  const points = column(poles).map((percent, i) => ({
    powerW: 1000 * (motorEfficiency.kW[i] ?? NaN),
    efficiency: percent / 100,
  }))
  const above = points.findIndex((p) => p.powerW >= powerW)
  const upper = points[above] ?? points[points.length - 1]
  const lower = points[above - 1] ?? upper
  if (!upper || !lower) return NaN
  if (upper === lower || upper.powerW === powerW) return upper.efficiency
  const share = Math.log(powerW / lower.powerW) / Math.log(upper.powerW / lower.powerW)
  return above < 0 ? upper.efficiency : lower.efficiency + share * (upper.efficiency - lower.efficiency)
}
