import { z } from 'zod'

/** What may stand under a key, read off its schema: also where nothing writes JSON Schema. */
interface Takes {
  type: string
  needed: boolean
  fallback?: unknown
  /** Each alternative in words. */
  oneOf?: string[]
  minimum?: number | undefined
  maximum?: number | undefined
  above?: number | undefined
  /** The keys of what a list holds. */
  items?: z.ZodObject
}

/** One key of a rule's input or output, ready for a table. */
export interface FieldLine {
  key: string
  needed: boolean
  takes: string
  meaning: string
}

/** What Zod keeps of a check of a number. */
type Check = z.core.$ZodCheckDef & { value?: number; inclusive?: boolean; format?: string }

function numberTakes(schema: z.ZodNumber): Takes {
  const takes: Takes = { type: 'number', needed: true }
  for (const { _zod } of schema.def.checks ?? []) {
    const { check, value, inclusive, format } = _zod.def as Check
    if (check === 'number_format' && format === 'safeint') takes.type = 'integer'
    if (check === 'greater_than') takes[inclusive === true ? 'minimum' : 'above'] = value
    if (check === 'less_than') takes.maximum = value
  }
  return takes
}

function takesOf(schema: z.core.$ZodType): Takes {
  if (schema instanceof z.ZodOptional) return { ...takesOf(schema.unwrap()), needed: false }
  if (schema instanceof z.ZodDefault)
    return { ...takesOf(schema.unwrap()), needed: false, fallback: schema.def.defaultValue }
  if (schema instanceof z.ZodNumber) return numberTakes(schema)
  if (schema instanceof z.ZodEnum) return { type: '', needed: true, oneOf: schema.options.map(String) }
  if (schema instanceof z.ZodLiteral)
    return { type: '', needed: true, oneOf: [...schema.values].map((value) => JSON.stringify(value)) }
  if (schema instanceof z.ZodUnion)
    return { type: '', needed: true, oneOf: schema.options.map((option) => range(takesOf(option))) }
  if (schema instanceof z.ZodArray) {
    const { element } = schema
    return { type: 'array', needed: true, ...(element instanceof z.ZodObject ? { items: element } : {}) }
  }
  return { type: schema._zod.def.type, needed: true }
}

function range({ type, oneOf, minimum, maximum, above }: Takes): string {
  if (oneOf) return oneOf.join(' | ')
  const low =
    above !== undefined ? `above ${above}` : minimum !== undefined && Math.abs(minimum) < 1e9 ? `from ${minimum}` : ''
  const high = maximum !== undefined && maximum < 1e9 ? `to ${maximum}` : ''
  return [type, low, high].filter((s) => s !== '').join(' ')
}

type Meanings = Readonly<Record<string, string>>

/** The keys of a rule's schema, nested ones as `stages[].driverMm`, with what each means where that is given. */
export const fieldLines = (schema: z.ZodObject, means: Meanings = {}, prefix = ''): FieldLine[] =>
  Object.entries<z.core.$ZodType>(schema.shape).flatMap(([key, field]) => {
    const takes = takesOf(field)
    const fallback = takes.fallback === undefined ? '' : `, ${JSON.stringify(takes.fallback)} unless given`
    const line: FieldLine = {
      key: prefix + key,
      needed: takes.needed,
      takes: range(takes) + fallback,
      meaning: means[prefix + key] ?? '',
    }
    return [line, ...(takes.items ? fieldLines(takes.items, means, `${prefix}${key}[].`) : [])]
  })
