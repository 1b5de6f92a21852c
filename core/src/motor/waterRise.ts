import { z } from 'zod'
import { wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Heat that a litre of water takes for each kelvin, J. */
const J_PER_L_K = 4186

/** How much warmer cooling water comes out of a spindle. */
export const waterRise = rule({
  id: 'motor.water-rise',
  input: z.strictObject({ lossW: wattsInput, litresPerMin: z.number().gt(0).max(1000) }),
  output: z.object({ riseK: z.number() }),
  compute: ({ lossW, litresPerMin }) => ({ riseK: (60 * lossW) / (J_PER_L_K * litresPerMin) }),
})
