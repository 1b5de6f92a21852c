import { z } from 'zod'
import { gives, hertz, volts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Current that a drive's filter lets to earth all the time. */
export const earthLeakage = rule({
  id: 'drive.earth-leakage',
  title: 'Earth leakage of a filter',
  input: z.strictObject({
    capacitanceF: z.number().gt(0).max(1e-3).describe('F, to earth'),
    voltageV: volts('of the live conductor to earth'),
    frequencyHz: hertz('of the supply'),
  }),
  output: z.object({
    currentA: gives(
      'A',
      'to earth; over 0.0035 the connection must be fixed, with a 10 mm2 or a second protective conductor',
    ),
  }),
  formula: 'I = 2 pi f C V',
  source: 'Capacitor current; the limit of 3.5 mA from IEC 61800-5-1',
  example: { capacitanceF: 1e-7, voltageV: 230, frequencyHz: 50 },
  compute: ({ capacitanceF, voltageV, frequencyHz }) => ({
    currentA: 2 * Math.PI * frequencyHz * capacitanceF * voltageV,
  }),
})
