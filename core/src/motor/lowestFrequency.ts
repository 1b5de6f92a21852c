import { z } from 'zod'
import { hertzInput, shareInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Lowest hertz worth proposing, by what keeps the motor cool and steady there. */
export const lowestFrequency = rule({
  id: 'motor.lowest-frequency',
  input: z.strictObject({
    baseFrequencyHz: hertzInput,
    share: shareInput,
    highFrequency: z.boolean().default(false),
    inverterDutyRatio: z.number().min(1).max(5000).optional(),
  }),
  output: z.object({ frequencyHz: z.number() }),
  compute: ({ baseFrequencyHz, share, highFrequency, inverterDutyRatio }) => {
    if (highFrequency) return { frequencyHz: Math.ceil(baseFrequencyHz * share) }
    return {
      frequencyHz:
        inverterDutyRatio === undefined
          ? Math.round(baseFrequencyHz * share)
          : Math.max(1, Math.round((10 * baseFrequencyHz) / inverterDutyRatio) / 10),
    }
  },
})
