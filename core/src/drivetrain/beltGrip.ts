import { z } from 'zod'
import { metresPerSecondInput, millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Tight over slack tension of five to one at half a turn of wrap, as belts are designed. */
export const DESIGN_PER_RADIAN = Math.log(5) / Math.PI

/** Pull that a belt passes on before it slips, from its tight-side tension and its wrap on the smaller pulley. */
export const beltGrip = rule({
  id: 'belt.grip',
  input: z.strictObject({
    diameterMm: millimetresInput,
    wrapSmallDeg: z.number().gt(0).max(360),
    grooveDeg: z.number().gt(0).max(180).default(180),
    friction: z.number().gt(0).max(2).optional(),
    tightN: z.number().gt(0).max(1e6),
    massKgPerM: z.number().min(0).max(100).default(0),
    speedMPerS: metresPerSecondInput.or(z.literal(0)).default(0),
  }),
  output: z.object({
    slackN: z.number(),
    torqueNm: z.number(),
  }),
  compute: ({ diameterMm, wrapSmallDeg, grooveDeg, friction, tightN, massKgPerM, speedMPerS }) => {
    const flungN = massKgPerM * speedMPerS ** 2
    if (tightN <= flungN)
      return refuse('tightN', `must be above ${flungN.toFixed(1)}: at that speed the belt is flung off its pulley`)
    const wrap = (wrapSmallDeg * Math.PI) / 180
    const exponent =
      friction === undefined ? DESIGN_PER_RADIAN * wrap : (friction * wrap) / Math.sin((grooveDeg * Math.PI) / 360)
    const slackN = flungN + (tightN - flungN) / Math.exp(exponent)
    return { slackN, torqueNm: ((tightN - slackN) * diameterMm) / 2000 }
  },
})
