import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { rule } from '../rules/rule'

const teeth = z.number().int().min(4).max(400).describe('of the pulley')

/** Pitch diameter of a timing pulley. */
export const toothedPulley = rule({
  id: 'belt.toothed-pulley',
  title: 'Pitch diameter of a timing pulley',
  input: z.strictObject({ pitchMm: millimetres('of the belt, tooth to tooth'), teeth }),
  output: z.object({ diameterMm: gives('mm', 'pitch diameter, outside the teeth') }),
  formula: 'D = p z / pi',
  source: 'Definition of the pitch line; ISO 5294 (timing pulleys)',
  example: { pitchMm: 9.525, teeth: 24 },
  compute: ({ pitchMm, teeth: z }) => ({ diameterMm: (pitchMm * z) / Math.PI }),
})

/** Fewest teeth that share the pull; with fewer the belt jumps. */
const FEWEST = 6

/** Teeth of a timing belt that hold on the smaller pulley. */
export const teethInMesh = rule({
  id: 'belt.teeth-in-mesh',
  title: 'Teeth in mesh',
  input: z.strictObject({
    teeth,
    wrapSmallDeg: z.number().gt(0).max(360).describe('degrees, contact on the smaller pulley'),
  }),
  output: z.object({
    inMesh: gives('teeth', 'whole ones'),
    permitted: z.boolean().describe('true from six on'),
  }),
  formula: 'z theta / 360, rounded down; at least 6',
  source: 'Geometry; six is the usual planning value',
  example: { teeth: 18, wrapSmallDeg: 160 },
  compute: ({ teeth: z, wrapSmallDeg }) => {
    const inMesh = Math.floor((z * wrapSmallDeg) / 360)
    return { inMesh, permitted: inMesh >= FEWEST }
  },
})
