import { z } from 'zod'

/** Puts a field's words on its schema: its label and help are what JSON Schema calls title and description. */
export function withWords({
  zodSchema,
  jsonSchema,
}: {
  zodSchema: z.core.$ZodType
  jsonSchema: z.core.JSONSchema.BaseSchema
}): void {
  const { label, help, title, description } = (z.globalRegistry.get(zodSchema) ?? {}) as Record<string, unknown>
  if (typeof (label ?? title) === 'string') jsonSchema.title = String(label ?? title)
  if (typeof (help ?? description) === 'string') jsonSchema.description = String(help ?? description)
}
