import { z } from 'zod'
import { rule } from '../rules/rule'

/** Cost of what is bought together. */
export const costSum = rule({
  id: 'cost.sum',
  input: z.strictObject({
    prices: z.array(z.number().min(0).max(1e9)).max(40),
  }),
  output: z.object({ cost: z.number() }),
  compute: ({ prices }) => ({ cost: prices.reduce((sum, p) => sum + p, 0) }),
})
