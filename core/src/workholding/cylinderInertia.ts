import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
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
  input: z.strictObject({
    outerMm: millimetresInput,
    innerMm: z.number().min(0).max(1e5).default(0),
    lengthMm: millimetresInput,
    densityKgM3: z.number().gt(0).max(25000).default(7850),
  }),
  output: z.object({ massKg: z.number(), inertiaKgM2: z.number() }),
  compute: (disc) =>
    disc.innerMm >= disc.outerMm ? refuse('innerMm', `must be under outerMm, ${disc.outerMm}`) : hollowDisc(disc),
})
