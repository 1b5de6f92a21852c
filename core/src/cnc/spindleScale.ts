import { z } from 'zod'
import { hertzInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Spindle rpm at the drive's highest hertz, for the controller's full command; to be verified by a tachometer. */
export const spindleScale = rule({
  id: 'cnc.spindle-scale',
  input: z.strictObject({
    ratedSpeedRpm: rpmInput,
    ratedFrequencyHz: hertzInput,
    maxFrequencyHz: hertzInput,
    speedRatio: z.number().gt(0).max(100),
  }),
  output: z.object({ rpmAtMaxFrequency: z.number() }),
  compute: ({ ratedSpeedRpm, ratedFrequencyHz, maxFrequencyHz, speedRatio }) => ({
    rpmAtMaxFrequency: ratedSpeedRpm * (maxFrequencyHz / ratedFrequencyHz) * speedRatio,
  }),
})
