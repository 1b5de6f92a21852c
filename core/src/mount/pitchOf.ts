/** Hertz between which a belt's span may hum. */
const LOWEST = 15
const HIGHEST = 400
/** How much of the sound must repeat itself to be a note. */
const CLEAR = 0.6
/** Share of the clearest at which a hill is as good as it. */
const NEARLY = 0.92

/**
 * The lowest note in a piece of sound: the shortest time after which it is most like itself. Undefined where nothing
 * repeats, so that noise is not taken for a belt.
 *
 * Source: autocorrelation, normalised; the peak placed by a parabola through its neighbours.
 */
export function pitchOf(samples: ArrayLike<number>, perSecond: number): number | undefined {
  const longest = Math.min(Math.floor(perSecond / LOWEST), samples.length >> 1)
  const shortest = Math.floor(perSecond / HIGHEST)
  const width = samples.length - longest
  if (width < longest) return undefined
  const like = new Float64Array(longest + 2)
  for (let lag = shortest - 1; lag <= longest; lag += 1) {
    let [product, here, there] = [0, 0, 0]
    for (let i = 0; i < width; i += 1) {
      const a = samples[i] ?? 0
      const b = samples[i + lag] ?? 0
      product += a * b
      here += a * a
      there += b * b
    }
    like[lag] = here > 0 && there > 0 ? product / Math.sqrt(here * there) : 0
  }
  const best = like.reduce((most, value) => Math.max(most, value), 0)
  if (best < CLEAR) return undefined
  // The first hill that is nearly as clear as the clearest: later ones are whole numbers of turns. Its top is the clearest on
  // it: noise makes small peaks on the way up.
  let top: number | undefined
  for (let lag = shortest; lag <= longest; lag += 1) {
    const at = like[lag] ?? 0
    if (at >= best * NEARLY) top = top === undefined || at > (like[top] ?? 0) ? lag : top
    else if (top !== undefined) break
  }
  if (top === undefined) return undefined
  const [before, at, after] = [like[top - 1] ?? 0, like[top] ?? 0, like[top + 1] ?? 0]
  const bend = before - 2 * at + after
  return perSecond / (top + (bend === 0 ? 0 : (before - after) / (2 * bend)))
}
