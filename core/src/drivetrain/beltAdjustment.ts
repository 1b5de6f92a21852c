import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Of the belt's length: nearer, to lay it over the rims; farther, for what it stretches in its life. */
const FIT = 0.015
const STRETCH = 0.03

/** How far the motor must slide, to put a belt on and to keep it tight. */
export const beltAdjustment = rule({
  id: 'belt.adjustment',
  input: z.strictObject({
    centreMm: millimetresInput,
    lengthMm: millimetresInput,
  }),
  output: z.object({
    nearestMm: z.number(),
    farthestMm: z.number(),
  }),
  compute: ({ centreMm, lengthMm }) =>
    centreMm > FIT * lengthMm
      ? { nearestMm: centreMm - FIT * lengthMm, farthestMm: centreMm + STRETCH * lengthMm }
      : refuse('centreMm', `must be above ${(FIT * lengthMm).toFixed(1)}`),
})
