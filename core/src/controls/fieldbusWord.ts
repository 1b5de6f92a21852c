import { z } from 'zod'
import { hertzFromZeroInput, hertzInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Registers have sixteen bits. */
const LARGEST = 0xffff
/** Steps are decimal, and divided in binary: 0.3 / 0.1 is not quite 3. */
const A_HAIR = 1e-9

/** The number that a drive's speed register takes for some hertz: the nearest step, and never over the highest hertz. */
export const fieldbusWord = rule({
  id: 'control.fieldbus-word',
  input: z.strictObject({
    frequencyHz: hertzFromZeroInput,
    resolutionHz: z.number().gt(0).max(100),
    maximumHz: hertzInput,
  }),
  output: z.object({ word: z.number().int(), wordHz: z.number(), limited: z.boolean() }),
  compute: ({ frequencyHz, resolutionHz, maximumHz }) => {
    const highest = Math.floor(maximumHz / resolutionHz + A_HAIR)
    const nearest = Math.round(frequencyHz / resolutionHz)
    const word = Math.min(nearest, highest)
    if (word > LARGEST)
      return refuse(
        'resolutionHz',
        `must be at least ${(frequencyHz / LARGEST).toPrecision(3)} for these hertz: a register holds up to ${LARGEST}`,
      )
    return { word, wordHz: word * resolutionHz, limited: nearest > highest }
  },
})
