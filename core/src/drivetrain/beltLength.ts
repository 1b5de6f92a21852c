import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
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
  input: z.strictObject({
    largeMm: millimetresInput,
    smallMm: millimetresInput,
    centreMm: millimetresInput,
    crossed: z.boolean().default(false),
  }),
  output: z.object({
    lengthMm: z.number(),
    wrapSmallDeg: z.number(),
    wrapLargeDeg: z.number(),
  }),
  compute: ({ largeMm, smallMm, centreMm, crossed }) => {
    if (smallMm > largeMm) return refuse('smallMm', `must be at most largeMm, ${largeMm}`)
    if (pulleysOverlap(largeMm, smallMm, centreMm))
      return refuse('centreMm', `must be at least ${(largeMm + smallMm) / 2}: nearer than that the pulleys overlap`)
    const { lengthMm, wrapSmall, wrapLarge } = beltGeometry(largeMm, smallMm, centreMm, crossed)
    return { lengthMm, wrapSmallDeg: degrees(wrapSmall), wrapLargeDeg: degrees(wrapLarge) }
  },
})
