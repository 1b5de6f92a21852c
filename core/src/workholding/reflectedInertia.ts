import { z } from 'zod'
import { rule } from '../rules/rule'

/** Inertia of a load as the motor feels it through the drive train. */
export const reflectedInertia = rule({
  id: 'inertia.reflected',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e6),
    ratio: z.number().gt(0).max(1e4),
  }),
  output: z.object({ inertiaKgM2: z.number() }),
  compute: ({ inertiaKgM2, ratio }) => ({ inertiaKgM2: inertiaKgM2 / ratio ** 2 }),
})
