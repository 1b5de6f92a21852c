import type { Facts } from '../../facts/facts'
import { numberOf } from '../../facts/figure'
import { rampMeaningOf } from '../../facts/settings/rampOfDrive'
import type { RunInReading } from '../reading'
import { told, type Candidate } from './cause'

/** Of a ramp that takes another time: what its seconds count, its shape, the limit, the bus. */
export function rampCauses(facts: Facts, { row }: RunInReading, expected: number, high: boolean): Candidate[] {
  const [base, top] = [facts.settings.baseFrequencyHz, facts.settings.maximumHz].map(numberOf)
  const isUp = row.kind === 'run-up'
  const meaning = rampMeaningOf(facts.plan)
  const counted = base === undefined || top === undefined || Math.abs(top / base - 1) < 0.03 ? undefined : top / base
  return [
    told(
      {
        id: 'counts',
        says:
          meaning === 'to-base'
            ? 'Its ramps count to the highest hertz after all'
            : 'Its ramps count to base hertz, and not to the highest',
        test: 'Time the ramp to two speeds: Settings, Try it.',
        change: 'Say so in Settings: every ramp is entered anew.',
      },
      counted === undefined ? undefined : meaning === 'to-base' ? expected / counted : expected * counted,
    ),
    told(
      {
        id: 'rounded',
        says: 'An S-curve stretches it',
        test: 'Read back the shape of its ramps.',
        change: 'Straight ramps, or count it in.',
      },
      high ? expected * 1.5 : undefined,
    ),
    ...(isUp
      ? [
          {
            id: 'limit',
            says: 'The current limit holds it back',
            test: 'Do the amps stand at the limit while it runs up?',
            change: 'A longer ramp, or a limit as the card has it.',
          },
        ]
      : [
          {
            id: 'bus',
            says: high
              ? 'The drive stretches the stop because the bus rises'
              : 'It coasts or brakes otherwise than by its ramp',
            test: 'Does the display show an over-voltage or a stall while it stops?',
            change: high ? 'A longer ramp, or a resistor.' : 'Read back what STOP does.',
          },
        ]),
    {
      id: 'other',
      says: 'Another ramp is in the drive than on the card',
      test: 'Read both ramps back.',
      change: 'Enter it again.',
    },
  ]
}
