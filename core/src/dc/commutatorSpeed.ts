import { z } from 'zod'
import { rimSpeed, rpmAtRim } from '../drivetrain/beltSpeed'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** How fast a brush rides on a commutator. Over this an old one sparks and chatters: a planning value. */
export const MOST_BRUSH_M_PER_S = 35

export const commutatorSpeed = rule({
  id: 'dc.commutator-speed',
  input: z.strictObject({ diameterMm: millimetresInput, speedRpm: rpmInput }),
  output: z.object({ speedMPerS: z.number(), mostRpm: z.number(), permitted: z.boolean() }),
  compute: ({ diameterMm, speedRpm }) => {
    const speedMPerS = rimSpeed(diameterMm, speedRpm)
    return {
      speedMPerS,
      mostRpm: rpmAtRim(diameterMm, MOST_BRUSH_M_PER_S),
      permitted: speedMPerS <= MOST_BRUSH_M_PER_S,
    }
  },
})
