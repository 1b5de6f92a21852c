import { z } from 'zod'

/** Of outliers and pairs, so many are told; whoever has more has another trouble. */
export const MOST_TOLD = 50

/** One value of a series, and the reading that it comes from. */
export const sampleSchema = z.strictObject({ value: z.number(), id: z.string() })

export const seriesSchema = z.strictObject({
  /** How many readings there are. */
  count: z.number().int().min(1),
  /** The middle one; an outlier does not move it. */
  median: z.number(),
  /** The least that belongs to the rest. */
  least: z.number(),
  /** Of two that do not agree neither is known to be right, so nothing rests on them. */
  undecided: z.literal(true).optional(),
  /** Readings that do not belong to the rest, farthest first. */
  outliers: z.array(sampleSchema).max(MOST_TOLD),
})

export type Sample = z.output<typeof sampleSchema>
export type Series = z.output<typeof seriesSchema>
