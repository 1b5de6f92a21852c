import { message, type Message } from '../quantities'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { holderName } from '../facts/spindle/spindleLimits'
import { rampMeaningOf } from '../facts/settings/rampOfDrive'
import { takenKey } from '../measurements/runInReadings'
import { rpmAtHertz } from '../motor'
import { coastFrom, massOn } from './massOn'
import { motorAt, voltsAt } from './motorAt'
import { isExpected, type RunInReading } from './reading'
import type { RunInStage } from './stage'

/** What a reading that is off may come from, and how to find out. */
export interface Cause {
  id: string
  says: Message
  /** What the reading would be, by the plan's own numbers, were this so. */
  predicted?: number
  /** Does it fit what was read. */
  fits: boolean
  test: string
  change: string
}

/** Off by no more than this share, a predicted value counts as the one that was read. */
const FITS = 0.12

type Candidate = Omit<Cause, 'fits' | 'says'> & { says: string }

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

/** With a number where there is one: a key that holds nothing would read as a number that is not known. */
const told = (one: Omit<Candidate, 'predicted'>, predicted: number | undefined): Candidate =>
  predicted === undefined ? one : { ...one, predicted }

const amps = (facts: Facts, hz: number, flux: number): number | undefined => {
  const made = motorAt(facts, hz, 0, flux)
  return 'amps' in made ? made.amps : undefined
}

function ampsCauses(
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

const withoutNumber = ({ id, says, test, change }: Candidate): Candidate => ({ id, says, test, change })

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

const times = (value: number | undefined, by: number) => (value === undefined ? undefined : value * by)

function voltsCauses(facts: Facts, reading: RunInReading, expected: number, high: boolean): Candidate[] {
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

function speedCauses(facts: Facts, reading: RunInReading, expected: number, high: boolean): Candidate[] {
  const { hz = 0, positionId } = reading.row
  const poles = numberOf(facts.motor.poles)
  const here = facts.speeds.positions.find((p) => p.position.id === positionId)
  const ratio = numberOf(here?.speedRatio)
  const others = facts.speeds.positions.flatMap((p): Candidate[] => {
    const other = numberOf(p.speedRatio)
    return p === here || other === undefined || ratio === undefined
      ? []
      : [
          told(
            {
              id: `on-${p.position.id}`,
              says: `The belt stands on ${p.name}`,
              test: 'Off and locked: open the guard and look.',
              change: 'Move the belt, or read it for that position.',
            },
            (expected * other) / ratio,
          ),
        ]
  })
  const limits = [50, 60].filter((limit) => limit < hz)
  return [
    ...others,
    ...limits.map((limit) =>
      told(
        {
          id: `held-${limit}`,
          says: `The drive holds at ${limit} Hz: its highest hertz was never raised`,
          test: 'What hertz does its display show?',
          change: 'Highest hertz as the card has it; an upper limit may stand before it.',
        },
        (expected * limit) / hz,
      ),
    ),
    told(
      {
        id: 'two-marks',
        says: 'The tachometer saw two marks a turn',
        test: 'One mark, the rest of the spindle dulled with a pen.',
        change: 'Read again.',
      },
      expected * 2,
    ),
    told(
      {
        id: 'half',
        says: 'It read only each second turn',
        test: 'Hold it nearer, the mark clean.',
        change: 'Read again.',
      },
      expected / 2,
    ),
    ...(poles === undefined
      ? []
      : [2, 4, 6, 8]
          .filter((p) => p !== poles)
          .map((p) =>
            told(
              {
                id: `poles-${p}`,
                says: `The motor has ${p} poles`,
                test: 'Its plate: rpm at its hertz.',
                change: 'Plate and poles in the Motor stage.',
              },
              (expected * poles) / p,
            ),
          )),
    ...(high
      ? []
      : [
          told(
            {
              id: 'slip',
              says: 'The belt slips, or the motor is loaded',
              test: 'Motor’s rpm beside the spindle’s: which one falls?',
              change: 'Belt tension; then what drags.',
            },
            expected * 0.93,
          ),
        ]),
    told(
      {
        id: 'pulleys',
        says: 'A pulley has another diameter than was typed',
        test: 'A tape round both pulleys at the belt’s line; or turn the motor ten times by hand and count the spindle.',
        change: 'Keep the reading: the ratio follows it.',
      },
      undefined,
    ),
  ]
}

function rampCauses(facts: Facts, { row }: RunInReading, expected: number, high: boolean): Candidate[] {
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

function coastCauses(facts: Facts, stage: RunInStage, reading: RunInReading, high: boolean): Candidate[] {
  const { fromRpm, positionId } = reading.row
  const position = facts.speeds.positions.find((p) => p.position.id === positionId)
  const own = stage.holder?.index
  const withThing = (index: number | undefined): number | undefined => {
    if (!position || fromRpm === undefined) return undefined
    const made = coastFrom(facts, position, index, fromRpm)
    return 'seconds' in made ? made.seconds : undefined
  }
  const things = facts.plan.survey.holders.flatMap((holder, index): Candidate[] =>
    index === own || holder.alwaysTurns === true
      ? []
      : [
          told(
            {
              id: `with-${holder.id}`,
              says: `${holderName(holder)} was on the spindle`,
              test: 'What is on it now?',
              change: 'Time it again with what this stage says.',
            },
            withThing(index),
          ),
        ],
  )
  const mass = position && massOn(facts, position, own)
  const down = facts.settings.lines.find((l) => l.id === 'decelerationS')
  return [
    ...things,
    ...(own === undefined
      ? []
      : [
          told(
            {
              id: 'nothing-on',
              says: 'Nothing was on the spindle',
              test: 'What was on it?',
              change: 'Time it again with what this stage says.',
            },
            withThing(undefined),
          ),
        ]),
    ...(high
      ? [
          {
            id: 'light-friction',
            says: 'Its friction is less than planned',
            test: 'Time it twice more: alike?',
            change: 'Keep the coast: friction follows it everywhere.',
          },
        ]
      : [
          told(
            {
              id: 'ramped',
              says: 'The drive braked it',
              test: 'Let it go by the isolator, not by STOP.',
              change: 'Time it again.',
            },
            typeof down?.value === 'number' && typeof mass === 'number' ? down.value : undefined,
          ),
          {
            id: 'drag',
            says: 'Something drags: belt too tight, a bearing, oil that is cold',
            test: 'Off and locked: belt off, turn the spindle by hand.',
            change: 'Belt to its deflection; bearings to their play; warm oil.',
          },
        ]),
  ]
}

function warmthCauses(facts: Facts, { row }: RunInReading): Candidate[] {
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
