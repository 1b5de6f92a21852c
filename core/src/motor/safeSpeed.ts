import { z } from 'zod'
import { evenPolesInput, millimetresInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { safeOperatingSpeeds } from '../data/safeOperatingSpeeds'

/** Fastest the rotor may turn: the plate's own limit first, else the planning value for frame and poles. */
export const safeSpeed = rule({
  id: 'motor.safe-speed',
  input: z.strictObject({
    poles: evenPolesInput,
    frameMm: millimetresInput,
    plateMaximumRpm: rpmInput.optional(),
    ratedSpeedRpm: rpmInput,
  }),
  output: z.object({
    maximumRpm: z.number(),
    basis: z.enum(['given', 'typical']),
  }),
  compute: ({ poles, frameMm, plateMaximumRpm, ratedSpeedRpm }) => {
    if (plateMaximumRpm !== undefined) return { maximumRpm: plateMaximumRpm, basis: 'given' as const }
    const row = safeOperatingSpeeds.rows.find((r) => frameMm <= r.frameUpToMm)
    const planned = row?.maximumRpmByPoles[poles]
    return planned !== undefined && planned >= ratedSpeedRpm
      ? { maximumRpm: planned, basis: 'typical' as const }
      : { maximumRpm: ratedSpeedRpm, basis: 'given' as const }
  },
})
