import { z } from 'zod'
import { shareInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Friction as a share of torque, until a coast is timed. */
export const frictionShare = rule({
  id: 'drivetrain.friction-share',
  input: z.strictObject({
    torqueNm: z.number().min(0).max(1e6),
    share: shareInput,
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ torqueNm, share }) => ({ torqueNm: torqueNm * share }),
})
