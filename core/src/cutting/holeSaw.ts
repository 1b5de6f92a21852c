import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { feedPerTurn, kc11, mc, specificForce, THINNEST_MM } from './specificForce'

/** Torque and power of a hole saw or trepanning tool, which cuts only its kerf. */
export const holeSaw = rule({
  id: 'cutting.hole-saw',
  input: z.strictObject({
    kc11,
    mc,
    feedMm: feedPerTurn,
    diameterMm: millimetresInput,
    kerfMm: z.number().gt(0).max(50),
    teeth: z.number().int().min(1).max(400).default(1),
    speedRpm: rpmInput,
  }),
  output: z.object({
    specificForce: z.number(),
    torqueNm: z.number(),
    powerW: z.number(),
  }),
  compute: ({ kc11: k, mc: m, feedMm, diameterMm, kerfMm, teeth, speedRpm }) => {
    if (kerfMm * 2 > diameterMm) return refuse('kerfMm', `must be at most half of diameterMm, ${diameterMm / 2}`)
    const force = specificForce(k, m, Math.max(THINNEST_MM, feedMm / teeth))
    const torqueNm = (force * feedMm * kerfMm * (diameterMm - kerfMm)) / 2000
    return { specificForce: force, torqueNm, powerW: torqueNm * angularSpeed(speedRpm) }
  },
})
