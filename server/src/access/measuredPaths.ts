/** What somebody at the machine may change who is let in to measure and tick: what was read there, and nothing that was decided. */
const measured = [
  /^checks(\.|$)/,
  /^settings\.(inDrive|state|entered|asFound|why|probe|keyState|trims|grades|rampMeans)(\.|$)/,
  // How far the build is; numbers are given for good at its first step.
  /^wiring\.(steps|numbers|places|asFound|parts|looseEnds|codesHeld)(\.|$)/,
  // What was seen and tried while it was run in; that it is done is said by whoever answers for it.
  /^runIn\.(seen|passed|witness|tries)(\.|$)/,
  /^asTyped(\.|$)/,
]

/** Every place at which two documents differ, as paths of keys; a list that grew or shrank is one place. */
export function changedPaths(before: unknown, after: unknown, path = ''): string[] {
  if (Object.is(before, after)) return []
  if (!isTree(before) || !isTree(after) || Array.isArray(before) !== Array.isArray(after)) return [path]
  if (Array.isArray(before) && Array.isArray(after) && before.length !== after.length) return [path]
  const keys = new Set([...Object.keys(before), ...Object.keys(after)])
  return [...keys].flatMap((key) =>
    changedPaths(Reflect.get(before, key), Reflect.get(after, key), path === '' ? key : `${path}.${key}`),
  )
}

const isTree = (value: unknown): value is object => typeof value === 'object' && value !== null

/** What somebody who only measures changed and may not have. */
export const beyondMeasuring = (before: unknown, after: unknown): string[] =>
  changedPaths(before, after).filter((path) => !measured.some((permitted) => permitted.test(path)))
