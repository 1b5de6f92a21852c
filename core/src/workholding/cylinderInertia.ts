import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

interface Disc {
  outerMm: number
  innerMm: number
  lengthMm: number
  densityKgM3: number
}

/** Mass and inertia of a hollow disc; sizes in mm, density in kg/m3. */
export function hollowDisc({ outerMm, innerMm, lengthMm, densityKgM3 }: Disc): { massKg: number; inertiaKgM2: number } {
  const [outerM, innerM] = [outerMm / 1000, innerMm / 1000]
  const massKg = (densityKgM3 * Math.PI * (outerM ** 2 - innerM ** 2) * lengthMm) / 4000
  return { massKg, inertiaKgM2: (massKg * (outerM ** 2 + innerM ** 2)) / 8 }
}

/** Mass and inertia of a plain or bored disc about its axis. */
export const cylinderInertia = rule({
  id: 'inertia.cylinder',
  title: 'Mass and inertia of a disc',
  input: z.strictObject({
    outerMm: millimetres('outer diameter'),
    innerMm: z.number().min(0).max(1e5).default(0).describe('mm, bore; 0 where solid'),
    lengthMm: millimetres('length or thickness'),
    densityKgM3: z.number().gt(0).max(25000).default(7850).describe('kg/m3; steel 7850'),
  }),
  output: z.object({ massKg: gives('kg', 'mass'), inertiaKgM2: gives('kg m2', 'about the axis') }),
  formula: 'm = rho pi (D^2 - d^2) L / 4;  J = m (D^2 + d^2) / 8',
  source: 'Mechanics of a solid of revolution',
  example: { outerMm: 250, innerMm: 0, lengthMm: 60, densityKgM3: 7850 },
  compute: (disc) =>
    disc.innerMm >= disc.outerMm ? refuse('innerMm', `must be under outerMm, ${disc.outerMm}`) : hollowDisc(disc),
})
