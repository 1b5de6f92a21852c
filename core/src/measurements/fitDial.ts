import { calibrationDial } from '../controls/calibrationDial'
import type { MeasuredDial } from './measured'
import type { FitReading } from '../readings/measurement'

/** The newest so many of a position are looked at: the fit compares each with each. */
const MOST_COMPARED = 200
/** Two marks make a line, and nothing that says whether it is right. */
const FEWEST = 3

/** What the readings of a dial on one position come to; nothing of fewer than three, or of one mark. */
export function fitDial(readings: readonly FitReading[]): MeasuredDial | undefined {
  const marked = readings
    .flatMap(({ kind, value, dial, id }) =>
      kind === 'spindle-speed' && dial !== undefined ? [{ dial, rpm: value, id }] : [],
    )
    .slice(-MOST_COMPARED)
  if (marked.length < FEWEST) return undefined
  const fit = calibrationDial.run({ readings: marked.map(({ dial, rpm }) => ({ dial, rpm })) })
  if (!fit.ok) return undefined
  const { straight, slope, intercept, maxErrorRpm, outliers, table } = fit.value
  return {
    count: marked.length,
    straight,
    slope,
    intercept,
    maxErrorRpm,
    outliers: outliers.flatMap((i) => marked[i] ?? []),
    table,
  }
}
