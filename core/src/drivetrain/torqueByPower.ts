import { z } from 'zod'
import { wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque of a motor of another power, as many poles, on the same belts. */
export const torqueByPower = rule({
  id: 'drivetrain.torque-by-power',
  input: z.strictObject({
    torqueNm: z.number().min(0).max(1e6),
    powerW: wattsInput,
    otherPowerW: wattsInput,
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ torqueNm, powerW, otherPowerW }) => ({ torqueNm: (torqueNm * otherPowerW) / powerW }),
})
