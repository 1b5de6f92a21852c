import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { hollowDisc } from './cylinderInertia'

/** Mass and inertia of something turned, step by step as its drawing gives them. */
export const steppedInertia = rule({
  id: 'inertia.stepped',
  input: z.strictObject({
    steps: z
      .array(
        z.strictObject({
          outerMm: millimetresInput,
          innerMm: z.number().min(0).max(1e5).default(0),
          lengthMm: millimetresInput,
        }),
      )
      .min(1)
      .max(12),
    densityKgM3: z.number().gt(0).max(25000).default(7850),
  }),
  output: z.object({ massKg: z.number(), inertiaKgM2: z.number() }),
  compute: ({ steps, densityKgM3 }) => {
    const wrong = steps.findIndex(({ outerMm, innerMm }) => innerMm >= outerMm)
    if (wrong !== -1) return refuse('steps', `step ${wrong + 1} has a bore that is no smaller than its outside`)
    return steps
      .map((step) => hollowDisc({ ...step, densityKgM3 }))
      .reduce((sum, one) => ({ massKg: sum.massKg + one.massKg, inertiaKgM2: sum.inertiaKgM2 + one.inertiaKgM2 }))
  },
})
