import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Current that a voltage boost drives through a motor at standstill, where only resistance holds it. */
export const boostLimit = rule({
  id: 'motor.boost-limit',
  input: z.strictObject({
    boostV: z.number().gt(0).max(1000),
    r1Ohm: z.number().gt(0).max(1e5),
    ratedCurrentA: ampsInput,
  }),
  output: z.object({
    currentA: z.number(),
    permitted: z.boolean(),
  }),
  compute: ({ boostV, r1Ohm, ratedCurrentA }) => {
    const currentA = boostV / (Math.sqrt(3) * r1Ohm)
    return { currentA, permitted: currentA <= ratedCurrentA }
  },
})
