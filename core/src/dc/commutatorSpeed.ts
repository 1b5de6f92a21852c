import { z } from 'zod'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** How fast a brush rides on a commutator. Over this an old one sparks and chatters: a planning value. */
const MOST_M_PER_S = 35

export const commutatorSpeed = rule({
  id: 'dc.commutator-speed',
  input: z.strictObject({ diameterMm: millimetresInput, speedRpm: rpmInput }),
  output: z.object({ speedMPerS: z.number(), mostRpm: z.number(), permitted: z.boolean() }),
  compute: ({ diameterMm, speedRpm }) => {
    const speedMPerS = (Math.PI * diameterMm * speedRpm) / 60_000
    return {
      speedMPerS,
      mostRpm: (MOST_M_PER_S * 60_000) / (Math.PI * diameterMm),
      permitted: speedMPerS <= MOST_M_PER_S,
    }
  },
})
