import { z } from 'zod'
import { gives, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Peak voltage on the drive's capacitors at no load; still there after the supply has gone. */
export const busVoltage = rule({
  id: 'drive.bus-voltage',
  title: 'Bus voltage at no load',
  input: z.strictObject({
    supplyV: volts('supply, rms'),
    doubler: z.boolean().default(false).describe('true for a drive that doubles its input'),
  }),
  output: z.object({ busV: gives('V', 'direct, at no load') }),
  formula: 'V_bus = sqrt(2) V, twice that with a doubler',
  source: 'Peak of a sine wave; capacitor-input rectifier at no load',
  example: { supplyV: 230, doubler: false },
  compute: ({ supplyV, doubler }) => ({ busV: Math.SQRT2 * supplyV * (doubler ? 2 : 1) }),
})
