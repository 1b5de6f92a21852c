import { driveSchema, motorSchema } from '@zesty/core'
import { z } from 'zod'

const name = z.string().trim().min(1).max(80)

/** A plate kept for other conversions; what it holds is checked by the plan's own schema for its kind. */
export const newItemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('motor'), name, item: motorSchema }),
  z.strictObject({ kind: z.literal('drive'), name, item: driveSchema }),
])

export type NewItem = z.output<typeof newItemSchema>
