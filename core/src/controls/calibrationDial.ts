import { z } from 'zod'
import { median } from '../readings/robust'
import { refuse, rule } from '../rules/rule'
import { monotone } from './monotone'
import { OF_SPAN, robustLine, theilSen, tooFar } from './theilSen'

/** Readings of one dial that are looked at together. */
const MOST_READINGS = 500
/** Neighbours by which a reading on a curve is foretold. */
const NEIGHBOURS = 6
const AT_AN_END = 3
/** Share of a step that a curve may bend by at its end. */
const BENDS = 0.75
/** More readings off a line than this share, and it is the line that does not fit. */
const MOST_OFF = 0.3

interface DialReading {
  dial: number
  rpm: number
}

const line = (readings: readonly DialReading[]) => theilSen(readings.map(({ dial, rpm }) => [dial, rpm]))

/**
 * How far each reading lies from where its nearest neighbours, itself left out, would have it. At an end of the dial they
 * are all on one side, and a curve goes on bending: what a step may bend is not counted there.
 */
const fromNeighbours = (readings: readonly DialReading[]): number[] =>
  readings.map((one, i) => {
    const others = readings
      .filter((_, j) => j !== i)
      .sort((a, b) => Math.abs(a.dial - one.dial) - Math.abs(b.dial - one.dial))
    const isEnd = others.every(({ dial }) => dial <= one.dial) || others.every(({ dial }) => dial >= one.dial)
    const through = line(others.slice(0, isEnd ? AT_AN_END : NEIGHBOURS))
    if (through === undefined) return 0
    const off = one.rpm - (through.intercept + through.slope * one.dial)
    const bends = isEnd ? BENDS * Math.abs(through.slope * (one.dial - (others[0]?.dial ?? one.dial))) : 0
    return Math.sign(off) * Math.max(0, Math.abs(off) - bends)
  })

/** Speed over a dial's marks from readings: a straight line where one fits, else what rises or falls with the mark. */
export const calibrationDial = rule({
  id: 'calibration.dial',
  input: z.strictObject({
    readings: z
      .array(z.strictObject({ dial: z.number().min(0).max(1000), rpm: z.number().min(0).max(2e5) }))
      .min(2)
      .max(MOST_READINGS),
  }),
  output: z.object({
    straight: z.boolean(),
    slope: z.number(),
    intercept: z.number(),
    maxErrorRpm: z.number(),
    outliers: z.array(z.number()),
    table: z.array(z.object({ dial: z.number(), rpm: z.number() })),
  }),
  compute: ({ readings }) => {
    const whole = line(readings)
    const fit = robustLine(readings.map(({ dial, rpm }) => [dial, rpm]))
    if (whole === undefined || fit === undefined) return refuse('readings', 'must be of two marks of the dial at least')
    const { slope, intercept, off, maxError, span } = fit
    const kept = readings.filter((_, i) => off[i] !== true)
    const straight = maxError <= OF_SPAN * span && readings.length - kept.length <= MOST_OFF * readings.length
    const marks = (of: readonly DialReading[]) => [...new Set(of.map(({ dial }) => dial))].sort((a, b) => a - b)
    const indices = (odd: readonly boolean[]) => odd.flatMap((is, i) => (is ? [i] : []))
    if (straight || readings.length <= NEIGHBOURS)
      return {
        straight,
        slope,
        intercept,
        maxErrorRpm: maxError,
        outliers: indices(off),
        table: marks(kept).map((dial) => ({ dial, rpm: intercept + slope * dial })),
      }
    const odd = tooFar(fromNeighbours(readings), span)
    const on = readings.filter((_, i) => odd[i] !== true)
    const table = monotone(
      marks(on).map((dial) => ({ dial, rpm: median(on.filter((r) => r.dial === dial).map((r) => r.rpm)) })),
      whole.slope < 0,
    )
    const at = new Map(table.map(({ dial, rpm }) => [dial, rpm]))
    return {
      straight,
      slope,
      intercept,
      maxErrorRpm: Math.max(0, ...on.map(({ dial, rpm }) => Math.abs(rpm - (at.get(dial) ?? rpm)))),
      outliers: indices(odd),
      table,
    }
  },
})
