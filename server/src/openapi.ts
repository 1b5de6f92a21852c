import { z } from 'zod'

/** The part of a Zod schema that Swagger shows; both come from the same source. */
export const schemaOf = (schema: z.ZodType): Record<string, unknown> =>
  z.toJSONSchema(schema, { target: 'openapi-3.0', io: 'input', unrepresentable: 'any' })
