import { MOST_TOLD, type Sample, type Series } from './series'

/** To bring the median of the deviations to a standard deviation, of what is spread as a bell is. */
export const TO_DEVIATION = 1.4826
/** Spreads from the median beyond which a reading does not belong. */
export const CUT_AT = 3.5

const middle = (sorted: readonly number[]): number => {
  const half = sorted.length >> 1
  const upper = sorted[half] ?? Number.NaN
  return sorted.length % 2 === 1 ? upper : ((sorted[half - 1] ?? Number.NaN) + upper) / 2
}

export const median = (values: readonly number[]): number => middle([...values].sort((a, b) => a - b))

/**
 * The median of some readings and those that do not belong: farther from it than three and a half times the spread,
 * and than a share of it that such readings scatter. Of two readings neither can be told from the other, so neither is an outlier.
 *
 * Source: median absolute deviation, with the usual cut at 3.5 (Iglewicz and Hoaglin).
 */
export function robust(samples: readonly Sample[], scatter = 0.03): Series | undefined {
  if (samples.length === 0) return undefined
  const values = samples.map((s) => s.value)
  const centre = median(values)
  const spread = TO_DEVIATION * median(values.map((v) => Math.abs(v - centre)))
  const reach = Math.max(CUT_AT * spread, scatter * Math.abs(centre))
  const off = ({ value }: Sample) => Math.abs(value - centre)
  const outliers = samples.length < 3 ? [] : samples.filter((s) => off(s) > reach).sort((a, b) => off(b) - off(a))
  const odd = new Set(outliers)
  const least = samples.reduce((low, s) => (odd.has(s) ? low : Math.min(low, s.value)), Infinity)
  return { count: samples.length, median: centre, least, outliers: outliers.slice(0, MOST_TOLD) }
}
