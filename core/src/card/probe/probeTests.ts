import type { Answers } from './narrow'

/** One guided test of two minutes: what to do, and what is to be noted of it. */
export interface ProbeTest {
  id: string
  name: string
  do: string[]
  notes: ProbeNote[]
}

/** Something to note: one of a few answers, or a number with its unit. */
export interface ProbeNote {
  id: string
  asks: string
  answers?: Readonly<Record<string, string>>
  unit?: 'Hz' | 's' | 'as shown'
}

/** Before each of them: what must be so. */
export const PROBE_CAUTION =
  'Motor bare and clamped, belt off, nobody at its shaft. RUN open before each test; a hand on the isolator, for it may start at once and fast.'

/** The tests, in the order in which they tell most. */
export const probeTests: readonly ProbeTest[] = [
  {
    id: 'listens',
    name: 'What it listens to',
    do: [
      'Knob at its lower end. Give RUN by the switch for three seconds, open it.',
      'Press RUN on the keypad for three seconds, press STOP.',
    ],
    notes: [
      { id: 'switch', asks: 'By the switch', answers: { runs: 'It ran', nothing: 'Nothing' } },
      { id: 'key', asks: 'By the key', answers: { runs: 'It ran', nothing: 'Nothing' } },
    ],
  },
  {
    id: 'local',
    name: 'Whether a key holds it',
    do: [
      'RUN open. Press the key that changes between keypad and terminals, if it has one, once.',
      'Give RUN by the switch for three seconds, open it.',
    ],
    notes: [
      {
        id: 'local',
        asks: 'By the switch then',
        answers: { runs: 'It ran', nothing: 'Nothing', 'no-key': 'No such key' },
      },
    ],
  },
  {
    id: 'knob',
    name: 'The knob',
    do: [
      'Stopped. Turn the knob and watch the hertz that are set.',
      'Read the display with the knob at its lower end, in the middle by eye, at its upper end.',
    ],
    notes: [
      { id: 'knob', asks: 'The hertz that are set', answers: { follows: 'Follow it', stays: 'Stay' } },
      { id: 'knob-low', asks: 'Lower end', unit: 'Hz' },
      { id: 'knob-mid', asks: 'Middle', unit: 'Hz' },
      { id: 'knob-high', asks: 'Upper end', unit: 'Hz' },
    ],
  },
  {
    id: 'ramps',
    name: 'Two ramps',
    do: [
      'Read the ramp up as it is set, and note it as the drive shows it.',
      'Set some hertz, about half. From RUN to the moment the display stands, by a watch.',
      'The same to nearly the highest.',
    ],
    notes: [
      { id: 'ramp-set', asks: 'The ramp as it is set', unit: 'as shown' },
      { id: 'ramp-hz-1', asks: 'First, to', unit: 'Hz' },
      { id: 'ramp-s-1', asks: 'First, in', unit: 's' },
      { id: 'ramp-hz-2', asks: 'Second, to', unit: 'Hz' },
      { id: 'ramp-s-2', asks: 'Second, in', unit: 's' },
    ],
  },
]

/** The first test of which something is still to be noted; the one about a key only where it matters. */
export function nextTest(answers: Answers): ProbeTest | undefined {
  return probeTests.find(({ id, notes }) =>
    id === 'local'
      ? answers['switch'] === 'nothing' && answers['key'] === 'runs' && answers['local'] === undefined
      : notes.some((note) => answers[note.id] === undefined && !(id === 'knob' && answers['knob'] === 'stays')),
  )
}
