/** More paths than any plan has: texts from outside do not fill the memory. */
const MOST = 20_000

/** What follows from a path alone, worked out once for each: it is asked of every field at every key. */
export function perPath<T extends object | string>(make: (path: string) => T): (path: string) => T {
  const known = new Map<string, T>()
  return (path) => {
    const found = known.get(path)
    if (found !== undefined) return found
    const made = make(path)
    if (known.size < MOST) known.set(path, made)
    return made
  }
}
