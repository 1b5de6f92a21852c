import { z } from 'zod'

/** Puts a field's words and longest text on its schema: label and help are what JSON Schema calls title and description. */
export function withWords({
  zodSchema,
  jsonSchema,
}: {
  zodSchema: z.core.$ZodType
  jsonSchema: z.core.JSONSchema.BaseSchema
}): void {
  const { label, help, title, description, maxLength } = (z.globalRegistry.get(zodSchema) ?? {}) as Record<
    string,
    unknown
  >
  if (typeof (label ?? title) === 'string') jsonSchema.title = String(label ?? title)
  if (typeof (help ?? description) === 'string') jsonSchema.description = String(help ?? description)
  // Letters are counted by a check of our own, which says nothing to JSON Schema.
  if (typeof maxLength === 'number') jsonSchema.maxLength = maxLength
}
