import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { beltGeometry } from './beltLength'

/** Halvings after which the interval is under a nanometre. */
const HALVINGS = 52

/** Centre distance at which a belt of known length fits two pulleys; the inverse of belt.length. */
export const beltCentreDistance = rule({
  id: 'belt.centre-distance',
  title: 'Centre distance for a belt',
  input: z.strictObject({
    largeMm: millimetres('pitch diameter of the larger pulley'),
    smallMm: millimetres('pitch diameter of the smaller pulley'),
    lengthMm: millimetres('pitch length of the belt'),
    crossed: z.boolean().default(false).describe('true for a crossed flat belt'),
  }),
  output: z.object({ centreMm: gives('mm', 'between shaft centres') }),
  formula: 'the C at which belt.length gives L; L grows with C, so it is found by halving',
  source: 'Plane geometry of tangents to two circles (exact)',
  example: { largeMm: 224, smallMm: 90, lengthMm: 1330 },
  compute: ({ largeMm, smallMm, lengthMm, crossed }) => {
    if (smallMm > largeMm) return refuse('smallMm', `must be at most largeMm, ${largeMm}`)
    const lengthAt = (centreMm: number) => beltGeometry(largeMm, smallMm, centreMm, crossed).lengthMm
    let near = (largeMm + smallMm) / 2
    if (lengthMm < lengthAt(near))
      return refuse(
        'lengthMm',
        `must be at least ${lengthAt(near).toFixed(2)}: a shorter belt cannot go round these pulleys`,
      )
    let far = lengthMm / 2 + near
    for (let i = 0; i < HALVINGS; i += 1) {
      const middle = (near + far) / 2
      if (lengthAt(middle) < lengthMm) near = middle
      else far = middle
    }
    return { centreMm: (near + far) / 2 }
  },
})
