import { z } from 'zod'
import { hertzInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Volts of a motor whose plate gives points of hertz and volts: straight from nothing through each to the last, and no more above it. */
export const voltsOnCurve = rule({
  id: 'motor.volts-on-curve',
  input: z.strictObject({
    points: z
      .array(z.strictObject({ frequencyHz: hertzInput, voltageV: voltsInput }))
      .min(1)
      .max(10),
    frequencyHz: hertzInput,
  }),
  output: z.object({ voltageV: z.number(), straightV: z.number(), fluxFraction: z.number(), above: z.boolean() }),
  compute: ({ points, frequencyHz }) => {
    const rising = points.every(
      (p, i) =>
        i === 0 || (p.frequencyHz > (points[i - 1]?.frequencyHz ?? 0) && p.voltageV >= (points[i - 1]?.voltageV ?? 0)),
    )
    if (!rising) return refuse('points', 'must rise in hertz, and not fall in volts')
    const corners = [{ frequencyHz: 0, voltageV: 0 }, ...points]
    const last = corners[corners.length - 1] ?? { frequencyHz: 0, voltageV: 0 }
    const next = corners.findIndex((p) => p.frequencyHz >= frequencyHz)
    const [from, to] = [corners[next - 1], corners[next]]
    const voltageV =
      from && to
        ? from.voltageV +
          ((to.voltageV - from.voltageV) * (frequencyHz - from.frequencyHz)) / (to.frequencyHz - from.frequencyHz)
        : last.voltageV
    const straightV = (last.voltageV * Math.min(frequencyHz, last.frequencyHz)) / last.frequencyHz
    return { voltageV, straightV, fluxFraction: straightV / voltageV, above: frequencyHz > last.frequencyHz }
  },
})
