import { z } from 'zod'
import type { Dimension } from '../quantities'
import { text } from '../rules/text'
import type { StageId } from '../stages/stages'

/**
 * Pieces of the plan's schema. Each carries its label, dimension, limits and help, so that the
 * form, the messages, the difference between revisions and the JSON Schema all read one source.
 */
export interface FieldMeta {
  /** What the field is called on screen and in messages. */
  label: string
  dimension?: Dimension
  /** Values of a choice with their words, in the order shown. */
  options?: Readonly<Record<string, string>>
  /** One line of help: where to find it, or why it is asked. */
  help?: string
  /** One thing, taken and changed as a whole: nothing in it is a field of the plan. */
  whole?: boolean
  /** Stage of the work on which it is typed, where that is not its section's. */
  stage?: StageId
}

/** The same field or section, typed on a stage of its own. What stands in a section is on the section's stage unless it says another. */
export const on = <S extends z.ZodType>(stage: StageId, schema: S): S => schema.meta({ stage })

/** What tells one item of a list from the others; short, and never used again. */
export const id = text(40).min(1)

/** A number in base units of its dimension, between limits of sense. */
export const quantity = (dimension: Dimension, label: string, min: number, max: number, help?: string) =>
  z.number().min(min).max(max).optional().meta(meta({ label, dimension, help }))

export const count = (label: string, min: number, max: number, help?: string) =>
  z
    .number()
    .int()
    .min(min)
    .max(max)
    .optional()
    .meta(meta({ label, dimension: 'number', help }))

export const choice = <const O extends Readonly<Record<string, string>>>(label: string, options: O, help?: string) =>
  z
    .enum(Object.keys(options) as [keyof O & string, ...(keyof O & string)[]])
    .optional()
    .meta(meta({ label, options, help }))

export const yesNo = (label: string, help?: string) => z.boolean().optional().meta(meta({ label, help }))

export const words = (label: string, longest = 120, help?: string) =>
  text(longest).optional().meta(meta({ label, help }))

/** Things by a name of their own, at most so many. */
export const keyed = <S extends z.ZodType>(schema: S, most: number) =>
  z.record(text(80), schema).refine((all) => Object.keys(all).length <= most, `at most ${most}`)

const meta = (m: { [K in keyof FieldMeta]: FieldMeta[K] | undefined }): FieldMeta & Record<string, unknown> => {
  const kept: FieldMeta = { label: m.label ?? '' }
  if (m.dimension !== undefined) kept.dimension = m.dimension
  if (m.options !== undefined) kept.options = m.options
  if (m.help !== undefined) kept.help = m.help
  return { ...kept }
}
