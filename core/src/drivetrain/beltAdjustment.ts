import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Of the belt's length: nearer, to lay it over the rims; farther, for what it stretches in its life. */
const FIT = 0.015
const STRETCH = 0.03

/** How far the motor must slide, to put a belt on and to keep it tight. */
export const beltAdjustment = rule({
  id: 'belt.adjustment',
  title: 'Room to fit and tension a belt',
  input: z.strictObject({
    centreMm: millimetres('between shaft centres, with the belt as new'),
    lengthMm: millimetres('pitch length of the belt'),
  }),
  output: z.object({
    nearestMm: gives('mm', 'centre to centre, to put it on without levering'),
    farthestMm: gives('mm', 'centre to centre, when it has stretched'),
  }),
  formula: 'nearest = C - 0.015 L;  farthest = C + 0.03 L',
  source: 'Shares of the length as planning values; ISO 155 (adjustment of centres) is on the subject',
  example: { centreMm: 410, lengthMm: 1324.2 },
  compute: ({ centreMm, lengthMm }) =>
    centreMm > FIT * lengthMm
      ? { nearestMm: centreMm - FIT * lengthMm, farthestMm: centreMm + STRETCH * lengthMm }
      : refuse('centreMm', `must be above ${(FIT * lengthMm).toFixed(1)}`),
})
