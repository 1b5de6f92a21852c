import { z } from 'zod'
import { gives, metresPerSecond, millimetres } from '../rules/inputs'
import { rule } from '../rules/rule'
import { DESIGN_PER_RADIAN } from './beltGrip'

/** Tension a belt must be set to so that it passes a torque on without slipping; the inverse of belt.grip by design. */
export const beltTension = rule({
  id: 'belt.tension',
  title: 'Tension a belt wants',
  input: z.strictObject({
    torqueNm: z.number().gt(0).max(1e5).describe('N m, at the smaller pulley, the most it must pass on'),
    diameterMm: millimetres('pitch diameter of the smaller pulley'),
    wrapSmallDeg: z.number().gt(0).max(360).describe('degrees, contact on the smaller pulley'),
    massKgPerM: z.number().min(0).max(100).default(0).describe('kg/m, of the belt'),
    speedMPerS: metresPerSecond('belt speed').or(z.literal(0)).default(0),
  }),
  output: z.object({
    tightN: gives('N', 'pulling side under that torque'),
    slackN: gives('N', 'other side under that torque'),
    standingN: gives('N', 'each side at rest: half of both'),
    shaftN: gives('N', 'pull on the shafts at rest'),
  }),
  formula: 'T1 - T2 = 2000 T / D;  (T1 - m v^2) / (T2 - m v^2) = e^(0.5123 theta);  at rest (T1 + T2)/2 a side',
  source: 'Euler and Eytelwein; five to one at half a turn is a planning value',
  example: { torqueNm: 15.13, diameterMm: 90, wrapSmallDeg: 161.19 },
  compute: ({ torqueNm, diameterMm, wrapSmallDeg, massKgPerM, speedMPerS }) => {
    const wrap = (wrapSmallDeg * Math.PI) / 180
    const pullN = (2000 * torqueNm) / diameterMm
    const flungN = massKgPerM * speedMPerS ** 2
    const slackN = pullN / (Math.exp(DESIGN_PER_RADIAN * wrap) - 1) + flungN
    const tightN = slackN + pullN
    const standingN = (tightN + slackN) / 2
    return { tightN, slackN, standingN, shaftN: 2 * standingN * Math.sin(Math.min(wrap, Math.PI) / 2) }
  },
})
