import { z } from 'zod'
import { metresPerMinuteInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { feedPerTurn, kc11, mc, specificForce, THINNEST_MM } from './specificForce'

const RIGHT_ANGLE = 90

/** Main cutting force and power of a turning, facing or boring cut. */
export const turning = rule({
  id: 'cutting.turning',
  input: z.strictObject({
    kc11,
    mc,
    feedMm: feedPerTurn,
    depthMm: z.number().gt(0).max(500),
    surfaceSpeedMPerMin: metresPerMinuteInput,
    approachDeg: z.number().gt(0).max(RIGHT_ANGLE).default(RIGHT_ANGLE),
  }),
  output: z.object({
    specificForce: z.number(),
    forceN: z.number(),
    powerW: z.number(),
  }),
  compute: ({ kc11: k, mc: m, feedMm, depthMm, surfaceSpeedMPerMin, approachDeg }) => {
    const chipMm = Math.max(THINNEST_MM, feedMm * Math.sin((approachDeg * Math.PI) / 180))
    const force = specificForce(k, m, chipMm)
    const forceN = force * feedMm * depthMm
    return { specificForce: force, forceN, powerW: (forceN * surfaceSpeedMPerMin) / 60 }
  },
})
