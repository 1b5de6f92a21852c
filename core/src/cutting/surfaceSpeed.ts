import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Surface speed of work or cutter; the inverse of cutting.speed. */
export const surfaceSpeed = rule({
  id: 'cutting.surface-speed',
  input: z.strictObject({
    diameterMm: millimetresInput,
    speedRpm: z.number().min(0).max(2e5),
  }),
  output: z.object({ surfaceSpeedMPerMin: z.number() }),
  compute: ({ diameterMm, speedRpm }) => ({ surfaceSpeedMPerMin: (Math.PI * diameterMm * speedRpm) / 1000 }),
})
