import { z } from 'zod'
import { gives, hertz, rpm } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

const MOST_SLIP = 0.25
/** Keeps an exact synchronous speed from falling to the next pole count by a rounding error. */
const ROUNDING = 1e-9

/** How many poles a plate's rpm and hertz imply, and how far the rotor falls behind the field. */
export const polesFromNameplate = rule({
  id: 'motor.poles-from-nameplate',
  title: 'Poles, synchronous speed and slip from the plate',
  input: z.strictObject({
    ratedSpeedRpm: rpm('full-load speed on the plate'),
    ratedFrequencyHz: hertz('frequency on the plate'),
  }),
  output: z.object({
    poles: z.number().int().describe('number of poles'),
    synchronousRpm: gives('rpm', 'speed of the rotating field'),
    slip: gives('0 to 1', 'share of synchronous speed lost at full load'),
    slipUnknown: z
      .boolean()
      .describe('true where the plate prints synchronous speed, so that the slip cannot be known'),
  }),
  formula: 'pole pairs = floor(60 f / n);  n_s = 60 f / pole pairs;  s = (n_s - n) / n_s',
  source: 'IEC 60034-1 (definitions of synchronous speed and slip)',
  example: { ratedSpeedRpm: 1420, ratedFrequencyHz: 50 },
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
