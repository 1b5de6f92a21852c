import { z } from 'zod'
import { evenPolesInput, millimetresInput, rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { safeOperatingSpeeds } from '../data/safeOperatingSpeeds'

/** Poles from which on the table says the same. */
const MOST_POLES = 6

/** Fastest the rotor may turn: the plate's own limit first, else the planning value for frame and poles. */
export const safeSpeed = rule({
  id: 'motor.safe-speed',
  input: z.strictObject({
    poles: evenPolesInput,
    frameMm: millimetresInput.optional(),
    powerW: z.number().gt(0).max(1e9).optional(),
    plateMaximumRpm: rpmInput.optional(),
    ratedSpeedRpm: rpmInput,
  }),
  output: z.object({
    maximumRpm: z.number(),
    basis: z.enum(['given', 'typical']),
  }),
  compute: ({ poles, frameMm, powerW, plateMaximumRpm, ratedSpeedRpm }) => {
    if (plateMaximumRpm !== undefined) return { maximumRpm: plateMaximumRpm, basis: 'given' as const }
    if (frameMm === undefined && powerW === undefined)
      return refuse('frameMm', 'or powerW is needed where the plate prints no highest speed')
    const { rows, unread } = safeOperatingSpeeds
    const row =
      frameMm === undefined
        ? (powerW ?? Infinity) <= unread.powerUpToW
          ? unread
          : undefined
        : rows.find((r) => frameMm <= r.frameUpToMm)
    // Eight poles and more are planned as six.
    const planned = row?.maximumRpmByPoles[Math.min(poles, MOST_POLES)]
    return planned !== undefined && planned >= ratedSpeedRpm
      ? { maximumRpm: planned, basis: 'typical' as const }
      : { maximumRpm: ratedSpeedRpm, basis: 'given' as const }
  },
})
