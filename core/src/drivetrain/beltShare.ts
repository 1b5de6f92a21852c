import { z } from 'zod'
import { rule } from '../rules/rule'

/** Pull of one of several belts side by side. */
export const beltShare = rule({
  id: 'belt.share',
  input: z.strictObject({
    totalN: z.number().min(0).max(1e7),
    belts: z.number().int().min(1).max(100),
  }),
  output: z.object({ eachN: z.number() }),
  compute: ({ totalN, belts }) => ({ eachN: totalN / belts }),
})
