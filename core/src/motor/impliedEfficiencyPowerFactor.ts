import { z } from 'zod'
import { ampsInput, voltsInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What a plate's amps say about its efficiency times power factor; a check on the plate itself. */
export const impliedEfficiencyPowerFactor = rule({
  id: 'motor.implied-efficiency-power-factor',
  input: z.strictObject({
    powerW: wattsInput,
    voltageV: voltsInput,
    currentA: ampsInput,
  }),
  output: z.object({ product: z.number() }),
  compute: ({ powerW, voltageV, currentA }) => ({ product: powerW / (Math.sqrt(3) * voltageV * currentA) }),
})
