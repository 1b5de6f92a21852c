import { z } from 'zod'
import { voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Most volts that a drive has to give its motor. */
export const ceilingVoltage = rule({
  id: 'drive.ceiling-voltage',
  input: z.strictObject({
    supplyV: voltsInput,
    doubler: z.boolean().default(false),
  }),
  output: z.object({ outputV: z.number() }),
  compute: ({ supplyV, doubler }) => ({ outputV: supplyV * (doubler ? 2 : 1) }),
})
