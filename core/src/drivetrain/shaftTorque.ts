import { z } from 'zod'
import { rule } from '../rules/rule'

/** Torque of a shaft behind a ratio, before losses. */
export const shaftTorque = rule({
  id: 'drivetrain.shaft-torque',
  input: z.strictObject({
    torqueNm: z.number().min(0).max(1e6),
    speedRatio: z.number().gt(0).max(1e9),
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ torqueNm, speedRatio }) => ({ torqueNm: torqueNm / speedRatio }),
})
