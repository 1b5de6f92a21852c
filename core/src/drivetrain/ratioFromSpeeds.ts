import { z } from 'zod'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Ratio of a train that nobody has measured, from the speeds of its two ends. */
export const ratioFromSpeeds = rule({
  id: 'drivetrain.ratio-from-speeds',
  input: z.strictObject({ spindleRpm: rpmInput, motorRpm: rpmInput }),
  output: z.object({ speedRatio: z.number() }),
  compute: ({ spindleRpm, motorRpm }) => ({ speedRatio: spindleRpm / motorRpm }),
})
