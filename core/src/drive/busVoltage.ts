import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Peak voltage on the drive's capacitors at no load; still there after the supply has gone. */
export const busVoltage = rule({
  id: 'drive.bus-voltage',
  input: z.strictObject({
    supplyV: voltsInput,
    doubler: z.boolean().default(false),
  }),
  output: z.object({ busV: z.number() }),
  compute: ({ supplyV, doubler }) => ({ busV: Math.SQRT2 * supplyV * (doubler ? 2 : 1) }),
})
