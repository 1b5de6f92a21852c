import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { gives, millimetres, rpm } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { feedPerTurn, kc11, mc, specificForce } from './specificForce'

/** Torque and power of a two-lipped drill, with or without a pilot hole. */
export const drilling = rule({
  id: 'cutting.drilling',
  title: 'Drilling: torque and power',
  input: z.strictObject({
    kc11,
    mc,
    feedMm: feedPerTurn,
    diameterMm: millimetres('of the drill'),
    speedRpm: rpm('of the drill'),
    pilotMm: z.number().min(0).max(1e4).default(0).describe('mm, hole that is there already'),
  }),
  output: z.object({
    specificForce: gives('N/mm2', 'at this chip thickness'),
    torqueNm: gives('N m', 'at the drill'),
    powerW: gives('W', 'at the spindle'),
  }),
  formula: 'h = f/2;  kc = kc11 h^-mc;  T = kc f (D^2 - d^2) / 8000;  P = 2 pi n T / 60',
  source: 'Kienzle, two lips; sharp drill. A hole saw is not a drill: cutting.hole-saw',
  example: { kc11: 1700, mc: 0.25, feedMm: 0.2, diameterMm: 20, speedRpm: 320 },
  compute: ({ kc11: k, mc: m, feedMm, diameterMm, speedRpm, pilotMm }) => {
    if (pilotMm >= diameterMm) return refuse('pilotMm', `must be under diameterMm, ${diameterMm}`)
    const force = specificForce(k, m, feedMm / 2)
    const torqueNm = (force * feedMm * (diameterMm ** 2 - pilotMm ** 2)) / 8000
    return { specificForce: force, torqueNm, powerW: torqueNm * angularSpeed(speedRpm) }
  },
})
