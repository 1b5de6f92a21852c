import { CUT_AT, median, TO_DEVIATION } from '../readings/robust'

/** A straight line through points, and how far those that belong may lie from it. */
export interface Line {
  slope: number
  intercept: number
}

/** Share of the span within which a reading belongs to the rest, and within which a straight line fits. */
export const OF_SPAN = 0.02

/**
 * The median of the slopes of all pairs, and of what is left over: up to a quarter of wrong readings do not move it.
 * Undefined where all stand at one place.
 *
 * Source: Theil (1950), Sen (1968).
 */
export function theilSen(points: readonly (readonly [x: number, y: number])[]): Line | undefined {
  const slopes: number[] = []
  points.forEach(([x, y], i) => {
    for (const [x2, y2] of points.slice(i + 1)) if (x !== x2) slopes.push((y2 - y) / (x2 - x))
  })
  if (slopes.length === 0) return undefined
  const slope = median(slopes)
  return { slope, intercept: median(points.map(([x, y]) => y - slope * x)) }
}

/** Which of the errors are too large to belong to the rest: beyond max(3.5 x 1.4826 MAD, 2 % of the span). */
export function tooFar(errors: readonly number[], span: number): boolean[] {
  const centre = median(errors)
  const spread = TO_DEVIATION * median(errors.map((e) => Math.abs(e - centre)))
  const reach = Math.max(CUT_AT * spread, OF_SPAN * span)
  return errors.map((e) => Math.abs(e) > reach)
}

/** A line through what belongs together, and what does not. */
export interface RobustLine extends Line {
  /** Which points do not belong, by their places. */
  off: boolean[]
  /** The farthest that one which belongs lies from the line. */
  maxError: number
  /** From the lowest to the highest value. */
  span: number
}

/** The line through all points, those that lie too far from it, and the line through the rest; undefined where all stand at one place. */
export function robustLine(points: readonly (readonly [x: number, y: number])[]): RobustLine | undefined {
  const whole = theilSen(points)
  if (whole === undefined) return undefined
  const values = points.map(([, y]) => y)
  const span = Math.max(...values) - Math.min(...values)
  const from = ({ slope, intercept }: Line, [x, y]: readonly [number, number]) => y - (intercept + slope * x)
  const off = tooFar(
    points.map((point) => from(whole, point)),
    span,
  )
  const kept = points.filter((_, i) => off[i] !== true)
  const fit = theilSen(kept) ?? whole
  return { ...fit, off, maxError: Math.max(0, ...kept.map((point) => Math.abs(from(fit, point)))), span }
}
