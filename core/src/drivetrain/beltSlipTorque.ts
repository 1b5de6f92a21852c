import { z } from 'zod'
import { gives, metresPerSecond, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { DESIGN_PER_RADIAN } from './beltGrip'

/** Torque at which a belt set to a tension begins to slip; the inverse of belt.tension. */
export const beltSlipTorque = rule({
  id: 'belt.slip-torque',
  title: 'Torque at which a belt slips',
  input: z.strictObject({
    standingN: z.number().gt(0).max(1e5).describe('N, tension of each side at rest'),
    diameterMm: millimetres('pitch diameter of the smaller pulley'),
    wrapSmallDeg: z.number().gt(0).max(360).describe('degrees, contact on the smaller pulley'),
    massKgPerM: z.number().min(0).max(100).default(0).describe('kg/m, of the belt'),
    speedMPerS: metresPerSecond('belt speed').or(z.literal(0)).default(0),
  }),
  output: z.object({ torqueNm: gives('N m', 'at the smaller pulley, by the design grip') }),
  formula: 'T1 + T2 = 2 T0;  (T1 - m v^2) / (T2 - m v^2) = e^(0.5123 theta);  T = (T1 - T2) D / 2',
  source: 'Euler and Eytelwein; five to one at half a turn is a planning value, a clean belt holds more',
  example: { standingN: 275, diameterMm: 90, wrapSmallDeg: 161.19 },
  compute: ({ standingN, diameterMm, wrapSmallDeg, massKgPerM, speedMPerS }) => {
    const flungN = massKgPerM * speedMPerS ** 2
    if (standingN <= flungN)
      return refuse('standingN', `must be above ${flungN.toFixed(1)}: at that speed the belt is flung off its pulley`)
    const grip = Math.exp((DESIGN_PER_RADIAN * wrapSmallDeg * Math.PI) / 180)
    const pullN = (2 * (standingN - flungN) * (grip - 1)) / (grip + 1)
    return { torqueNm: (pullN * diameterMm) / 2000 }
  },
})
