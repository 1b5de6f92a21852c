import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** How much more a stalled motor's copper heats at its driver's limit than at its plate. */
export const stallHeat = rule({
  id: 'brushless.stall-heat',
  input: z.strictObject({ limitA: ampsInput, ratedA: ampsInput }),
  output: z.object({ times: z.number() }),
  compute: ({ limitA, ratedA }) => ({ times: (limitA / ratedA) ** 2 }),
})
