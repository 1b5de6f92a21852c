import { z } from 'zod'
import { gives, hertz, volts, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Ripple on the bus of a drive fed from one phase. */
export const busRipple = rule({
  id: 'drive.bus-ripple',
  title: 'Ripple on the bus, one phase',
  input: z.strictObject({
    inputW: watts('taken from the bus'),
    frequencyHz: hertz('of the mains'),
    capacitanceF: z.number().gt(0).max(1).describe('F, of the bus'),
    busV: volts('on the bus, no load'),
  }),
  output: z.object({ rippleV: gives('V', 'between crest and trough') }),
  formula: 'dV = P / (2 f C V)',
  source: 'Charge drawn between two crests of the rectified wave',
  example: { inputW: 1900, frequencyHz: 50, capacitanceF: 680e-6, busV: 325 },
  compute: ({ inputW, frequencyHz, capacitanceF, busV }) => ({
    rippleV: inputW / (2 * frequencyHz * capacitanceF * busV),
  }),
})
