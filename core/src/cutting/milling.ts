import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Mean chip thickness of a milling cut: what the specific force belongs to. */
export const millingChip = rule({
  id: 'cutting.milling-chip',
  input: z.strictObject({
    feedPerToothMm: z.number().gt(0).max(20),
    widthMm: millimetresInput,
    diameterMm: millimetresInput,
  }),
  output: z.object({ chipMm: z.number(), arcDeg: z.number() }),
  compute: ({ feedPerToothMm, widthMm, diameterMm }) => {
    if (widthMm > diameterMm) return refuse('widthMm', `must be at most diameterMm, ${diameterMm}`)
    const arcDeg = (Math.acos(1 - (2 * widthMm) / diameterMm) * 180) / Math.PI
    return { arcDeg, chipMm: (feedPerToothMm * widthMm * 360) / (diameterMm * Math.PI * arcDeg) }
  },
})

/** Power of a milling or fly-cutting cut from the metal it takes off. */
export const milling = rule({
  id: 'cutting.milling',
  input: z.strictObject({
    specificForce: z.number().gt(0).max(5e4),
    depthMm: millimetresInput,
    widthMm: millimetresInput,
    feedMmPerMin: z.number().gt(0).max(1e5),
  }),
  output: z.object({ powerW: z.number() }),
  compute: ({ specificForce, depthMm, widthMm, feedMmPerMin }) => ({
    powerW: (depthMm * widthMm * feedMmPerMin * specificForce) / 60e3,
  }),
})
