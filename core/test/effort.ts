/** Whether all that is heavy is gone through: `./zesty check whole`. Else a fifth of it, another one each time. */
const isWhole = process.env['ZESTY_EFFORT'] === 'whole'
const SHARE = 5
const first = Math.floor(Math.random() * SHARE)

/** How many of so many random cases are tried. */
export const runs = (numRuns: number): { numRuns: number } => ({
  numRuns: isWhole ? numRuns : Math.ceil(numRuns / SHARE),
})

/** Every one of a list, or every fifth. */
export const someOf = <T>(all: readonly T[]): readonly T[] =>
  isWhole ? all : all.filter((_, i) => i % SHARE === first)
