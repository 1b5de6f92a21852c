/**
 * A record with one key set, or without it where nothing is given.
 *
 * @example withKey({ a: 1 }, 'a', undefined) // {}
 */
export function withKey<T>(
  record: Readonly<Record<string, T>> | undefined,
  key: string,
  value: NoInfer<T> | undefined,
): Record<string, T> {
  const others = Object.entries(record ?? {}).filter(([k]) => k !== key)
  return Object.fromEntries(value === undefined ? others : [...others, [key, value]])
}
