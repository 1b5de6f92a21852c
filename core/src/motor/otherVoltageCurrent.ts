import { z } from 'zod'
import { ampsInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Amps at the other voltage of a plate that prints one of the two. */
export const otherVoltageCurrent = rule({
  id: 'motor.other-voltage-current',
  input: z.strictObject({
    currentA: ampsInput,
    voltageV: voltsInput,
    otherVoltageV: voltsInput,
  }),
  output: z.object({ currentA: z.number() }),
  compute: ({ currentA, voltageV, otherVoltageV }) => ({ currentA: (currentA * voltageV) / otherVoltageV }),
})
