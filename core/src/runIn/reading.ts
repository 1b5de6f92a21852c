import { measurementKinds, type MeasurementKind, type Reading } from '../readings/measurement'
import type { PlanPath } from '../plan'
import type { ShownFigure, Working } from './working'
import { message, percent, printQuantity, type Dimension, type Message } from '../quantities'

/** What a reading should come to, and how that was had. Values in base units of the reading's kind. */
export interface Expected {
  value: number
  least: number
  most: number
  /** Over this, or under that, nothing goes on. */
  stopOver?: number
  stopUnder?: number
  /** How it was had, with its numbers. */
  by: Message
  /** The same by its rule and inputs. */
  working: Working
  /** It rests on a typical planning value. */
  typical: boolean
}

/** Nothing can be expected yet, for want of these or because of that. */
export interface NotExpected {
  missing: PlanPath[]
  because?: string
}

/** One thing to read at a stage of the run-in. */
export interface RunInReading {
  id: string
  label: string
  /** What row among the readings of the machine it is. */
  row: Pick<Reading, 'kind' | 'of' | 'lead' | 'positionId' | 'hz' | 'motorRpm' | 'fromRpm' | 'toRpm'>
  dimension: Dimension
  expected: Expected | NotExpected
  /** How it is read without a hand in danger. */
  how?: string
}

/** Whether something is expected at all; else it says for want of what not. */
export const isExpected = (expected: Expected | NotExpected): expected is Expected => 'value' in expected

export type RunInVerdict = 'good' | 'look' | 'stop' | 'open' | 'not-judged'

/** Whether a value is as it was expected to be. */
export function judgeRunIn({ expected }: Pick<RunInReading, 'expected'>, value: number | undefined): RunInVerdict {
  if (value === undefined) return 'open'
  if (!isExpected(expected)) return 'not-judged'
  const { least, most, stopOver = Infinity, stopUnder = -Infinity } = expected
  if (value > stopOver || value < stopUnder) return 'stop'
  return value < least || value > most ? 'look' : 'good'
}

/** A reading by its kind and place; hertz and speeds are kept with the row. */
export const runInReading = (
  id: string,
  label: string,
  row: RunInReading['row'],
  expected: RunInReading['expected'],
  how?: string,
): RunInReading => ({
  id,
  label,
  row,
  dimension: measurementKinds[row.kind satisfies MeasurementKind].dimension,
  expected,
  ...(how === undefined ? {} : { how }),
})

/** A value and a band round it, by shares of it; `by` is how it was had. */
export const within = (
  value: number,
  [under, over]: readonly [number, number],
  by: Message,
  working: Working,
  more: Partial<Pick<Expected, 'stopOver' | 'stopUnder' | 'typical'>> = {},
): Expected => ({ value, least: value * (1 - under), most: value * (1 + over), by, working, typical: false, ...more })

/** An expected value as a figure, to be opened to its working. */
export const shownFigure = (
  label: string,
  dimension: Dimension,
  { value, typical, working }: Expected,
): ShownFigure => ({
  label,
  value,
  dimension,
  basis: 'computed',
  restsOnTypical: typical,
  ruleId: working.ruleId,
  citation: working.citation,
  from: [...working.from],
})

/** The band in words: `3.1 to 4.2 A`. */
export const bandText = ({ expected, dimension }: RunInReading, system: 'metric' | 'imperial' = 'metric'): string =>
  isExpected(expected)
    ? `${printQuantity({ dimension, value: expected.least }, system)} to ${printQuantity({ dimension, value: expected.most }, system)}`
    : ''

/** How far from what was expected, in words. */
export const offBy = (value: number, { value: wanted }: Expected): Message =>
  wanted === 0
    ? message``
    : message`${percent(Math.abs(value / wanted - 1))} ${value > wanted ? 'more' : 'less'} than expected`
