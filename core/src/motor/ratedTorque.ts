import { z } from 'zod'
import { gives, rpm, watts } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque at the shaft at full load. */
export const ratedTorque = rule({
  id: 'motor.rated-torque',
  title: 'Torque from power and speed',
  input: z.strictObject({ powerW: watts('shaft power'), speedRpm: rpm('shaft speed at that power') }),
  output: z.object({ torqueNm: gives('N m', 'shaft torque') }),
  formula: 'T = 60 P / (2 pi n)',
  source: 'Definition of mechanical power, P = T w',
  example: { powerW: 1500, speedRpm: 1420 },
  compute: ({ powerW, speedRpm }) => ({ torqueNm: (60 * powerW) / (2 * Math.PI * speedRpm) }),
})
