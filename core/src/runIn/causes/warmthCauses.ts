import type { Facts } from '../../facts/facts'
import { numberOf } from '../../facts/figure'
import { rpmAtHertz } from '../../motor'
import type { RunInReading } from '../reading'
import { type Candidate } from './cause'

/** Of a motor or bearing that is too warm. */
export function warmthCauses(facts: Facts, { row }: RunInReading): Candidate[] {
  if (row.of?.includes('bearing') === true)
    return [
      {
        id: 'belt',
        says: 'The belt is too tight',
        test: 'Its deflection, or its hum.',
        change: 'Belt to its deflection.',
      },
      {
        id: 'grease',
        says: 'Too much grease, or none',
        test: 'Does it cool after an hour at half speed?',
        change: 'Run the grease in, or new bearings.',
      },
      {
        id: 'preload',
        says: 'Bearings run with too little play',
        test: 'Off and locked: turn by hand, hot and cold.',
        change: 'Play as the machine’s book has it.',
      },
    ]
  const hz = numberOf(facts.settings.baseFrequencyHz) ?? 0
  const synchronous = rpmAtHertz(hz, numberOf(facts.motor.poles) ?? 4)
  return [
    {
      id: 'over',
      says: 'The work takes more amps than the plate',
      test: 'Amps during the work: over the plate’s?',
      change: 'Less load, or a slower belt position.',
    },
    ...(facts.plan.motor.cooling === 'shaft-fan'
      ? [
          {
            id: 'slow',
            says: `Its fan turns too slowly: at base it makes ${synchronous.toFixed(0)} rpm`,
            test: 'Which hertz does the work run at? Under half of base it cools by half.',
            change: 'A slower belt position and more hertz, or a blower.',
          },
        ]
      : []),
    {
      id: 'air',
      says: 'Air cannot get at it: chips, cloth, a cowl against a wall',
      test: 'A hand’s breadth of room behind the fan cowl?',
      change: 'Clear it.',
    },
    {
      id: 'flux',
      says: 'Links or base give it too many volts',
      test: 'No-load amps at base, against the Bare motor stage.',
      change: 'Links and base as planned.',
    },
    {
      id: 'carrier',
      says: 'A low carrier, or a long cable without a choke',
      test: 'Does it run cooler with the carrier a step higher?',
      change: 'Carrier as the card has it.',
    },
  ]
}
