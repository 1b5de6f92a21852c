import { z } from 'zod'

interface JsonField {
  type?: string
  default?: unknown
  enum?: unknown[]
  anyOf?: JsonField[]
  const?: unknown
  minimum?: number
  maximum?: number
  exclusiveMinimum?: number
  items?: { properties?: Record<string, JsonField>; required?: string[] }
}

/** One key of a rule's input or output, ready for a table. */
export interface FieldLine {
  key: string
  needed: boolean
  takes: string
  meaning: string
}

function range(field: JsonField): string {
  if (field.enum) return field.enum.map(String).join(' | ')
  if (field.anyOf)
    return field.anyOf.map((f) => (f.const === undefined ? range(f) : JSON.stringify(f.const))).join(' | ')
  const low =
    field.exclusiveMinimum !== undefined
      ? `above ${field.exclusiveMinimum}`
      : field.minimum !== undefined && Math.abs(field.minimum) < 1e9
        ? `from ${field.minimum}`
        : ''
  const high = field.maximum !== undefined && field.maximum < 1e9 ? `to ${field.maximum}` : ''
  return [field.type ?? '', low, high].filter((s) => s !== '').join(' ')
}

type Meanings = Readonly<Record<string, string>>

function lines(
  properties: Record<string, JsonField>,
  required: readonly string[],
  means: Meanings,
  prefix = '',
): FieldLine[] {
  return Object.entries(properties).flatMap(([key, field]) => {
    const fallback = field.default === undefined ? '' : `, ${JSON.stringify(field.default)} unless given`
    const line: FieldLine = {
      key: prefix + key,
      needed: required.includes(key) && field.default === undefined,
      takes: range(field) + fallback,
      meaning: means[prefix + key] ?? '',
    }
    return [
      line,
      ...(field.items?.properties
        ? lines(field.items.properties, field.items.required ?? [], means, `${prefix}${key}[].`)
        : []),
    ]
  })
}

/** The keys of a rule's schema, nested ones as `stages[].driverMm`, with what each means where that is given. */
export const fieldLines = (schema: z.ZodObject, io: 'input' | 'output', means: Meanings = {}): FieldLine[] => {
  const json = z.toJSONSchema(schema, { io }) as { properties?: Record<string, JsonField>; required?: string[] }
  return lines(json.properties ?? {}, json.required ?? [], means)
}
