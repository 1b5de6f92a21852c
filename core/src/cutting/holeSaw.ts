import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { gives, millimetres, rpm } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { feedPerTurn, kc11, mc, specificForce, THINNEST_MM } from './specificForce'

/** Torque and power of a hole saw or trepanning tool, which cuts only its kerf. */
export const holeSaw = rule({
  id: 'cutting.hole-saw',
  title: 'Hole saw: torque and power',
  input: z.strictObject({
    kc11,
    mc,
    feedMm: feedPerTurn,
    diameterMm: millimetres('outside the teeth'),
    kerfMm: z.number().gt(0).max(50).describe('mm, width of the kerf'),
    teeth: z.number().int().min(1).max(400).default(1).describe('teeth round the saw'),
    speedRpm: rpm('of the saw'),
  }),
  output: z.object({
    specificForce: gives('N/mm2', 'at this chip thickness'),
    torqueNm: gives('N m', 'at the saw'),
    powerW: gives('W', 'at the spindle'),
  }),
  formula: 'h = f / teeth, not under 0.05;  kc = kc11 h^-mc;  T = kc f b Dm / 2000 with Dm = D - b;  P = 2 pi n T / 60',
  source: 'Kienzle; sharp teeth',
  example: { kc11: 1990, mc: 0.26, feedMm: 0.1, diameterMm: 60, kerfMm: 2.5, teeth: 20, speedRpm: 130 },
  compute: ({ kc11: k, mc: m, feedMm, diameterMm, kerfMm, teeth, speedRpm }) => {
    if (kerfMm * 2 > diameterMm) return refuse('kerfMm', `must be at most half of diameterMm, ${diameterMm / 2}`)
    const force = specificForce(k, m, Math.max(THINNEST_MM, feedMm / teeth))
    const torqueNm = (force * feedMm * kerfMm * (diameterMm - kerfMm)) / 2000
    return { specificForce: force, torqueNm, powerW: torqueNm * angularSpeed(speedRpm) }
  },
})
