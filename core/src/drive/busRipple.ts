import { z } from 'zod'
import { hertzInput, voltsInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Ripple on the bus of a drive fed from one phase. */
export const busRipple = rule({
  id: 'drive.bus-ripple',
  input: z.strictObject({
    inputW: wattsInput,
    frequencyHz: hertzInput,
    capacitanceF: z.number().gt(0).max(1),
    busV: voltsInput,
  }),
  output: z.object({ rippleV: z.number() }),
  compute: ({ inputW, frequencyHz, capacitanceF, busV }) => ({
    rippleV: inputW / (2 * frequencyHz * capacitanceF * busV),
  }),
})
