import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of one pulley of a belt by the other. */
export const pulleySpeed = rule({
  id: 'belt.pulley-speed',
  input: z.strictObject({
    speedRpm: z.number().min(0).max(2e5),
    driverMm: millimetresInput,
    diameterMm: millimetresInput,
  }),
  output: z.object({ speedRpm: z.number() }),
  compute: ({ speedRpm, driverMm, diameterMm }) => ({ speedRpm: (speedRpm * driverMm) / diameterMm }),
})
