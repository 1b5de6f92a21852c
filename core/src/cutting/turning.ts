import { z } from 'zod'
import { gives, metresPerMinute } from '../rules/inputs'
import { rule } from '../rules/rule'
import { feedPerTurn, kc11, mc, specificForce, THINNEST_MM } from './specificForce'

const RIGHT_ANGLE = 90

/** Main cutting force and power of a turning, facing or boring cut. */
export const turning = rule({
  id: 'cutting.turning',
  title: 'Turning: force and power',
  input: z.strictObject({
    kc11,
    mc,
    feedMm: feedPerTurn,
    depthMm: z.number().gt(0).max(500).describe('mm, depth of cut'),
    surfaceSpeedMPerMin: metresPerMinute('surface speed'),
    approachDeg: z
      .number()
      .gt(0)
      .max(RIGHT_ANGLE)
      .default(RIGHT_ANGLE)
      .describe('degrees, cutting edge to feed direction'),
  }),
  output: z.object({
    specificForce: gives('N/mm2', 'at this chip thickness'),
    forceN: gives('N', 'main cutting force'),
    powerW: gives('W', 'at the spindle'),
  }),
  formula: 'h = f sin(approach), not under 0.05;  kc = kc11 h^-mc;  F = kc f ap;  P = F v / 60',
  source: 'Kienzle; sharp tool, no wear allowance',
  example: { kc11: 1700, mc: 0.25, feedMm: 0.25, depthMm: 2, surfaceSpeedMPerMin: 80 },
  compute: ({ kc11: k, mc: m, feedMm, depthMm, surfaceSpeedMPerMin, approachDeg }) => {
    const chipMm = Math.max(THINNEST_MM, feedMm * Math.sin((approachDeg * Math.PI) / 180))
    const force = specificForce(k, m, chipMm)
    const forceN = force * feedMm * depthMm
    return { specificForce: force, forceN, powerW: (forceN * surfaceSpeedMPerMin) / 60 }
  },
})
