import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Pitch length and wrap of a two-pulley belt, exactly; all in mm and radians. */
export function beltGeometry(largeMm: number, smallMm: number, centreMm: number, crossed: boolean) {
  const tilt = Math.asin(Math.min(1, (crossed ? largeMm + smallMm : largeMm - smallMm) / (2 * centreMm)))
  const straight = 2 * centreMm * Math.cos(tilt)
  const sum = (largeMm + smallMm) / 2
  return crossed
    ? { lengthMm: straight + sum * (Math.PI + 2 * tilt), wrapSmall: Math.PI + 2 * tilt, wrapLarge: Math.PI + 2 * tilt }
    : {
        lengthMm: straight + Math.PI * sum + tilt * (largeMm - smallMm),
        wrapSmall: Math.PI - 2 * tilt,
        wrapLarge: Math.PI + 2 * tilt,
      }
}

const degrees = (radians: number): number => (radians * 180) / Math.PI

export const pulleysOverlap = (largeMm: number, smallMm: number, centreMm: number): boolean =>
  centreMm < (largeMm + smallMm) / 2

/** Length and wrap of an open or crossed belt from its two pitch diameters and the centre distance. */
export const beltLength = rule({
  id: 'belt.length',
  title: 'Belt length and wrap',
  input: z.strictObject({
    largeMm: millimetres('pitch diameter of the larger pulley'),
    smallMm: millimetres('pitch diameter of the smaller pulley'),
    centreMm: millimetres('between shaft centres'),
    crossed: z.boolean().default(false).describe('true for a crossed flat belt'),
  }),
  output: z.object({
    lengthMm: gives('mm', 'pitch length'),
    wrapSmallDeg: gives('degrees', 'contact on the smaller pulley'),
    wrapLargeDeg: gives('degrees', 'contact on the larger pulley'),
  }),
  formula:
    'open: a = asin((D - d) / 2C), L = 2C cos a + pi (D + d)/2 + a (D - d), wrap pi -/+ 2a;  crossed: a = asin((D + d) / 2C), L = 2C cos a + (D + d)(pi/2 + a), wrap pi + 2a',
  source: 'Plane geometry of tangents to two circles (exact)',
  example: { largeMm: 224, smallMm: 90, centreMm: 410 },
  compute: ({ largeMm, smallMm, centreMm, crossed }) => {
    if (smallMm > largeMm) return refuse('smallMm', `must be at most largeMm, ${largeMm}`)
    if (pulleysOverlap(largeMm, smallMm, centreMm))
      return refuse('centreMm', `must be at least ${(largeMm + smallMm) / 2}: nearer than that the pulleys overlap`)
    const { lengthMm, wrapSmall, wrapLarge } = beltGeometry(largeMm, smallMm, centreMm, crossed)
    return { lengthMm, wrapSmallDeg: degrees(wrapSmall), wrapLargeDeg: degrees(wrapLarge) }
  },
})
