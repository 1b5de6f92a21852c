import { z } from 'zod'
import { hertzInput, hertzFromZeroInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Voltage between motor lines at a frequency on the straight V/f line. */
export const outputVoltage = rule({
  id: 'drive.output-voltage',
  input: z.strictObject({
    frequencyHz: hertzFromZeroInput,
    baseFrequencyHz: hertzInput,
    ratedVoltageV: voltsInput,
    supplyV: voltsInput,
    doubler: z.boolean().default(false),
    boostV: z.number().min(0).max(1000).default(0),
  }),
  output: z.object({
    outputV: z.number(),
    limited: z.boolean(),
  }),
  compute: ({ frequencyHz, baseFrequencyHz, ratedVoltageV, supplyV, doubler, boostV }) => {
    const line = boostV + (ratedVoltageV - boostV) * Math.min(1, frequencyHz / baseFrequencyHz)
    const ceiling = supplyV * (doubler ? 2 : 1)
    return { outputV: Math.min(line, ceiling), limited: line > ceiling }
  },
})
