import { z } from 'zod'
import { OF_SPAN, theilSen, tooFar } from '../controls/theilSen'
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
    const first = theilSen(turning.map(({ commandedRpm, rpm }) => [commandedRpm, rpm]))
    if (first === undefined || first.slope <= 0)
      return refuse('readings', 'must have two commands at least at which it turns, faster at the higher one')
    const rpms = turning.map(({ rpm }) => rpm)
    const span = Math.max(...rpms) - Math.min(...rpms)
    const off = tooFar(
      turning.map(({ commandedRpm, rpm }) => rpm - (first.intercept + first.slope * commandedRpm)),
      span,
    )
    const kept = turning.filter((_, i) => off[i] !== true)
    const fit = theilSen(kept.map(({ commandedRpm, rpm }) => [commandedRpm, rpm])) ?? first
    const maxErrorRpm = Math.max(
      0,
      ...kept.map(({ commandedRpm, rpm }) => Math.abs(rpm - (fit.intercept + fit.slope * commandedRpm))),
    )
    return {
      gain: fit.slope,
      offsetRpm: fit.intercept,
      straight: maxErrorRpm <= OF_SPAN * span,
      maxErrorRpm,
      deadBandRpm: Math.max(0, ...readings.filter(({ rpm }) => rpm === 0).map(({ commandedRpm }) => commandedRpm)),
      outliers: turning.flatMap(({ place }, i) => (off[i] === true ? [place] : [])),
    }
  },
})
