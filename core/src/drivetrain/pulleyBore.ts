import { z } from 'zod'
import { beltGrooves } from '../data/beltGrooves'
import { beltSections, type BeltSectionId } from '../data/beltSections'
import { keyFor, parallelKeys } from '../data/parallelKeys'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Least iron between keyway and groove. */
export const LEAST_WALL_MM = 4

/** Key of a shaft, and what a V-belt pulley keeps of its hub when it is bored to it. */
export const pulleyBore = rule({
  id: 'pulley.bore',
  title: 'Bore and key of a pulley',
  input: z.strictObject({
    shaftMm: millimetres('diameter of the shaft'),
    diameterMm: millimetres('pitch diameter of the pulley'),
    section: z
      .enum(Object.keys(beltSections.sections) as [BeltSectionId, ...BeltSectionId[]])
      .describe('of its grooves'),
  }),
  output: z.object({
    keyWidthMm: gives('mm', 'of the key'),
    keyHeightMm: gives('mm', 'of the key'),
    hubMm: gives('mm', 'depth of the keyway in the hub, over the bore'),
    wallMm: gives('mm', 'of iron between keyway and bottom of the groove'),
    permitted: z.boolean().describe('true where that is 4 mm or more'),
  }),
  formula: 'wall = (D - 2 groove depth - shaft) / 2 - keyway in the hub; at least 4 mm',
  source: `${parallelKeys.source}; ${beltGrooves.source}. The least wall is a planning value`,
  example: { shaftMm: 24, diameterMm: 90, section: 'a' },
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
