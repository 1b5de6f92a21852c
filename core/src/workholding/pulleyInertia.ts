import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { hollowDisc } from './cylinderInertia'

/** Planning: cast iron, and webs take four tenths out of a full disc. */
const IRON_KG_M3 = 7200
const LEFT_OF_DISC = 0.6

/** Inertia of pulleys, felt at the spindle: each as a webbed iron disc, by the square of its turns for one of the spindle. */
export const pulleyInertia = rule({
  id: 'inertia.pulleys',
  input: z.strictObject({
    pulleys: z
      .array(
        z.strictObject({
          diameterMm: millimetresInput,
          widthMm: millimetresInput,
          turns: z.number().gt(0).max(1e4),
        }),
      )
      .max(48),
  }),
  output: z.object({ inertiaKgM2: z.number() }),
  compute: ({ pulleys }) => ({
    inertiaKgM2: pulleys.reduce((sum, { diameterMm, widthMm, turns }) => {
      const disc = hollowDisc({ outerMm: diameterMm, innerMm: 0, lengthMm: widthMm, densityKgM3: IRON_KG_M3 })
      return sum + LEFT_OF_DISC * disc.inertiaKgM2 * turns ** 2
    }, 0),
  }),
})
