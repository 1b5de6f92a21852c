/** Whether all that is heavy is gone through: `./zesty check whole`. Else a share of it, another one each time. */
const isWhole = process.env['ZESTY_EFFORT'] === 'whole'

/** The day on which a run began: its workers inherit it, and a run over midnight stays one run. */
const day = Number((process.env['ZESTY_DAY'] ??= String(Math.floor(Date.now() / 86_400_000))))

/** Every one of a list, or so many of it that begin at another place each day. */
export function someOf<T>(all: readonly T[], count: number): readonly T[] {
  if (isWhole || count >= all.length) return all
  const first = day % all.length
  return Array.from({ length: count }, (_, i) => all[(first + i * Math.ceil(all.length / count)) % all.length] as T)
}
