import { z } from 'zod'
import { hertzInput, rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

const MOST_SLIP = 0.25
/** Keeps an exact synchronous speed from falling to the next pole count by a rounding error. */
const ROUNDING = 1e-9

/** How many poles a plate's rpm and hertz imply, and how far the rotor falls behind the field. */
export const polesFromNameplate = rule({
  id: 'motor.poles-from-nameplate',
  input: z.strictObject({
    ratedSpeedRpm: rpmInput,
    ratedFrequencyHz: hertzInput,
  }),
  output: z.object({
    poles: z.number().int(),
    synchronousRpm: z.number(),
    slip: z.number(),
    slipUnknown: z.boolean(),
  }),
  compute: ({ ratedSpeedRpm, ratedFrequencyHz }) => {
    const fastest = 60 * ratedFrequencyHz
    const polePairs = Math.floor(fastest / ratedSpeedRpm + ROUNDING)
    if (polePairs < 1)
      return refuse(
        'ratedSpeedRpm',
        `must be at most ${fastest} rpm, the two-pole synchronous speed at ${ratedFrequencyHz} Hz`,
      )
    const synchronousRpm = fastest / polePairs
    const slip = Math.max(0, (synchronousRpm - ratedSpeedRpm) / synchronousRpm)
    if (slip > MOST_SLIP)
      return refuse(
        'ratedSpeedRpm',
        `implies a slip of ${(100 * slip).toFixed(1)} %; at most 25 % is a running induction motor (from ${(synchronousRpm * (1 - MOST_SLIP)).toFixed(0)} to ${synchronousRpm} rpm for ${2 * polePairs} poles)`,
      )
    return { poles: 2 * polePairs, synchronousRpm, slip, slipUnknown: slip === 0 }
  },
})
