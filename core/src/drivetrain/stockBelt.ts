import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { beltCentreDistance } from './beltCentreDistance'

/** Stock belts tried for one with which the motor stands in its slot. */
const TRIED = 3

/** The belt from stock next to a length; of the nearest three the first with which the motor stands in its slot. */
export const stockBelt = rule({
  id: 'belt.stock',
  input: z.strictObject({
    lengthMm: millimetresInput,
    lengthsMm: z.array(z.number().gt(0).max(1e5)).min(1).max(200),
    largeMm: millimetresInput,
    smallMm: millimetresInput,
    crossed: z.boolean().default(false),
    slotLeastMm: millimetresInput.optional(),
    slotMostMm: millimetresInput.optional(),
  }),
  output: z.object({ lengthMm: z.number() }),
  compute: ({ lengthMm, lengthsMm, largeMm, smallMm, crossed, slotLeastMm = 0, slotMostMm = Infinity }) => {
    const nearest = [...lengthsMm].sort((a, b) => Math.abs(a - lengthMm) - Math.abs(b - lengthMm))
    const inSlot = (stockMm: number): boolean => {
      const lies = beltCentreDistance.compute({ largeMm, smallMm, lengthMm: stockMm, crossed })
      return 'centreMm' in lies && lies.centreMm >= slotLeastMm && lies.centreMm <= slotMostMm
    }
    const found = nearest.slice(0, TRIED).find(inSlot) ?? nearest[0]
    return found === undefined ? refuse('lengthsMm', 'is empty; it takes at least one length') : { lengthMm: found }
  },
})
