import { z } from 'zod'
import { hertzInput, hertzFromZeroInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** How low a frequency is against the plate, as the cooling of a shaft fan goes by it. */
export const frequencyFraction = rule({
  id: 'motor.frequency-fraction',
  input: z.strictObject({
    frequencyHz: hertzFromZeroInput,
    baseFrequencyHz: hertzInput,
  }),
  output: z.object({ fraction: z.number() }),
  compute: ({ frequencyHz, baseFrequencyHz }) => ({ fraction: Math.min(1, frequencyHz / baseFrequencyHz) }),
})
