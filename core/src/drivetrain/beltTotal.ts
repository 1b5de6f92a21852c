import { z } from 'zod'
import { rule } from '../rules/rule'

/** Pull of several belts side by side by that of one; the inverse of belt.share. */
export const beltTotal = rule({
  id: 'belt.total',
  input: z.strictObject({
    eachN: z.number().min(0).max(1e7),
    belts: z.number().int().min(1).max(100),
  }),
  output: z.object({ totalN: z.number() }),
  compute: ({ eachN, belts }) => ({ totalN: eachN * belts }),
})
