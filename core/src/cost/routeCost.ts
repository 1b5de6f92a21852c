import { z } from 'zod'
import { rule } from '../rules/rule'

/** Cost of a way to go for a number of machines. */
export const routeCost = rule({
  id: 'cost.route',
  input: z.strictObject({
    once: z.number().min(0).max(1e9).default(0),
    each: z.number().min(0).max(1e9).default(0),
    motor: z.number().min(0).max(1e9).default(0),
    machines: z.number().int().min(1).max(100),
  }),
  output: z.object({ cost: z.number() }),
  compute: ({ once, each, motor, machines }) => ({ cost: once + machines * each + motor }),
})
