import type { z } from 'zod'

type Shape = Readonly<Record<string, z.ZodType>>

/**
 * A document of a union as another of its kinds. What both kinds have, and the new one may hold, stays; the rest goes.
 * Throws where the union has no such kind, which is a bug.
 */
export function asKind<S extends z.ZodDiscriminatedUnion<readonly z.ZodObject[], 'kind'>>(
  schema: S,
  document: object,
  kind: string | undefined,
): z.output<S> {
  const option = schema.options.map((o) => o.shape as Shape).find((shape) => shape['kind']?.safeParse(kind).success)
  const kept = Object.entries(document).filter(
    // A key from outside may be one that every object has.
    ([key, value]) => key !== 'kind' && option && Object.hasOwn(option, key) && option[key]?.safeParse(value).success,
  )
  return schema.parse({ ...Object.fromEntries(kept), ...(kind === undefined ? {} : { kind }) })
}
