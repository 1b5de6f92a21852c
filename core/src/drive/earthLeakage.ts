import { z } from 'zod'
import { hertzInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Current that a drive's filter lets to earth all the time. */
export const earthLeakage = rule({
  id: 'drive.earth-leakage',
  input: z.strictObject({
    capacitanceF: z.number().gt(0).max(1e-3),
    voltageV: voltsInput,
    frequencyHz: hertzInput,
  }),
  output: z.object({
    currentA: z.number(),
  }),
  compute: ({ capacitanceF, voltageV, frequencyHz }) => ({
    currentA: 2 * Math.PI * frequencyHz * capacitanceF * voltageV,
  }),
})
