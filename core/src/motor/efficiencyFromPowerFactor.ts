import { z } from 'zod'
import { shareInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Efficiency behind a plate that prints cos phi: its amps fix the product of both. */
export const efficiencyFromPowerFactor = rule({
  id: 'motor.efficiency-from-power-factor',
  input: z.strictObject({
    product: z.number().gt(0).max(2),
    powerFactor: shareInput,
  }),
  output: z.object({ efficiency: z.number() }),
  compute: ({ product, powerFactor }) => ({ efficiency: product / powerFactor }),
})
