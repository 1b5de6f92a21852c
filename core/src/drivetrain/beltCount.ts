import { z } from 'zod'
import { wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Belts side by side that a power wants. */
export const beltCount = rule({
  id: 'belt.count',
  input: z.strictObject({
    powerW: wattsInput,
    serviceFactor: z.number().min(1).max(3),
    beltW: wattsInput,
  }),
  output: z.object({ belts: z.number() }),
  compute: ({ powerW, serviceFactor, beltW }) => ({ belts: Math.ceil((serviceFactor * powerW) / beltW) }),
})
