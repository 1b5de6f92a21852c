import type { Facts } from '../facts/facts'
import { readingsOf } from '../measurements/withMeasured'
import { rpmAtMark } from './dialOf'
import { dialScale } from './dialScale'

const ROWS = 10

/** The chart that translates an old plate: what each of its marks gives on each position. */
export function dialChart(facts: Facts): {
  positions: string[]
  /** Null where it is not known: that goes over the wire in a list. */
  rows: { mark: number; rpm: (number | null)[] }[]
} {
  const { plan, measured } = facts
  const { from, to } = dialScale(plan.dial)
  const { positions } = facts.speeds
  return {
    positions: positions.map(({ name }) => name),
    rows: Array.from({ length: ROWS + 1 }, (_, i) => {
      const mark = from + ((to - from) * i) / ROWS
      return {
        mark,
        rpm: positions.map((p) => rpmAtMark(facts, p, readingsOf(plan, measured, p.position.id)?.dial, mark) ?? null),
      }
    }),
  }
}
