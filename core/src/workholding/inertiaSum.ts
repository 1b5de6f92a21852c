import { z } from 'zod'
import { rule } from '../rules/rule'

/** Inertia of several things on one shaft that turn together. */
export const inertiaSum = rule({
  id: 'inertia.sum',
  input: z.strictObject({
    inertiasKgM2: z.array(z.number().min(0).max(1e5)).max(40),
  }),
  output: z.object({ inertiaKgM2: z.number() }),
  compute: ({ inertiasKgM2 }) => ({ inertiaKgM2: inertiasKgM2.reduce((sum, one) => sum + one, 0) }),
})
