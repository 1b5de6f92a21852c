import type { Facts } from '../../facts/facts'
import { voltsAt } from '../motorAt'
import type { RunInReading } from '../reading'
import { told, type Candidate } from './cause'

/** Of volts that are off: the meter, base or volts of another motor. */
export function voltsCauses(facts: Facts, reading: RunInReading, expected: number, high: boolean): Candidate[] {
  const { hz } = reading.row
  const line = (factor: number) => {
    const made = hz === undefined ? undefined : voltsAt(facts, hz, factor)
    return typeof made === 'number' ? made : undefined
  }
  return [
    {
      id: 'meter',
      says: 'The meter does not read a drive’s output',
      test: 'Hold it against the drive’s own display.',
      change: 'The display, or a meter with a low-pass filter.',
    },
    told(
      {
        id: 'base',
        says: high ? 'Base hertz is set lower than planned' : 'Base hertz is set higher than planned',
        test: 'Read back base hertz.',
        change: 'Enter it as the card has it.',
      },
      line(high ? 1.2 : 1 / 1.2),
    ),
    told(
      {
        id: 'volts',
        says: 'The drive still has its own rated volts, not the motor’s',
        test: 'Read back motor volts.',
        change: 'Enter them as the card has them.',
      },
      high ? expected * Math.sqrt(3) : expected / Math.sqrt(3),
    ),
  ]
}
