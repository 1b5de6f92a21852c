/** Whether all that is heavy is gone through: `./zesty check whole`. Else a share of it, another one each time. */
const isWhole = process.env['ZESTY_EFFORT'] === 'whole'

/** Every one of a list, or so many of it that begin at another place each day: the same for all workers of one run. */
export function someOf<T>(all: readonly T[], count: number): readonly T[] {
  if (isWhole || count >= all.length) return all
  const first = Math.floor(Date.now() / 86_400_000) % all.length
  return Array.from({ length: count }, (_, i) => all[(first + i * Math.ceil(all.length / count)) % all.length] as T)
}
