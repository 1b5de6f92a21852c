import { z } from 'zod'
import { beltGrooves } from '../data/beltGrooves'
import { beltSections, type BeltSectionId } from '../data/beltSections'
import { keyFor } from '../data/parallelKeys'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Least iron between keyway and groove. */
export const LEAST_WALL_MM = 4

/** Key of a shaft, and what a V-belt pulley keeps of its hub when it is bored to it. */
export const pulleyBore = rule({
  id: 'pulley.bore',
  input: z.strictObject({
    shaftMm: millimetresInput,
    diameterMm: millimetresInput,
    section: z.enum(Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]]),
  }),
  output: z.object({
    keyWidthMm: z.number(),
    keyHeightMm: z.number(),
    hubMm: z.number(),
    wallMm: z.number(),
    permitted: z.boolean(),
  }),
  compute: ({ shaftMm, diameterMm, section }) => {
    const key = keyFor(shaftMm)
    if (!key) return refuse('shaftMm', 'must be above 6 and at most 58, or one of the inch sizes of NEMA MG 1')
    const wallMm = (diameterMm - 2 * beltGrooves.grooves[section].belowMm - shaftMm) / 2 - key.hubMm
    return {
      keyWidthMm: key.widthMm,
      keyHeightMm: key.heightMm,
      hubMm: key.hubMm,
      wallMm,
      permitted: wallMm >= LEAST_WALL_MM,
    }
  },
})
