/** More paths than any plan has: texts from outside do not fill the memory. */
export const MOST_PATHS = 20_000

const known = new Map<string, readonly string[]>()

/**
 * The steps of a path, split once: they are asked of every field at every key, and a key that was cut out of a text anew is
 * looked up several times slower than one that was looked up before.
 *
 * @example stepsOf('motor.powerW') // ['motor', 'powerW']
 */
export function stepsOf(path: string): readonly string[] {
  const found = known.get(path)
  if (found) return found
  const steps = path.split('.')
  if (known.size < MOST_PATHS) known.set(path, steps)
  return steps
}
