import { z } from 'zod'
import { rule } from '../rules/rule'

/** Torque to plan with where a tool drags more than the chip alone asks. */
export const plannedTorque = rule({
  id: 'cutting.planned-torque',
  input: z.strictObject({ torqueNm: z.number().gt(0).max(1e6), times: z.number().min(1).max(5) }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ torqueNm, times }) => ({ torqueNm: torqueNm * times }),
})
