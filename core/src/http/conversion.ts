import { z } from 'zod'
import { LAST_REVISION } from '../rules/lastRevision'
import { isKeptMoment, moment } from '../rules/moment'
import { nameText } from '../rules/text'
import { evaluationAnswer } from '../evaluate/evaluationSchema'
import { measuredSchema } from '../measurements/measured'
import { changesSchema, planSchema, type Plan } from '../plan'
import type { ShownPart, ShownParts } from '../shown/shownParts'
import { stageIds, type StageId } from '../stages/stages'

const revision = z.number().int().min(1).max(LAST_REVISION)
/** A revision that another can follow. */
const baseRevision = z
  .number()
  .int()
  .min(1)
  .max(LAST_REVISION - 1)

/** A revision as it stands in an address. */
export const revisionParameterSchema = z
  .string()
  .regex(/^[1-9]\d{0,9}$/, 'must be the number of a revision')
  .transform(Number)
  .pipe(revision)

/** A moment as it stands in an address, ISO 8601 with its zone. */
export const momentParameterSchema = z.iso
  .datetime({ offset: true, error: 'must be a moment, as 2026-11-28T18:00:00Z' })
  .refine(isKeptMoment, 'must be of the years 1900 to 9999')
  .transform((text) => new Date(text))

export const newConversionSchema = z.strictObject({
  name: planSchema.shape.name,
  machineKind: planSchema.shape.survey.shape.machineKind,
})

/** What is sent to keep a plan; plans of older releases are taken too and brought up to date. */
export const saveSchema = z.strictObject({ baseRevision, plan: planSchema })

/** The same before the plan is read by the plan's own reader, which upgrades it and names every fault. */
export const unreadSaveSchema = z.strictObject({ baseRevision, plan: z.unknown() })

/** What is sent to keep a plan of which the server has the revision before: only what is another. */
export const changesSaveSchema = z.strictObject({ baseRevision, changes: changesSchema })

/** A save that was made, without the plan: whoever made it has it. */
export const savedSchema = z.object({ id: z.uuid(), shopId: z.uuid(), revision, savedAt: moment() })

export const restoreSchema = z.strictObject({ baseRevision })

/** One machine's change to variable speed at one revision, as it is answered. */
export const conversionSchema = z.strictObject({
  id: z.uuid(),
  shopId: z.uuid(),
  revision,
  plan: planSchema,
  savedAt: moment(),
})

/** A conversion with what the product says about it, as it is opened. */
export const judgedConversionSchema = z.strictObject({
  conversion: conversionSchema,
  /** What its readings come to, on which the evaluation rests too. */
  measured: measuredSchema,
  evaluation: evaluationAnswer,
  /** What the stage that was asked for shows beside it; null of what there is nothing of. Looked into only by what shows it. */
  parts: z.record(z.string(), z.unknown()).optional(),
})

/** The stage that a conversion is opened at. */
export const openedAtSchema = z.strictObject({ stage: z.enum(stageIds as [StageId, ...StageId[]]).optional() })

/** What somebody calls a revision; null takes the name away. */
export const revisionNameSchema = z.strictObject({ name: nameText(80).nullable() })

const revisionHead = z.strictObject({
  revision,
  /** How it came about: begun, edited, imported, restored from 3. */
  origin: z.string(),
  /** Who saved it, and on which device, where that is known. */
  by: z.string().optional(),
  /** What somebody calls it, where somebody does; it is kept for good then. */
  name: z.string().optional(),
  savedAt: moment(),
})

export const revisionLineSchema = revisionHead.extend({
  /** How many things differ from the one kept before it, and what the first of them are called; unknown of the first of all. */
  changed: z.strictObject({ count: z.number().int().min(0), first: z.array(z.string()) }).optional(),
})

export const revisionSchema = revisionHead.extend({ plan: planSchema })

/** Something that was ticked or that the drive was read to hold, at the moment it was changed. */
export const entrySchema = z.strictObject({
  id: z.uuid(),
  /** The field of the plan. */
  path: z.string(),
  /** What it holds from then on, in base units; nothing where it was cleared. */
  value: z.union([z.number(), z.string(), z.boolean()]).optional(),
  /** Why, where somebody said so with the change. */
  reason: z.string().optional(),
  by: z.string().optional(),
  at: moment(),
})

export type OpenedAt = z.output<typeof openedAtSchema>
export type SentParts = { [N in ShownPart]?: ShownParts[N] | null }
export type NewConversion = z.output<typeof newConversionSchema>
export type UnreadSave = z.output<typeof unreadSaveSchema>
export type ChangesSave = z.output<typeof changesSaveSchema>
export type Saved = z.output<typeof savedSchema>
export type Restore = z.output<typeof restoreSchema>
export type KeptConversion = Omit<z.output<typeof conversionSchema>, 'plan'> & { plan: Plan }
export type RevisionName = z.output<typeof revisionNameSchema>
export type Entry = z.output<typeof entrySchema>
export type RevisionLine = z.output<typeof revisionLineSchema>
export type Revision = Omit<z.output<typeof revisionSchema>, 'plan'> & { plan: Plan }
