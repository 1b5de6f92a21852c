import { z } from 'zod'
import { ampsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Amps of everything that runs at the same time. */
export const currentSum = rule({
  id: 'supply.current-sum',
  input: z.strictObject({
    currentsA: z.array(ampsInput).max(40),
  }),
  output: z.object({ currentA: z.number() }),
  compute: ({ currentsA }) => ({ currentA: currentsA.reduce((sum, a) => sum + a, 0) }),
})
