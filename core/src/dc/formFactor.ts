import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Mean amps that a rectifier may feed a DC motor all day: its ripple heats like more amps and turns nothing. */
export const dcFormFactor = rule({
  id: 'dc.form-factor',
  input: z.strictObject({
    ratedA: ampsInput,
    formFactor: z.number().min(1).max(3),
    ratedTorqueNm: z.number().min(0).max(1e6).optional(),
  }),
  output: z.object({ continuousA: z.number(), torqueFraction: z.number(), continuousNm: z.number().optional() }),
  compute: ({ ratedA, formFactor, ratedTorqueNm }) => ({
    continuousA: ratedA / formFactor,
    torqueFraction: 1 / formFactor,
    ...(ratedTorqueNm === undefined ? {} : { continuousNm: ratedTorqueNm / formFactor }),
  }),
})
