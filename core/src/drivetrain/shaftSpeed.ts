import { z } from 'zod'
import { rule } from '../rules/rule'

/** Speed of a shaft behind a ratio. */
export const shaftSpeed = rule({
  id: 'drivetrain.shaft-speed',
  input: z.strictObject({
    speedRpm: z.number().min(0).max(2e5),
    speedRatio: z.number().gt(0).max(1e9),
  }),
  output: z.object({ speedRpm: z.number() }),
  compute: ({ speedRpm, speedRatio }) => ({ speedRpm: speedRpm * speedRatio }),
})
