import { z } from 'zod'
import { shareInput, voltsInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Line current that the shaft power, efficiency and power factor imply. */
export const fullLoadCurrent = rule({
  id: 'motor.full-load-current',
  input: z.strictObject({
    powerW: wattsInput,
    voltageV: voltsInput,
    efficiency: shareInput,
    powerFactor: shareInput,
  }),
  output: z.object({ currentA: z.number() }),
  compute: ({ powerW, voltageV, efficiency, powerFactor }) => ({
    currentA: powerW / (Math.sqrt(3) * voltageV * efficiency * powerFactor),
  }),
})
