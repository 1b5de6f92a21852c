import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

const pulleys = {
  largeMm: millimetresInput,
  smallMm: millimetresInput,
  centreMm: millimetresInput,
  crossed: z.boolean().default(false),
}

/** Free length of belt between two pulleys, mm; not a number where they overlap. */
const spanMm = (largeMm: number, smallMm: number, centreMm: number, crossed: boolean): number =>
  Math.sqrt(centreMm ** 2 - ((crossed ? largeMm + smallMm : largeMm - smallMm) / 2) ** 2)

const tooNear = (largeMm: number, smallMm: number) =>
  refuse('centreMm', `must be above ${((largeMm + smallMm) / 2).toFixed(1)}: the pulleys would overlap`)

/** Share of the span by which a belt is pressed in to try its tension. */
const PRESS = 1 / 64

/** How a belt of the right tension feels: the force that presses the middle of its span in by a 64th. */
export const spanDeflection = rule({
  id: 'belt.span-deflection',
  input: z.strictObject({
    ...pulleys,
    staticTensionN: z.number().gt(0).max(1e5),
  }),
  output: z.object({
    spanMm: z.number(),
    deflectionMm: z.number(),
    forceN: z.number(),
  }),
  compute: ({ largeMm, smallMm, centreMm, crossed, staticTensionN }) => {
    if (centreMm <= (largeMm + smallMm) / 2) return tooNear(largeMm, smallMm)
    const span = spanMm(largeMm, smallMm, centreMm, crossed)
    return { spanMm: span, deflectionMm: span * PRESS, forceN: 4 * staticTensionN * PRESS }
  },
})

/** Tension of a belt from how far a known force presses the middle of its span in; the inverse of belt.span-deflection. */
export const beltSpanTension = rule({
  id: 'belt.span-tension',
  input: z.strictObject({
    ...pulleys,
    forceN: z.number().gt(0).max(1e4),
    deflectionMm: millimetresInput,
  }),
  output: z.object({
    spanMm: z.number(),
    staticTensionN: z.number(),
  }),
  compute: ({ largeMm, smallMm, centreMm, crossed, forceN, deflectionMm }) => {
    if (centreMm <= (largeMm + smallMm) / 2) return tooNear(largeMm, smallMm)
    const span = spanMm(largeMm, smallMm, centreMm, crossed)
    return deflectionMm > span / 10
      ? refuse('deflectionMm', `must be at most ${(span / 10).toFixed(1)}, a tenth of the span`)
      : { spanMm: span, staticTensionN: (forceN * span) / (4 * deflectionMm) }
  },
})
