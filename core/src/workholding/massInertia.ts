import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Inertia of a full disc about its axis, by its mass. */
export const massInertia = rule({
  id: 'inertia.mass',
  input: z.strictObject({ massKg: z.number().gt(0).max(1e5), outerMm: millimetresInput }),
  output: z.object({ inertiaKgM2: z.number() }),
  compute: ({ massKg, outerMm }) => ({ inertiaKgM2: (massKg * (outerMm / 1000) ** 2) / 8 }),
})
