import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { feedPerTurn, kc11, mc, specificForce } from './specificForce'

/** Torque and power of a two-lipped drill, with or without a pilot hole. */
export const drilling = rule({
  id: 'cutting.drilling',
  input: z.strictObject({
    kc11,
    mc,
    feedMm: feedPerTurn,
    diameterMm: millimetresInput,
    speedRpm: rpmInput,
    pilotMm: z.number().min(0).max(1e4).default(0),
  }),
  output: z.object({
    specificForce: z.number(),
    torqueNm: z.number(),
    powerW: z.number(),
  }),
  compute: ({ kc11: k, mc: m, feedMm, diameterMm, speedRpm, pilotMm }) => {
    if (pilotMm >= diameterMm) return refuse('pilotMm', `must be under diameterMm, ${diameterMm}`)
    const force = specificForce(k, m, feedMm / 2)
    const torqueNm = (force * feedMm * (diameterMm ** 2 - pilotMm ** 2)) / 8000
    return { specificForce: force, torqueNm, powerW: torqueNm * angularSpeed(speedRpm) }
  },
})
