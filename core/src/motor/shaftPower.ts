import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { rule } from '../rules/rule'

/** Power of a torque at a speed; the inverse of motor.rated-torque. */
export const shaftPower = rule({
  id: 'motor.shaft-power',
  input: z.strictObject({
    torqueNm: z.number().min(0).max(1e6),
    speedRpm: z.number().gt(0).max(1e9),
  }),
  output: z.object({ powerW: z.number() }),
  compute: ({ torqueNm, speedRpm }) => ({ powerW: torqueNm * angularSpeed(speedRpm) }),
})
