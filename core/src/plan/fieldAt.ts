import { z } from 'zod'
import { acceptorOf } from '../rules/quickInput'
import type { StageId } from '../stages/stages'
import type { FieldMeta } from './field'
import { planSchema } from './plan'
import { perPath } from './perPath'
import type { PlanPath } from './planPath'
import { stepsOf } from './stepsOf'

/** A field's words and limits, found in the plan's schema. */
export interface PlanField extends FieldMeta {
  schema: z.ZodType
  /** Whether the plan may hold a value here. */
  accepts: (value: unknown) => boolean
  min?: number
  max?: number
  /** The stage of the work on which it is typed: its own, or its section's. */
  stage: StageId
}

/**
 * What a field of the plan is: its label, dimension, limits, choices and stage. Where kinds of one thing have a field
 * each, it is described for all of them together: the widest limits, every choice. Throws on a path that no plan has.
 *
 * @example fieldAt('motor.powerW').stage // 'motor'
 */
export const fieldAt = (path: PlanPath): PlanField => {
  const field = fields.get(path) ?? fields.get(patternOf(path))
  if (!field) throw new Error(`The plan has no field ${path}`)
  return field
}

/**
 * Whether a text from outside, such as a stored draft's, names a field of the plan.
 *
 * @example isPlanPath('motor.powerKw') // false
 */
export const isPlanPath = (text: string): text is PlanPath => fields.has(patternOf(text))

/** The path into the first item of each list. */
const patternOf = perPath((path) => path.replace(/\.\d+(?=\.|$)/g, '.0'))

/** Every path of the plan, of lists the path into their first item. */
export const planPaths = (): PlanPath[] => [...fields.keys()] as PlanPath[]

/** The schema at a path as the kinds of thing in this document have it; undefined where a kind does not have it. */
export function schemaIn(document: unknown, path: string): z.core.$ZodType | undefined {
  let schema: z.core.$ZodType | undefined = planSchema
  let at: unknown = document
  for (const step of path.split('.')) {
    schema = stepInto(schema, step, at)
    at = under(at, step)
  }
  return schema && unwrap(schema) instanceof z.ZodUnion ? unwrap(schema) : schema
}

/**
 * The field as the kind of thing in this document has it; undefined where that kind does not have it. The same object
 * every time, and from a table: it is asked of every field at every key.
 */
export function fieldIn(document: unknown, path: PlanPath): PlanField | undefined {
  const own = fieldsOfKinds.get(path)
  const inKinds = own ?? fieldsOfKinds.get(patternOf(path))
  if (!inKinds) return fieldAt(path)
  // Its own path leads there step by step; one into a list has numbers that the table has not.
  const steps = own ? own.steps : stepsOf(path)
  let thing = document
  for (let depth = 0; depth < inKinds.steps.length; depth += 1) thing = under(thing, steps[depth] as string)
  return inKinds.byKind.get(under(thing, 'kind'))
}

/** Whether the kind of thing in this document has the field. */
export const hasField = (document: unknown, path: PlanPath): boolean => fieldIn(document, path) !== undefined

/** What stands under a key, where the value is of a kind to have keys. */
const under = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined

const unwrap = (schema: z.core.$ZodType): z.core.$ZodType =>
  schema instanceof z.ZodOptional ? unwrap(schema.unwrap()) : schema

type Shape = Readonly<Record<string, z.ZodType>>

const optionsOf = (union: z.ZodUnion): Shape[] =>
  union.options.flatMap((o) => (o instanceof z.ZodObject ? [o.shape as Shape] : []))

const discriminatorOf = (union: z.ZodUnion): string | undefined =>
  union instanceof z.ZodDiscriminatedUnion ? union.def.discriminator : undefined

/** One step into a schema, by the kind that the document has there. */
function stepInto(schema: z.core.$ZodType | undefined, step: string, document: unknown): z.core.$ZodType | undefined {
  if (!schema) return undefined
  const at = unwrap(schema)
  if (at instanceof z.ZodObject) return (at.shape as Shape)[step]
  if (at instanceof z.ZodArray) return /^\d+$/.test(step) ? at.element : undefined
  if (!(at instanceof z.ZodUnion)) return undefined
  const discriminator = discriminatorOf(at)
  if (discriminator === undefined || discriminator === step) return together(optionsOf(at), step)
  const kind = under(document, discriminator)
  return optionsOf(at).find((shape) => shape[discriminator]?.safeParse(kind).success)?.[step]
}

/** What any of several kinds may hold under a key. */
function together(shapes: readonly Shape[], key: string): z.ZodType | undefined {
  const [first, ...others] = [...new Set(shapes.flatMap((shape) => shape[key] ?? []))]
  return first && others.length > 0 ? z.union([first, ...others]).optional() : first
}

/** Words and limits of one schema; of the kinds of a union the widest. */
function describe(schema: z.core.$ZodType): Omit<PlanField, 'stage' | 'label'> & Partial<PlanField> {
  const inner = unwrap(schema)
  const own = z.globalRegistry.get(schema) as Partial<PlanField> | undefined
  const field: Omit<PlanField, 'stage' | 'label'> & Partial<PlanField> = {
    ...own,
    schema: schema as z.ZodType,
    accepts: acceptorOf(schema as z.ZodType),
  }
  if (inner instanceof z.ZodNumber) {
    if (inner.minValue !== null) field.min = inner.minValue
    if (inner.maxValue !== null) field.max = inner.maxValue
  }
  if (!(inner instanceof z.ZodUnion) || discriminatorOf(inner) !== undefined) return field
  const widest = inner.options.map(describe).reduce((a, b) => ({
    ...b,
    ...a,
    ...(a.options && b.options ? { options: { ...a.options, ...b.options } } : {}),
    ...(a.min === undefined || b.min === undefined ? {} : { min: Math.min(a.min, b.min) }),
    ...(a.max === undefined || b.max === undefined ? {} : { max: Math.max(a.max, b.max) }),
  }))
  return { ...widest, ...field }
}

/** Every field by its path, the items of a list as the first of them. */
const fields: ReadonlyMap<string, PlanField> = new Map(
  [...everyField(planSchema, '', undefined)].map(([path, field]): [string, PlanField] => [path, field]),
)

const kindsByUnion = new Map<z.ZodUnion, [unknown, Shape][]>()

/** The kinds of a union, each with its shape; looked up once, as each of its fields asks. */
function kindsIn(union: z.ZodUnion): [unknown, Shape][] {
  const known = kindsByUnion.get(union)
  if (known) return known
  const kinds = optionsOf(union).flatMap((shape) => kindsOf(shape).map((kind): [unknown, Shape] => [kind, shape]))
  kindsByUnion.set(union, kinds)
  return kinds
}

/** Where a path leads through a thing that comes in kinds: the steps to it, and the field as each kind has it. */
interface FieldOfKinds {
  steps: readonly string[]
  byKind: ReadonlyMap<unknown, PlanField>
}

const fieldsOfKinds: ReadonlyMap<string, FieldOfKinds> = new Map(
  [...fields].flatMap(([path, field]): [string, FieldOfKinds][] => {
    const steps = path.split('.')
    for (const depth of steps.keys()) {
      const parent = depth === 0 ? planSchema : fields.get(steps.slice(0, depth).join('.'))?.schema
      const union = parent && unwrap(parent)
      if (!(union instanceof z.ZodDiscriminatedUnion) || steps[depth] === union.def.discriminator) continue
      const byKind = kindsIn(union).flatMap(([kind, shape]): [unknown, PlanField][] => {
        const [first = '', ...rest] = steps.slice(depth)
        const schema = rest.reduce<z.core.$ZodType | undefined>(
          (at, step) => stepInto(at, step, undefined),
          shape[first],
        )
        return schema ? [[kind, { ...field, ...describe(schema) }]] : []
      })
      return [[path, { steps: steps.slice(0, depth), byKind: new Map(byKind) }]]
    }
    return []
  }),
)

/** The kinds that a shape stands for; unnamed too where its kind may be left out. */
function kindsOf(shape: Shape): unknown[] {
  const kind = shape['kind']
  if (kind instanceof z.ZodOptional) return [undefined, ...kindsOf({ kind: kind.unwrap() as z.ZodType })]
  if (kind instanceof z.ZodLiteral) return [...kind.values]
  return kind instanceof z.ZodEnum ? kind.options : []
}

function* everyField(
  schema: z.core.$ZodType,
  path: string,
  stage: StageId | undefined,
): Generator<[string, PlanField]> {
  const found = describe(schema)
  const here = found.stage ?? stage
  if (path !== '') yield [path, { label: path, stage: here ?? 'survey', ...found }]
  if (found.whole === true) return
  const at = unwrap(schema)
  const inside = (step: string, inner: z.core.$ZodType | undefined) =>
    inner ? everyField(inner, path === '' ? step : `${path}.${step}`, here) : []
  if (at instanceof z.ZodArray) yield* inside('0', at.element)
  else if (at instanceof z.ZodObject)
    for (const [key, inner] of Object.entries<z.core.$ZodType>(at.shape)) yield* inside(key, inner)
  else if (at instanceof z.ZodUnion) {
    const shapes = optionsOf(at)
    for (const key of new Set(shapes.flatMap(Object.keys))) yield* inside(key, together(shapes, key))
  }
}
