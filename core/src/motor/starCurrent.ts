import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Line amps of a star made of a winding whose plate prints the amps of its delta. */
export const starCurrent = rule({
  id: 'motor.star-current',
  input: z.strictObject({
    deltaA: ampsInput,
  }),
  output: z.object({ starA: z.number() }),
  compute: ({ deltaA }) => ({ starA: deltaA / Math.sqrt(3) }),
})
