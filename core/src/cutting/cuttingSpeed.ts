import { z } from 'zod'
import { metresPerMinuteInput, millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Spindle speed that gives a surface speed at a diameter. */
export const cuttingSpeed = rule({
  id: 'cutting.speed',
  input: z.strictObject({
    surfaceSpeedMPerMin: metresPerMinuteInput,
    diameterMm: millimetresInput,
  }),
  output: z.object({ speedRpm: z.number() }),
  compute: ({ surfaceSpeedMPerMin, diameterMm }) => ({
    speedRpm: (1000 * surfaceSpeedMPerMin) / (Math.PI * diameterMm),
  }),
})
