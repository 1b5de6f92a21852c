import { z } from 'zod'
import { rule } from '../rules/rule'

/** Turns of the motor for one of the spindle. */
export const reduction = rule({
  id: 'drivetrain.reduction',
  input: z.strictObject({
    speedRatio: z.number().gt(0).max(1e9),
  }),
  output: z.object({ reduction: z.number() }),
  compute: ({ speedRatio }) => ({ reduction: 1 / speedRatio }),
})
