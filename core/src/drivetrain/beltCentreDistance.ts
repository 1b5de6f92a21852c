import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { beltGeometry } from './beltLength'

/** Halvings after which the interval is under a nanometre. */
const HALVINGS = 52

/** Centre distance at which a belt of known length fits two pulleys; the inverse of belt.length. */
export const beltCentreDistance = rule({
  id: 'belt.centre-distance',
  input: z.strictObject({
    largeMm: millimetresInput,
    smallMm: millimetresInput,
    lengthMm: millimetresInput,
    crossed: z.boolean().default(false),
  }),
  output: z.object({ centreMm: z.number() }),
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
