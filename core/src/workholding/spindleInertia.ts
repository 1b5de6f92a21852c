import { z } from 'zod'
import { rule } from '../rules/rule'

const kgM2 = z.number().min(0).max(1e5)

/** All that a motor speeds up and stops, felt at the spindle. */
export const spindleInertia = rule({
  id: 'inertia.at-spindle',
  input: z.strictObject({
    loadKgM2: kgM2,
    rotorKgM2: kgM2,
    pulleysKgM2: kgM2.default(0),
    speedRatio: z.number().gt(0).max(1000),
  }),
  output: z.object({ inertiaKgM2: z.number() }),
  compute: ({ loadKgM2, rotorKgM2, pulleysKgM2, speedRatio }) => ({
    inertiaKgM2: loadKgM2 + pulleysKgM2 + rotorKgM2 / speedRatio ** 2,
  }),
})
