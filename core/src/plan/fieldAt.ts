import { z } from 'zod'
import type { FieldMeta } from './field'
import { planSchema } from './plan'

/** A plan path as text, `survey.positions.0.name`; digits are indices. */
export type PlanPath = string

/** A field's words and limits, found in the plan's schema. */
export interface PlanField extends FieldMeta {
  schema: z.ZodType
  min?: number
  max?: number
}

const cache = new Map<PlanPath, PlanField>()

/** The schema's description of the field at a path; undefined where the schema has no such field. */
export function fieldAt(path: PlanPath): PlanField | undefined {
  const known = cache.get(path)
  if (known !== undefined) return known
  // The items of a list are alike, so one description serves every index.
  const key = path.replace(/\.\d+/g, '.0')
  const field = cache.get(key) ?? describe(key)
  if (field) cache.set(key, field).set(path, field)
  return field
}

function describe(path: PlanPath): PlanField | undefined {
  let schema: z.core.$ZodType | undefined = planSchema
  let label: Partial<FieldMeta> | undefined
  for (const step of path.split('.')) {
    schema = stepInto(schema, step)
    if (!schema) return undefined
    label = z.globalRegistry.get(schema) as Partial<FieldMeta> | undefined
  }
  const inner = unwrap(schema)
  const field: PlanField = { label: label?.label ?? path, schema: schema as z.ZodType }
  if (label?.dimension) field.dimension = label.dimension
  if (label?.options) field.options = label.options
  if (label?.help) field.help = label.help
  if (inner instanceof z.ZodNumber) {
    if (inner.minValue !== null) field.min = inner.minValue
    if (inner.maxValue !== null) field.max = inner.maxValue
  }
  return field
}

const unwrap = (schema: z.core.$ZodType): z.core.$ZodType =>
  schema instanceof z.ZodOptional ? unwrap(schema.unwrap()) : schema

function stepInto(schema: z.core.$ZodType | undefined, step: string): z.core.$ZodType | undefined {
  if (!schema) return undefined
  const at = unwrap(schema)
  if (at instanceof z.ZodObject) return (at.shape as Record<string, z.core.$ZodType>)[step]
  if (at instanceof z.ZodArray && /^\d+$/.test(step)) return at.element
  return undefined
}
