import { planSchema } from '@zesty/core'
import { z } from 'zod'

export const newConversionSchema = z.strictObject({
  name: planSchema.shape.name,
  machineKind: planSchema.shape.survey.shape.machineKind,
})

const baseRevision = z.number().int().min(1)

/** `plan` is read by core's own reader, which also upgrades older documents. */
export const saveSchema = z.strictObject({ baseRevision, plan: z.unknown() })
export const restoreSchema = z.strictObject({ baseRevision })

export type NewConversion = z.output<typeof newConversionSchema>
export type Save = z.output<typeof saveSchema>
export type Restore = z.output<typeof restoreSchema>

/** What Swagger shows of a save: the plan's schema in place of `unknown`. */
export const documentedSaveSchema = z.strictObject({ baseRevision, plan: planSchema })
