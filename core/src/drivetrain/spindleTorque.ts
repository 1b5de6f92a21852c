import { z } from 'zod'
import { shareInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque at the spindle that a motor torque becomes through the drive train. */
export const spindleTorque = rule({
  id: 'drivetrain.spindle-torque',
  input: z.strictObject({
    torqueNm: z.number().min(0).max(1e6),
    speedRatio: z.number().gt(0).max(1000),
    efficiency: shareInput,
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ torqueNm, speedRatio, efficiency }) => ({ torqueNm: (torqueNm * efficiency) / speedRatio }),
})
