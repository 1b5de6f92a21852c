/** Full-load efficiency to plan with where a plate prints neither efficiency nor power factor. */
export const motorEfficiency = {
  citation: 'IEC 60034-30-1, class IE1, 4-pole 50 Hz; older motors lie lower',
  points: [
    { powerW: 750, efficiency: 0.721 },
    { powerW: 1500, efficiency: 0.772 },
    { powerW: 2200, efficiency: 0.797 },
    { powerW: 7500, efficiency: 0.86 },
  ],
}

/** Straight lines over the logarithm of power between the table's points; the end values outside. */
export function typicalMotorEfficiency(powerW: number): number {
  const points = motorEfficiency.points
  const above = points.findIndex((p) => p.powerW >= powerW)
  const upper = points[above] ?? points[points.length - 1]
  const lower = points[above - 1] ?? upper
  if (!upper || !lower) return NaN
  if (upper === lower) return upper.efficiency
  const share = Math.log(powerW / lower.powerW) / Math.log(upper.powerW / lower.powerW)
  return above < 0 ? upper.efficiency : lower.efficiency + share * (upper.efficiency - lower.efficiency)
}
