import { z } from 'zod'
import { hertzInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What the number of a ramp counts, where it has a unit. */
export const countedRamps = ['to-maximum', 'to-base', 'per-10-hz', 'hz-per-s'] as const
export type CountedRamp = (typeof countedRamps)[number]

const of = {
  meaning: z.enum(countedRamps),
  baseFrequencyHz: hertzInput,
  maximumHz: hertzInput,
}

/** Seconds to the highest hertz for each second that is entered. */
const stretch = (meaning: Exclude<CountedRamp, 'hz-per-s'>, baseHz: number, maximumHz: number): number =>
  meaning === 'to-maximum' ? 1 : maximumHz / (meaning === 'to-base' ? baseHz : 10)

/** How long a ramp takes between standstill and the highest hertz, by what its number counts. */
export const rampSeconds = rule({
  id: 'drive.ramp-seconds',
  input: z.strictObject({ entered: z.number().gt(0).max(10_000), ...of }),
  output: z.object({ seconds: z.number() }),
  compute: ({ entered, meaning, baseFrequencyHz, maximumHz }) => ({
    seconds: meaning === 'hz-per-s' ? maximumHz / entered : entered * stretch(meaning, baseFrequencyHz, maximumHz),
  }),
})

/** The number to enter so that a ramp takes these seconds between standstill and the highest hertz. */
export const rampEntry = rule({
  id: 'drive.ramp-entry',
  input: z.strictObject({ seconds: z.number().gt(0).max(10_000), ...of }),
  output: z.object({ entered: z.number() }),
  compute: ({ seconds, meaning, baseFrequencyHz, maximumHz }) => ({
    entered: meaning === 'hz-per-s' ? maximumHz / seconds : seconds / stretch(meaning, baseFrequencyHz, maximumHz),
  }),
})
