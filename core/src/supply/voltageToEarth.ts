import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Volts of a live conductor to earth. */
export const voltageToEarth = rule({
  id: 'supply.voltage-to-earth',
  input: z.strictObject({
    voltageV: voltsInput,
    topology: z.enum(['line-neutral', 'line-line', 'three-phase']).default('line-neutral'),
  }),
  output: z.object({ voltageV: z.number() }),
  compute: ({ voltageV, topology }) => ({
    voltageV: voltageV * (topology === 'line-line' ? 1 / 2 : topology === 'three-phase' ? 1 / Math.sqrt(3) : 1),
  }),
})
