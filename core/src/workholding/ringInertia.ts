import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { hollowDisc } from './cylinderInertia'

/** Mass and inertia of a ring, such as a flywheel's rim or a faceplate's edge. */
export const ringInertia = rule({
  id: 'inertia.ring',
  title: 'Mass and inertia of a ring',
  input: z.strictObject({
    outerMm: millimetres('outer diameter'),
    innerMm: millimetres('inner diameter'),
    lengthMm: millimetres('length or thickness'),
    densityKgM3: z.number().gt(0).max(25000).default(7850).describe('kg/m3; steel 7850'),
  }),
  output: z.object({ massKg: gives('kg', 'mass'), inertiaKgM2: gives('kg m2', 'about the axis') }),
  formula: 'm = rho pi (D^2 - d^2) L / 4;  J = m (D^2 + d^2) / 8',
  source: 'Mechanics of a solid of revolution',
  example: { outerMm: 600, innerMm: 520, lengthMm: 50, densityKgM3: 7850 },
  compute: (ring) =>
    ring.innerMm >= ring.outerMm ? refuse('innerMm', `must be under outerMm, ${ring.outerMm}`) : hollowDisc(ring),
})
