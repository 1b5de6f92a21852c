import { z } from 'zod'
import { hertzAtRpm } from '../motor/frequencyAtSpeed'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Hertz in the windings of a brushless motor, which its driver must be able to make; six steps a turn of the field. */
export const brushlessFrequency = rule({
  id: 'brushless.frequency',
  input: z.strictObject({ speedRpm: rpmInput, polePairs: z.number().int().min(1).max(50) }),
  output: z.object({ frequencyHz: z.number(), stepsPerS: z.number() }),
  compute: ({ speedRpm, polePairs }) => {
    const frequencyHz = hertzAtRpm(speedRpm, 2 * polePairs)
    return { frequencyHz, stepsPerS: 6 * frequencyHz }
  },
})
