import { z } from 'zod'
import { rpmInput, wattsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Torque at the shaft at full load. */
export const ratedTorque = rule({
  id: 'motor.rated-torque',
  input: z.strictObject({ powerW: wattsInput, speedRpm: rpmInput }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ powerW, speedRpm }) => ({ torqueNm: (60 * powerW) / (2 * Math.PI * speedRpm) }),
})
