import { z } from 'zod'
import { gives, millimetres } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

const pulleys = {
  largeMm: millimetres('pitch diameter of the larger pulley'),
  smallMm: millimetres('pitch diameter of the smaller pulley'),
  centreMm: millimetres('between shaft centres'),
  crossed: z.boolean().default(false).describe('true for a crossed flat belt'),
}

/** Free length of belt between two pulleys, mm; not a number where they overlap. */
const spanMm = (largeMm: number, smallMm: number, centreMm: number, crossed: boolean): number =>
  Math.sqrt(centreMm ** 2 - ((crossed ? largeMm + smallMm : largeMm - smallMm) / 2) ** 2)

const tooNear = (largeMm: number, smallMm: number) =>
  refuse('centreMm', `must be above ${((largeMm + smallMm) / 2).toFixed(1)}: the pulleys would overlap`)

/** Share of the span by which a belt is pressed in to try its tension. */
const PRESS = 1 / 64

/** How a belt of the right tension feels: the force that presses the middle of its span in by a 64th. */
export const beltPress = rule({
  id: 'belt.press',
  title: 'Force to press a belt in',
  input: z.strictObject({
    ...pulleys,
    standingN: z.number().gt(0).max(1e5).describe('N, tension of each side at rest'),
  }),
  output: z.object({
    spanMm: gives('mm', 'free length of belt'),
    pressMm: gives('mm', 'to press the middle in by'),
    forceN: gives('N', 'that does it, for one belt carrying all of that tension'),
  }),
  formula: 's = sqrt(C^2 - ((D - d)/2)^2);  press by s/64;  F = 4 T press / s',
  source: 'Statics of a string, small deflections; the stiffness of the belt adds a little',
  example: { largeMm: 224, smallMm: 90, centreMm: 410, standingN: 275 },
  compute: ({ largeMm, smallMm, centreMm, crossed, standingN }) => {
    if (centreMm <= (largeMm + smallMm) / 2) return tooNear(largeMm, smallMm)
    const span = spanMm(largeMm, smallMm, centreMm, crossed)
    return { spanMm: span, pressMm: span * PRESS, forceN: 4 * standingN * PRESS }
  },
})

/** Tension of a belt from how far a known force presses the middle of its span in; the inverse of belt.press. */
export const beltSpanTension = rule({
  id: 'belt.span-tension',
  title: 'Tension of a belt, by pressing it',
  input: z.strictObject({
    ...pulleys,
    forceN: z.number().gt(0).max(1e4).describe('N, at right angles to the middle of the span'),
    pressMm: millimetres('by which it gives'),
  }),
  output: z.object({
    spanMm: gives('mm', 'free length of belt'),
    standingN: gives('N', 'tension of each side at rest'),
  }),
  formula: 's = sqrt(C^2 - ((D - d)/2)^2);  T = F s / (4 press)',
  source: 'Statics of a string, small deflections; the stiffness of the belt makes it seem tighter than it is',
  example: { largeMm: 224, smallMm: 90, centreMm: 410, forceN: 17.2, pressMm: 6.32 },
  compute: ({ largeMm, smallMm, centreMm, crossed, forceN, pressMm }) => {
    if (centreMm <= (largeMm + smallMm) / 2) return tooNear(largeMm, smallMm)
    const span = spanMm(largeMm, smallMm, centreMm, crossed)
    return pressMm > span / 10
      ? refuse('pressMm', `must be at most ${(span / 10).toFixed(1)}, a tenth of the span`)
      : { spanMm: span, standingN: (forceN * span) / (4 * pressMm) }
  },
})
