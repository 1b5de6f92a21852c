import { z } from 'zod'
import { gives } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Inertia of a load as the motor feels it through the drive train. */
export const reflectedInertia = rule({
  id: 'inertia.reflected',
  title: 'Inertia felt at the motor',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e6).describe('kg m2, on the load’s own shaft'),
    ratio: z.number().gt(0).max(1e4).describe('motor rpm over load rpm'),
  }),
  output: z.object({ inertiaKgM2: gives('kg m2', 'at the motor') }),
  formula: 'J_m = J / ratio^2',
  source: 'Conservation of energy',
  example: { inertiaKgM2: 0.18, ratio: 2.49 },
  compute: ({ inertiaKgM2, ratio }) => ({ inertiaKgM2: inertiaKgM2 / ratio ** 2 }),
})
