import { z } from 'zod'
import { OF_SPAN, robustLine } from '../controls/theilSen'
import { refuse, rule } from '../rules/rule'

const speed = z.number().min(0).max(2e5)
const MOST_READINGS = 500

/**
 * True rpm over what a controller commands, from readings on one range: gain, offset, the command under which nothing
 * turns, and whether a straight line fits at all. Readings at standstill tell the dead band and no line.
 */
export const commandFit = rule({
  id: 'cnc.command-fit',
  input: z.strictObject({
    readings: z
      .array(z.strictObject({ commandedRpm: speed, rpm: speed }))
      .min(2)
      .max(MOST_READINGS),
  }),
  output: z.object({
    gain: z.number(),
    offsetRpm: z.number(),
    straight: z.boolean(),
    maxErrorRpm: z.number(),
    deadBandRpm: z.number(),
    outliers: z.array(z.number()),
  }),
  compute: ({ readings }) => {
    const turning = readings.flatMap((r, place) => (r.rpm > 0 ? [{ ...r, place }] : []))
    const fit = robustLine(turning.map(({ commandedRpm, rpm }) => [commandedRpm, rpm]))
    if (fit === undefined || fit.slope <= 0)
      return refuse('readings', 'must have two commands at least at which it turns, faster at the higher one')
    return {
      gain: fit.slope,
      offsetRpm: fit.intercept,
      straight: fit.maxError <= OF_SPAN * fit.span,
      maxErrorRpm: fit.maxError,
      deadBandRpm: Math.max(0, ...readings.filter(({ rpm }) => rpm === 0).map(({ commandedRpm }) => commandedRpm)),
      outliers: turning.flatMap(({ place }, i) => (fit.off[i] === true ? [place] : [])),
    }
  },
})
