/**
 * The same JSON Schema as strict readers take it: one type to a schema, and `anyOf` for the kinds of a thing, which are
 * told apart by what they require; a linter does not see that in `oneOf`, where one kind may go unnamed.
 */
export function forStrictReaders(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(forStrictReaders)
  if (typeof schema !== 'object' || schema === null) return schema
  const { type, oneOf, ...rest } = Object.fromEntries(
    Object.entries(schema).map(([key, value]) => [key, forStrictReaders(value)]),
  )
  if (Array.isArray(type)) return { ...rest, anyOf: type.map((one: unknown) => ({ type: one })) }
  return { ...(type === undefined ? {} : { type }), ...(oneOf === undefined ? {} : { anyOf: oneOf }), ...rest }
}
