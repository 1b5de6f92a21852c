import { z } from 'zod'
import { conversionSchema } from './conversion'

/** One thing wrong with what was sent: where, what, and what would have been right. */
export const faultSchema = z.strictObject({
  /** Path of the field; empty where the whole is wrong. */
  field: z.string(),
  message: z.string(),
})

/** The one shape of every error (RFC 9457 problem details). */
export const problemSchema = z.looseObject({
  type: z.string(),
  title: z.string(),
  status: z.number().int().min(400).max(599),
  detail: z.string(),
  /** Each thing wrong with the input, by field. */
  faults: z.array(faultSchema).optional(),
})

/** A save that was made to a revision that is no longer the newest, with both sides. */
export const conflictSchema = problemSchema.extend({ theirs: conversionSchema })

export type Problem = z.output<typeof problemSchema>
