import type { Facts } from '../../facts/facts'
import { numberOf } from '../../facts/figure'
import { takenKey } from '../../readings/runInReadings'
import { motorAt } from '../motorAt'
import type { RunInReading } from '../reading'
import type { RunInStage } from '../stage'
import { told, withoutNumber, type Candidate } from './cause'

/** Of amps that are off: wrong links, a wrong base, boost, what drags, one bad lead, or the clamp. */
export function ampsCauses(
  facts: Facts,
  stage: RunInStage,
  reading: RunInReading,
  expected: number,
  high: boolean,
): Candidate[] {
  const { hz, positionId } = reading.row
  const others = (['u', 'v', 'w'] as const).flatMap((lead) =>
    lead === reading.row.lead ? [] : (facts.measured.taken?.[takenKey({ ...reading.row, lead })]?.value ?? []),
  )
  const unlike: Candidate[] =
    others.length > 0 && others.every((a) => Math.abs(a / expected - 1) < 0.2)
      ? [
          {
            id: 'one-lead',
            says: 'Only this lead is off: a loose link, a bad end, or a winding with shorted turns',
            test: 'Off, locked, waited, measured: the three windings in ohms, alike within 3 %.',
            change: 'Land the lead or link again; shorted turns are the end of a winding.',
          },
        ]
      : []
  if (stage.id.endsWith('-cut') || stage.id === 'warm')
    return high
      ? [
          {
            id: 'deep',
            says: 'The cut is deeper than the motor gives there',
            test: 'Half the depth: do the amps fall by about half?',
            change: 'Less depth or feed, or a slower belt position.',
          },
          {
            id: 'blunt',
            says: 'The edge is blunt or rubs',
            test: 'A fresh edge, the same cut.',
            change: 'Grind or turn the insert.',
          },
          // Amps of a wrong link are reckoned without a load: under a cut they say nothing.
          ...ofFlux(facts, hz, true).map(withoutNumber),
        ]
      : [
          {
            id: 'shallow',
            says: 'The cut asks less than it was taken for',
            test: 'Half as deep again: do the amps rise?',
            change: 'Nothing: go on, or cut deeper for this proof.',
          },
          {
            id: 'no-load-amps',
            says: 'Most of these amps magnetise the motor and hardly follow the cut',
            test: 'Amps without the cut at the same hertz.',
            change: 'Judge the cut by the speed that is lost.',
          },
        ]
  const clampedWrong: Candidate = {
    id: 'meter',
    says: 'The clamp does not read a drive’s amps at these hertz',
    test: 'Hold it against the drive’s own display, or read at base hertz.',
    change: 'A clamp that says true RMS, and reads down to 10 Hz.',
  }
  if (!high) return [...unlike, ...ofFlux(facts, hz, false), clampedWrong]
  const drag: Candidate =
    positionId === undefined
      ? {
          id: 'bearing',
          says: 'Something drags in the motor: a bearing, or the rotor',
          test: 'Off and locked: spin the shaft by hand. Does it run out freely?',
          change: 'New bearings.',
        }
      : {
          id: 'tight',
          says: 'Something drags: belt too tight, spindle bearings, a brake',
          test: 'Off and locked: belt off, turn the spindle by hand, then the motor.',
          change: 'Belt to its deflection; bearings to their play.',
        }
  const boost: Candidate[] =
    hz !== undefined && hz < (numberOf(facts.settings.baseFrequencyHz) ?? 0) / 2
      ? [
          {
            id: 'boost',
            says: 'Boost puts more volts on it than these hertz want',
            test: 'Boost to nothing, the same hertz: do the amps fall?',
            change: 'Less boost, or sensorless vector.',
          },
        ]
      : []
  return [...unlike, ...ofFlux(facts, hz, true), ...boost, drag, clampedWrong]
}

/** Wrong links, and a base for the other half of the world: each makes amps of its own. */
function ofFlux(facts: Facts, hz: number | undefined, high: boolean): Candidate[] {
  if (hz === undefined) return []
  const sqrt3 = Math.sqrt(3)
  const base = numberOf(facts.settings.baseFrequencyHz)
  const all: Candidate[] = high
    ? [
        told(
          {
            id: 'delta',
            says: 'The links stand in delta where star is planned',
            test: 'Off, locked, waited, measured: look into the box, against the picture in its lid.',
            change: 'Links as the Motor stage draws them.',
          },
          // Each winding gets root three times its volts, and the lines carry root three times its amps.
          times(amps(facts, hz, sqrt3), sqrt3),
        ),
        told(
          {
            id: 'base-low',
            says: 'Base is set to 50 Hz where the plate has 60, or the volts are set too high',
            test: 'Read back base hertz and motor volts in the drive.',
            change: 'Enter both as the card has them.',
          },
          amps(facts, hz, 1.2),
        ),
      ]
    : [
        told(
          {
            id: 'star',
            says: 'The links stand in star where delta is planned',
            test: 'Off, locked, waited, measured: look into the box, against the picture in its lid.',
            change: 'Links as the Motor stage draws them.',
          },
          times(amps(facts, hz, 1 / sqrt3), 1 / sqrt3),
        ),
        told(
          {
            id: 'base-high',
            says: 'Base is set to 60 Hz where the plate has 50, or the volts are set too low',
            test: 'Read back base hertz and motor volts in the drive.',
            change: 'Enter both as the card has them.',
          },
          base === undefined ? undefined : amps(facts, hz, 1 / 1.2),
        ),
        {
          id: 'saver',
          says: 'An energy saver takes the volts away at light load',
          test: 'Read back the energy saver in the drive.',
          change: 'Energy saver off.',
        },
      ]
  return all
}

const amps = (facts: Facts, hz: number, flux: number): number | undefined => {
  const made = motorAt(facts, hz, 0, flux)
  return 'amps' in made ? made.amps : undefined
}

const times = (value: number | undefined, by: number) => (value === undefined ? undefined : value * by)
