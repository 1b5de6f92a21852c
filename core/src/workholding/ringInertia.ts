import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { hollowDisc } from './cylinderInertia'

/** Mass and inertia of a ring, such as a flywheel's rim or a faceplate's edge. */
export const ringInertia = rule({
  id: 'inertia.ring',
  input: z.strictObject({
    outerMm: millimetresInput,
    innerMm: millimetresInput,
    lengthMm: millimetresInput,
    densityKgM3: z.number().gt(0).max(25000).default(7850),
  }),
  output: z.object({ massKg: z.number(), inertiaKgM2: z.number() }),
  compute: (ring) =>
    ring.innerMm >= ring.outerMm ? refuse('innerMm', `must be under outerMm, ${ring.outerMm}`) : hollowDisc(ring),
})
