import { z } from 'zod'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

type Limit = 'reach' | 'plate' | 'spindle'

const limitOf = (least: number, reachesRpm: number, safeRpm: number): Limit =>
  least === reachesRpm ? 'reach' : least === safeRpm ? 'plate' : 'spindle'

/** Fastest that a motor without hertz is set to: the lowest of what it reaches, what it stands, and what spins there. */
export const mostSpeed = rule({
  id: 'motor.most-speed',
  input: z.strictObject({ reachesRpm: rpmInput, safeRpm: rpmInput.optional(), spindleRpm: rpmInput.optional() }),
  output: z.object({ speedRpm: z.number(), limit: z.enum(['reach', 'plate', 'spindle']) }),
  compute: ({ reachesRpm, safeRpm = Infinity, spindleRpm = Infinity }) => {
    const least = Math.min(reachesRpm, safeRpm, spindleRpm)
    return {
      speedRpm: Math.max(1, Math.floor(least)),
      limit: limitOf(least, reachesRpm, safeRpm),
    }
  },
})
