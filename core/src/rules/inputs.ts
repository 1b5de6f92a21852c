import { z } from 'zod'

/**
 * Schema pieces for the inputs of rules, each in one unit; limits are those of sense, not of plausibility. What a
 * field means stands with the rule's words.
 */

const within = (above: number, most: number) => z.number().gt(above).max(most)

export const wattsInput = within(0, 1e8)
export const voltsInput = within(0, 1e5)
export const ampsInput = within(0, 1e5)
export const hertzInput = within(0, 2000)
export const rpmInput = within(0, 2e5)
export const millimetresInput = within(0, 1e5)
export const metresPerSecondInput = within(0, 1000)
export const metresPerMinuteInput = within(0, 1e5)
export const shareInput = within(0, 1)

/** Frequencies that may stand still. */
export const hertzFromZeroInput = z.number().min(0).max(2000)
export const slipInput = z.number().min(-1).max(1)

export const evenPolesInput = z
  .number()
  .int()
  .min(2)
  .max(48)
  .multipleOf(2, { error: 'must be an even number of poles: 2, 4, 6, 8 ...' })

export const phasesInput = z.union([z.literal(1), z.literal(3)], { error: 'must be 1 or 3' })
