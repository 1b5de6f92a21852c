import { factsFor } from '../facts/factsFor'
import type { Measured } from '../measurements/measured'
import { readingsOf } from '../measurements/withMeasured'
import type { Plan } from '../plan'
import { rpmAtMark } from './dialOf'
import { dialScale } from './dialScale'

const ROWS = 10

/** The chart that translates an old plate: what each of its marks gives on each position. */
export function dialChart(
  plan: Plan,
  measured: Measured,
): { positions: string[]; rows: { mark: number; rpm: (number | undefined)[] }[] } {
  const { facts } = factsFor(plan, measured)
  const { from, to } = dialScale(plan.dial)
  const { positions } = facts.speeds
  return {
    positions: positions.map(({ name }) => name),
    rows: Array.from({ length: ROWS + 1 }, (_, i) => {
      const mark = from + ((to - from) * i) / ROWS
      return {
        mark,
        rpm: positions.map((p) => rpmAtMark(facts, p, readingsOf(plan, measured, p.position.id)?.dial, mark)),
      }
    }),
  }
}
