import { z } from 'zod'
import { hertzInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Pulses that a drive must put into one period so that a motor of few turns gets something like a sine: a planning value. */
const LEAST = 10

/** Carrier pulses in one period of the output. */
export const carrierRatio = rule({
  id: 'motor.carrier-ratio',
  input: z.strictObject({ carrierHz: z.number().gt(0).max(1e6), frequencyHz: hertzInput }),
  output: z.object({ ratio: z.number(), enough: z.boolean(), leastCarrierHz: z.number() }),
  compute: ({ carrierHz, frequencyHz }) => ({
    ratio: carrierHz / frequencyHz,
    enough: carrierHz >= LEAST * frequencyHz,
    leastCarrierHz: LEAST * frequencyHz,
  }),
})
