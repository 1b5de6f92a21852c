import { z } from 'zod'
import { refuse, rule } from '../rules/rule'

/** How warm a motor is after a time, as one body with one time constant. */
export const temperatureRise = rule({
  id: 'motor.temperature-rise',
  input: z.strictObject({
    fullRiseK: z.number().gt(0).max(200),
    currentA: z.number().min(0).max(1e5),
    ratedCurrentA: z.number().gt(0).max(1e5),
    coolingFraction: z.number().gt(0).max(1).default(1),
    minutes: z.number().min(0).max(1e4),
    timeConstantMin: z.number().gt(0).max(1e3),
  }),
  output: z.object({ riseK: z.number(), endK: z.number() }),
  compute: ({ fullRiseK, currentA, ratedCurrentA, coolingFraction, minutes, timeConstantMin }) => {
    const load = currentA / ratedCurrentA
    if (load > 3) return refuse('currentA', 'must be at most three times the rated amps')
    // What the rated torque may be at a fan's speed goes with the root of what the fan carries away.
    const endK = (fullRiseK * load ** 2) / coolingFraction ** 2
    return { riseK: endK * (1 - Math.exp(-minutes / timeConstantMin)), endK }
  },
})
