import { z } from 'zod'
import { gives, share } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque at the spindle that a motor torque becomes through the drive train. */
export const spindleTorque = rule({
  id: 'drivetrain.spindle-torque',
  title: 'Torque at the spindle',
  input: z.strictObject({
    torqueNm: z.number().min(0).max(1e6).describe('N m, at the motor shaft'),
    speedRatio: z.number().gt(0).max(1000).describe('spindle rpm over motor rpm'),
    efficiency: share('of the drive train'),
  }),
  output: z.object({ torqueNm: gives('N m', 'at the spindle') }),
  formula: 'T_s = T_m eta / (n_s / n_m)',
  source: 'Conservation of power',
  example: { torqueNm: 10.087, speedRatio: 0.4018, efficiency: 0.95 },
  compute: ({ torqueNm, speedRatio, efficiency }) => ({ torqueNm: (torqueNm * efficiency) / speedRatio }),
})
