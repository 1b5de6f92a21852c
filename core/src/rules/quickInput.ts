import { z } from 'zod'

/** What a reader gives where the schema itself must look. */
const LEFT = Symbol('left to the schema')

/** Reads one field: its value, or LEFT. */
type Reads = (value: unknown) => unknown

/**
 * The way past a rule's schema for input that is plainly right: numbers between limits, choices, booleans. A rule
 * runs for every figure at every keystroke, and general validation was the half of it. What is not plainly
 * right, or of another shape, gives nothing and goes to the schema, which alone refuses and words why.
 */
export function quickInput<I extends z.ZodObject>(input: I): (given: unknown) => z.output<I> | undefined {
  const reads = objectReader(input)
  return (given) => {
    const read = reads(given)
    return read === LEFT ? undefined : (read as z.output<I>)
  }
}

/** What was given itself, where it is right as it is; a copy where something was filled in. */
function objectReader(schema: z.ZodObject): Reads {
  if ((schema.def.checks?.length ?? 0) > 0) return () => LEFT
  const fields = Object.entries(schema.shape).map(([key, field]) => ({ key, reads: readerOf(field as z.ZodType) }))
  return (given) => {
    if (typeof given !== 'object' || given === null) return LEFT
    let read = given as Record<string, unknown>
    let seen = 0
    for (const { key, reads } of fields) {
      const value = (given as Record<string, unknown>)[key]
      if (value !== undefined || key in given) seen += 1
      const found = reads(value)
      if (found === LEFT) return LEFT
      if (found === value) continue
      if (read === given) read = { ...read }
      read[key] = found
    }
    // A key that no field took is one too many.
    return Object.keys(given).length === seen ? read : LEFT
  }
}

/** Whether a schema takes a value: its own answer, without its reasons where the answer is plain. */
export function acceptorOf(schema: z.ZodType): (value: unknown) => boolean {
  const reads = readerOf(schema)
  return (value) => reads(value) !== LEFT || schema.safeParse(value).success
}

function readerOf(schema: z.ZodType): Reads {
  if (schema instanceof z.ZodOptional) return absent(readerOf(schema.unwrap() as z.ZodType), undefined)
  if (schema instanceof z.ZodDefault) return absent(readerOf(schema.unwrap() as z.ZodType), schema.def.defaultValue)
  if (schema instanceof z.ZodNumber) return numberReader(schema) ?? bySchema(schema)
  if (schema instanceof z.ZodBoolean) return (value) => (typeof value === 'boolean' ? value : LEFT)
  if (schema instanceof z.ZodEnum) return oneOf(new Set(schema.options))
  if (schema instanceof z.ZodUnion) return literalsReader(schema) ?? bySchema(schema)
  if (schema instanceof z.ZodArray) return arrayReader(schema) ?? bySchema(schema)
  if (schema instanceof z.ZodObject) return objectReader(schema)
  return bySchema(schema)
}

/** What is of no plain kind is read by its own schema. */
const bySchema =
  (schema: z.ZodType): Reads =>
  (value) => {
    const parsed = schema.safeParse(value)
    return parsed.success ? parsed.data : LEFT
  }

const absent =
  (reads: Reads, instead: unknown): Reads =>
  (value) =>
    value === undefined ? instead : reads(value)

const oneOf =
  (options: ReadonlySet<unknown>): Reads =>
  (value) =>
    options.has(value) ? value : LEFT

/** One of several literals. */
function literalsReader(schema: z.ZodUnion): Reads | undefined {
  const options = schema.options.map((o) => (o instanceof z.ZodLiteral ? [...o.values] : undefined))
  return options.includes(undefined) ? undefined : oneOf(new Set(options.flat()))
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
      ? value
      : LEFT
}

/** Lists with no checks but how short and how long they may be. */
function arrayReader(schema: z.ZodArray): Reads | undefined {
  const item = readerOf(schema.element as z.ZodType)
  let [least, most] = [0, Infinity]
  for (const { _zod } of schema.def.checks ?? []) {
    const { minimum, maximum } = _zod.def as z.core.$ZodCheckDef & { minimum?: unknown; maximum?: unknown }
    if (typeof minimum === 'number') least = Math.max(least, minimum)
    else if (typeof maximum === 'number') most = Math.min(most, maximum)
    else return undefined
  }
  return (value) => {
    if (!Array.isArray(value) || value.length < least || value.length > most) return LEFT
    let read = value as unknown[]
    for (const [i, each] of value.entries()) {
      const found = item(each)
      if (found === LEFT) return LEFT
      if (found === each) continue
      if (read === value) read = [...read]
      read[i] = found
    }
    return read
  }
}
