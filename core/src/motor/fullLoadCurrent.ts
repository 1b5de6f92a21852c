import { z } from 'zod'
import { gives, share, volts, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Line current that the shaft power, efficiency and power factor imply. */
export const fullLoadCurrent = rule({
  id: 'motor.full-load-current',
  title: 'Full-load current from power, efficiency and power factor',
  input: z.strictObject({
    powerW: watts('shaft power'),
    voltageV: volts('between lines, for the connection used'),
    efficiency: share('efficiency at full load'),
    powerFactor: share('cos phi at full load'),
  }),
  output: z.object({ currentA: gives('A', 'line current at full load') }),
  formula: 'I = P / (sqrt(3) V eta cos phi)',
  source: 'IEC 60034-1 (rated output is shaft power); three-phase power',
  example: { powerW: 1500, voltageV: 230, efficiency: 0.79, powerFactor: 0.8 },
  compute: ({ powerW, voltageV, efficiency, powerFactor }) => ({
    currentA: powerW / (Math.sqrt(3) * voltageV * efficiency * powerFactor),
  }),
})
