import { z } from 'zod'
import { gives, metresPerSecond, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Tight over slack tension of five to one at half a turn of wrap, as belts are designed. */
export const DESIGN_PER_RADIAN = Math.log(5) / Math.PI

/** Pull that a belt passes on before it slips, from its tight-side tension and its wrap on the smaller pulley. */
export const beltGrip = rule({
  id: 'belt.grip',
  title: 'Grip of a belt',
  input: z.strictObject({
    diameterMm: millimetres('pitch diameter of the smaller pulley'),
    wrapSmallDeg: z.number().gt(0).max(360).describe('degrees, contact on the smaller pulley'),
    grooveDeg: z
      .number()
      .gt(0)
      .max(180)
      .default(180)
      .describe('degrees, included angle of the groove; 180 for a flat belt'),
    friction: z
      .number()
      .gt(0)
      .max(2)
      .optional()
      .describe('coefficient, belt on pulley; without it the design value, 5 : 1 at 180 degrees, whatever the groove'),
    tightN: z.number().gt(0).max(1e6).describe('N, tension of the pulling side'),
    massKgPerM: z.number().min(0).max(100).default(0).describe('kg/m, of the belt'),
    speedMPerS: metresPerSecond('belt speed').or(z.literal(0)).default(0),
  }),
  output: z.object({
    slackN: gives('N', 'tension of the other side'),
    torqueNm: gives('N m', 'at the smaller pulley, at the edge of slipping'),
  }),
  formula: '(T1 - m v^2) / (T2 - m v^2) = e^(mu theta / sin(groove/2));  T = (T1 - T2) D / 2. Design: e^(0.5123 theta)',
  source: 'Euler and Eytelwein; five to one at half a turn is a planning value',
  example: { diameterMm: 90, wrapSmallDeg: 161.19, tightN: 250 },
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
