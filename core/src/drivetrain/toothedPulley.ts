import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const teeth = z.number().int().min(4).max(400)

/** Pitch diameter of a timing pulley. */
export const toothedPulley = rule({
  id: 'belt.toothed-pulley',
  input: z.strictObject({ pitchMm: millimetresInput, teeth }),
  output: z.object({ diameterMm: z.number() }),
  compute: ({ pitchMm, teeth: z }) => ({ diameterMm: (pitchMm * z) / Math.PI }),
})

/** Fewest teeth that share the pull; with fewer the belt jumps. */
const FEWEST = 6

/** Teeth of a timing belt that hold on the smaller pulley. */
export const teethInMesh = rule({
  id: 'belt.teeth-in-mesh',
  input: z.strictObject({
    teeth,
    wrapSmallDeg: z.number().gt(0).max(360),
  }),
  output: z.object({
    inMesh: z.number(),
    permitted: z.boolean(),
  }),
  compute: ({ teeth: z, wrapSmallDeg }) => {
    const inMesh = Math.floor((z * wrapSmallDeg) / 360)
    return { inMesh, permitted: inMesh >= FEWEST }
  },
})
