import type { Facts } from '../../facts/facts'
import { message } from '../../quantities'
import { isExpected, type RunInReading } from '../reading'
import type { RunInStage } from '../stage'
import { ampsCauses } from './ampsCauses'
import type { Candidate, Cause } from './cause'
import { coastCauses } from './coastCauses'
import { rampCauses } from './rampCauses'
import { speedCauses } from './speedCauses'
import { voltsCauses } from './voltsCauses'
import { warmthCauses } from './warmthCauses'

/** Off by no more than this share, a predicted value counts as the one that was read. */
const FITS = 0.12

/**
 * What may be behind a reading that is off: causes whose own number lies nearest to what was read stand first, then
 * those that have none, in the order of how often they are met.
 */
export function causesOf(facts: Facts, stage: RunInStage, reading: RunInReading, value: number): Cause[] {
  if (!isExpected(reading.expected)) return []
  const high = value > reading.expected.most
  const all = candidates(facts, stage, reading, reading.expected.value, high)
  const off = ({ predicted }: Candidate) =>
    predicted === undefined || predicted <= 0 || value <= 0 ? Infinity : Math.abs(Math.log(value / predicted))
  const near = Math.log(1 + FITS)
  return (
    all
      .map((one, place) => ({ one, place, off: off(one) }))
      // A number of its own that is far from what was read speaks against a cause.
      .sort((a, b) => rank(a.off, near) - rank(b.off, near) || a.off - b.off || a.place - b.place)
      .map(({ one, off: distance }): Cause => {
        const { says, ...rest } = one
        return {
          ...rest,
          fits: distance <= near,
          says:
            one.predicted === undefined
              ? message`${says}.`
              : message`${says}: that would give ${{ dimension: reading.dimension, value: one.predicted }}.`,
        }
      })
  )
}

const rank = (off: number, near: number): number => (off <= near ? 0 : off === Infinity ? 1 : 2)

function candidates(
  facts: Facts,
  stage: RunInStage,
  reading: RunInReading,
  expected: number,
  high: boolean,
): Candidate[] {
  switch (reading.row.kind) {
    case 'amps':
      return ampsCauses(facts, stage, reading, expected, high)
    case 'volts':
      return voltsCauses(facts, reading, expected, high)
    case 'spindle-speed':
      return speedCauses(facts, reading, expected, high)
    case 'run-up':
    case 'run-down':
      return rampCauses(facts, reading, expected, high)
    case 'coast':
      return coastCauses(facts, stage, reading, high)
    case 'temperature':
      return high ? warmthCauses(facts, reading) : []
    default:
      return []
  }
}
