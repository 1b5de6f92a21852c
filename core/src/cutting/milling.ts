import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Mean chip thickness of a milling cut: what the specific force belongs to. */
export const millingChip = rule({
  id: 'cutting.milling-chip',
  title: 'Milling: mean chip thickness',
  input: z.strictObject({
    feedPerToothMm: z.number().gt(0).max(20).describe('mm, feed per tooth'),
    widthMm: millimetres('width of cut, across the cutter'),
    diameterMm: millimetres('of the cutter'),
  }),
  output: z.object({ chipMm: gives('mm', 'mean over the arc of contact'), arcDeg: gives('degrees', 'arc of contact') }),
  formula: 'arc = acos(1 - 2 ae/D);  h = fz (ae/D) (360 / (pi arc))',
  source: 'Geometry of a peripheral cut; the cutter touches the edge of the work',
  example: { feedPerToothMm: 0.1, widthMm: 40, diameterMm: 63 },
  compute: ({ feedPerToothMm, widthMm, diameterMm }) => {
    if (widthMm > diameterMm) return refuse('widthMm', `must be at most diameterMm, ${diameterMm}`)
    const arcDeg = (Math.acos(1 - (2 * widthMm) / diameterMm) * 180) / Math.PI
    return { arcDeg, chipMm: (feedPerToothMm * widthMm * 360) / (diameterMm * Math.PI * arcDeg) }
  },
})

/** Power of a milling or fly-cutting cut from the metal it takes off. */
export const milling = rule({
  id: 'cutting.milling',
  title: 'Milling: power',
  input: z.strictObject({
    specificForce: z.number().gt(0).max(5e4).describe('N/mm2, at the mean chip thickness'),
    depthMm: millimetres('depth of cut, along the cutter'),
    widthMm: millimetres('width of cut, across it'),
    feedMmPerMin: z.number().gt(0).max(1e5).describe('mm/min, table feed'),
  }),
  output: z.object({ powerW: gives('W', 'at the spindle') }),
  formula: 'P = ap ae vf kc / 60 000',
  source: 'Kienzle, mean over the cut; sharp cutter',
  example: { specificForce: 2500, depthMm: 2, widthMm: 40, feedMmPerMin: 300 },
  compute: ({ specificForce, depthMm, widthMm, feedMmPerMin }) => ({
    powerW: (depthMm * widthMm * feedMmPerMin * specificForce) / 60e3,
  }),
})
