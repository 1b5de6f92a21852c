/** What stands at a path of keys, `gives.volts`; nothing where a part of the way is missing. */
export const at = (of: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((here, key) => (isTree(here) ? Reflect.get(here, key) : undefined), of)

/** The same with something else there; what is left without anything in it goes too. */
export function put<T extends object>(of: T, path: string, value: unknown): T {
  const [key = '', ...rest] = path.split('.')
  const inner: unknown = Reflect.get(of, key)
  const next = rest.length === 0 ? value : put(isTree(inner) ? inner : {}, rest.join('.'), value)
  const others = Object.fromEntries(Object.entries(of).filter(([name]) => name !== key))
  const isEmpty = next === undefined || (rest.length > 0 && isTree(next) && Object.keys(next).length === 0)
  return (isEmpty ? others : { ...others, [key]: next }) as T
}

const isTree = (value: unknown): value is object => typeof value === 'object' && value !== null
