import { z } from 'zod'
import { amps, gives, volts, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What a plate's amps say about its efficiency times power factor; a check on the plate itself. */
export const impliedEfficiencyPowerFactor = rule({
  id: 'motor.implied-efficiency-power-factor',
  title: 'Efficiency times power factor implied by the plate',
  input: z.strictObject({
    powerW: watts('shaft power'),
    voltageV: volts('between lines, for the connection the amps belong to'),
    currentA: amps('line current at full load'),
  }),
  output: z.object({ product: gives('0 to 1', 'efficiency times cos phi') }),
  formula: 'eta cos phi = P / (sqrt(3) V I); above 0.95 or under 0.3 the plate contradicts itself',
  source: 'IEC 60034-1 (rated output is shaft power); three-phase power; the two limits are planning values',
  example: { powerW: 1500, voltageV: 230, currentA: 6 },
  compute: ({ powerW, voltageV, currentA }) => ({ product: powerW / (Math.sqrt(3) * voltageV * currentA) }),
})
