import { z } from 'zod'
import { ampsInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Power that a motor can be given by a drive of fewer amps than its plate. */
export const drawnPower = rule({
  id: 'drive.drawn-power',
  input: z.strictObject({ powerW: wattsInput, outputA: ampsInput, plateA: ampsInput }),
  output: z.object({ drawnW: z.number() }),
  compute: ({ powerW, outputA, plateA }) => ({ drawnW: powerW * Math.min(1, outputA / plateA) }),
})
