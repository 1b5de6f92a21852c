import { z } from 'zod'

/** Reads one field: its value, or nothing where the schema itself must look at it. */
type Reads = (value: unknown) => { value: unknown } | undefined

/**
 * The way past a rule's schema for input that is plainly right: numbers between limits, choices, booleans. A rule
 * runs for every figure at every keystroke, and general validation was the half of it. What is not plainly
 * right, or of another shape, gives nothing and goes to the schema, which alone refuses and words why.
 */
export function quickInput<I extends z.ZodObject>(input: I): (given: unknown) => z.output<I> | undefined {
  if ((input.def.checks?.length ?? 0) > 0) return () => undefined
  const fields = Object.entries(input.shape).map(([key, schema]) => ({ key, reads: readerOf(schema as z.ZodType) }))
  return (given) => {
    if (typeof given !== 'object' || given === null) return undefined
    const read: Record<string, unknown> = {}
    let seen = 0
    for (const { key, reads } of fields) {
      const value = (given as Record<string, unknown>)[key]
      if (key in given) seen += 1
      const found = reads(value)
      if (!found) return undefined
      if (found.value !== undefined) read[key] = found.value
    }
    // A key that no field took is one too many.
    return Object.keys(given).length === seen ? (read as z.output<I>) : undefined
  }
}

function readerOf(schema: z.ZodType): Reads {
  if (schema instanceof z.ZodOptional) return absent(readerOf(schema.unwrap() as z.ZodType), undefined)
  if (schema instanceof z.ZodDefault) return absent(readerOf(schema.unwrap() as z.ZodType), schema.def.defaultValue)
  if (schema instanceof z.ZodNumber) return numberReader(schema) ?? bySchema(schema)
  if (schema instanceof z.ZodBoolean) return (value) => (typeof value === 'boolean' ? { value } : undefined)
  if (schema instanceof z.ZodEnum) {
    const options: ReadonlySet<unknown> = new Set(schema.options)
    return (value) => (options.has(value) ? { value } : undefined)
  }
  if (schema instanceof z.ZodUnion) return literalsReader(schema) ?? bySchema(schema)
  if (schema instanceof z.ZodArray) return arrayReader(schema) ?? bySchema(schema)
  if (schema instanceof z.ZodObject) {
    const quick = quickInput(schema)
    return (value) => {
      const read = quick(value)
      return read && { value: read }
    }
  }
  return bySchema(schema)
}

/** What is of no plain kind is read by its own schema. */
const bySchema =
  (schema: z.ZodType): Reads =>
  (value) => {
    const parsed = schema.safeParse(value)
    return parsed.success ? { value: parsed.data } : undefined
  }

const absent =
  (reads: Reads, instead: unknown): Reads =>
  (value) =>
    value === undefined ? { value: instead } : reads(value)

/** One of several literals. */
function literalsReader(schema: z.ZodUnion): Reads | undefined {
  const options = schema.options.map((o) => (o instanceof z.ZodLiteral ? [...o.values] : undefined))
  if (options.includes(undefined)) return undefined
  const values: ReadonlySet<unknown> = new Set(options.flat())
  return (value) => (values.has(value) ? { value } : undefined)
}

/** Numbers with no checks but limits, whole ones, and even ones. */
function numberReader(schema: z.ZodNumber): Reads | undefined {
  let [above, below, least, most] = [-Infinity, Infinity, -Infinity, Infinity]
  let [whole, step] = [false, 1]
  for (const { _zod } of schema.def.checks ?? []) {
    const {
      check,
      value: limit,
      inclusive,
      format,
    } = _zod.def as z.core.$ZodCheckDef & { value?: unknown; inclusive?: boolean; format?: string }
    if (check === 'number_format' && format === 'safeint') {
      whole = true
      continue
    }
    if (typeof limit !== 'number') return undefined
    if (check === 'multiple_of' && whole && step === 1) {
      step = limit
      continue
    }
    if (check === 'greater_than') {
      if (inclusive) least = Math.max(least, limit)
      else above = Math.max(above, limit)
    } else if (check === 'less_than') {
      if (inclusive) most = Math.min(most, limit)
      else below = Math.min(below, limit)
    } else return undefined
  }
  return (value) =>
    typeof value === 'number' &&
    value > above &&
    value < below &&
    value >= least &&
    value <= most &&
    (!whole || (Number.isSafeInteger(value) && value % step === 0))
      ? { value }
      : undefined
}

/** Lists with no check but how long they may be. */
function arrayReader(schema: z.ZodArray): Reads | undefined {
  const item = readerOf(schema.element as z.ZodType)
  let most = Infinity
  for (const { _zod } of schema.def.checks ?? []) {
    const { check, maximum } = _zod.def as z.core.$ZodCheckDef & { maximum?: unknown }
    if (check !== 'max_length' || typeof maximum !== 'number') return undefined
    most = Math.min(most, maximum)
  }
  return (value) => {
    if (!Array.isArray(value) || value.length > most) return undefined
    const read: unknown[] = []
    for (const each of value as unknown[]) {
      const found = item(each)
      if (!found) return undefined
      read.push(found.value)
    }
    return { value: read }
  }
}
