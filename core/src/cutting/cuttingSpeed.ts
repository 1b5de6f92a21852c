import { z } from 'zod'
import { gives, metresPerMinute, millimetres } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Spindle speed that gives a surface speed at a diameter. */
export const cuttingSpeed = rule({
  id: 'cutting.speed',
  title: 'Spindle speed from surface speed',
  input: z.strictObject({
    surfaceSpeedMPerMin: metresPerMinute('surface speed wanted'),
    diameterMm: millimetres('of the work, cutter or drill'),
  }),
  output: z.object({ speedRpm: gives('rpm', 'spindle speed') }),
  formula: 'n = 1000 v / (pi D)',
  source: 'ISO 3002-1 (cutting speed)',
  example: { surfaceSpeedMPerMin: 30, diameterMm: 25 },
  compute: ({ surfaceSpeedMPerMin, diameterMm }) => ({
    speedRpm: (1000 * surfaceSpeedMPerMin) / (Math.PI * diameterMm),
  }),
})
