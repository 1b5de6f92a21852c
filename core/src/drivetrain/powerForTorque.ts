import { z } from 'zod'
import { wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Power of a motor, alike but for its size and on the same belts, that gives a wanted torque where this one gives another. */
export const powerForTorque = rule({
  id: 'drivetrain.power-for-torque',
  input: z.strictObject({
    powerW: wattsInput,
    torqueNm: z.number().gt(0).max(1e6),
    wantedNm: z.number().gt(0).max(1e6),
  }),
  output: z.object({ powerW: z.number(), times: z.number() }),
  compute: ({ powerW, torqueNm, wantedNm }) => ({ powerW: (powerW * wantedNm) / torqueNm, times: wantedNm / torqueNm }),
})
