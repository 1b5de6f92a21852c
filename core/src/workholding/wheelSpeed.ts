import { z } from 'zod'
import { rimSpeed } from '../drivetrain/beltSpeed'
import { metresPerSecondInput, millimetresInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** Speed of a grinding wheel's rim against its marking; without a marking, the machine's original rpm is the ceiling. */
export const wheelSpeed = rule({
  id: 'workholding.wheel-speed',
  input: z.strictObject({
    diameterMm: millimetresInput,
    speedRpm: rpmInput,
    markedMPerS: metresPerSecondInput.optional(),
    originalSpeedRpm: rpmInput.optional(),
  }),
  output: z.object({
    speedMPerS: z.number(),
    permitted: z.boolean(),
  }),
  compute: ({ diameterMm, speedRpm, markedMPerS, originalSpeedRpm }) => {
    const speedMPerS = rimSpeed(diameterMm, speedRpm)
    const permitted =
      markedMPerS === undefined
        ? originalSpeedRpm !== undefined && speedRpm <= originalSpeedRpm
        : speedMPerS <= markedMPerS
    return { speedMPerS, permitted }
  },
})
