import { z } from 'zod'
import { metresPerSecondInput, millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { DESIGN_PER_RADIAN } from './beltGrip'

/** Tension a belt must be set to so that it passes a torque on without slipping; the inverse of belt.grip by design. */
export const beltTension = rule({
  id: 'belt.tension',
  input: z.strictObject({
    torqueNm: z.number().gt(0).max(1e5),
    diameterMm: millimetresInput,
    wrapSmallDeg: z.number().gt(0).max(360),
    massKgPerM: z.number().min(0).max(100).default(0),
    speedMPerS: metresPerSecondInput.or(z.literal(0)).default(0),
  }),
  output: z.object({
    tightN: z.number(),
    slackN: z.number(),
    staticTensionN: z.number(),
    shaftN: z.number(),
  }),
  compute: ({ torqueNm, diameterMm, wrapSmallDeg, massKgPerM, speedMPerS }) => {
    const wrap = (wrapSmallDeg * Math.PI) / 180
    const pullN = (2000 * torqueNm) / diameterMm
    const flungN = massKgPerM * speedMPerS ** 2
    const slackN = pullN / (Math.exp(DESIGN_PER_RADIAN * wrap) - 1) + flungN
    const tightN = slackN + pullN
    const staticTensionN = (tightN + slackN) / 2
    return { tightN, slackN, staticTensionN, shaftN: 2 * staticTensionN * Math.sin(Math.min(wrap, Math.PI) / 2) }
  },
})
