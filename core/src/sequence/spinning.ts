import { heartOf, type Plan } from '../plan'
import type { Heart } from '../stages/hearts'
import type { Wiring } from '../wiring/model'
import { firstLeads, type Add } from './adding'
import { stepReading, type StepReading } from './step'

const said = (words: string | undefined, otherwise: string): string => words ?? otherwise

const leadAmps = [
  stepReading('u', 'Amps, first lead', 'amps', { alike: 0.1 }, { of: 'First spin', lead: 'u' }),
  stepReading('v', 'Amps, second lead', 'amps', { alike: 0.1 }, { of: 'First spin', lead: 'v' }),
  stepReading('w', 'Amps, third lead', 'amps', { alike: 0.1 }, { of: 'First spin', lead: 'w' }),
]

/** What a first spin reads and sees, and how it is turned over, by what turns the machine. */
const spins = {
  inverter: {
    then: 'Then a minute at a third of the hertz, a clamp on each lead that went on dead.',
    readings: leadAmps,
    sees: 'three amps alike within 10 %.',
    turnOver: 'Change the first two motor leads with each other at the drive. Never the supply’s.',
  },
  dc: {
    then: 'Then a minute at a third of the speed: field amps, armature volts and amps by meters that went in dead.',
    readings: [
      stepReading('armature', 'Amps of the armature', 'amps', {}, { of: 'First spin, armature' }),
      stepReading('armature-volts', 'Volts of the armature', 'volts', {}, { of: 'First spin, armature' }),
      stepReading('field', 'Amps of the field', 'amps', {}, { of: 'First spin, field' }),
    ],
    sees: 'the field’s amps as on its plate, the brushes dark.',
    turnOver: 'Change the armature’s two leads with each other at the drive; the field’s stay. Never the supply’s.',
  },
  driver: {
    then: 'Then a minute at a third of the speed, a clamp on each lead that went on dead and reads true behind a driver.',
    readings: leadAmps,
    sees: 'few amps, alike within 10 %, and no growl.',
    turnOver: 'Join the leads in the other of the two orders that run well; the sensors’ wires stay as they are.',
  },
} satisfies Record<Heart, { then: string; readings: StepReading[]; sees: string; turnOver: string }>

/** First power, and the first spin by what this drive has. */
export function spinning(plan: Plan, wiring: Wiring, step: Add, firstLines: readonly string[] | undefined): void {
  const { manual } = plan
  const shows = (when: string): string | undefined => manual?.display.find((d) => d.when === when)?.prints
  step({
    id: 'before-power',
    part: 'first-power',
    title: 'Before the first power',
    do: [
      'Covers on, glasses on, rings off, sleeves tight.',
      'Motor clamped down; belt off; key, chuck, collet and tool off.',
      'One person at the isolator, the other at the motor: nobody alone.',
      ...(manual?.runsAtPowerOn === false ? [] : ['Its enable is open: some drives run as soon as they have power.']),
    ],
  })
  step({
    id: 'first-power',
    part: 'first-power',
    title: 'First power',
    do: ['On. Stand aside. Nothing is touched for a minute.'],
    sees: [
      `Its display: ${said(shows('idle'), 'what its manual says for ready')}.`,
      'No smell, no hum, the motor stands.',
    ],
    wrong: {
      ask: 'Dark, a fault, a smell, or it turned',
      steps: [
        'Off. Lock. Wait, measure under 50 V.',
        'A fault: its meaning stands in the manual’s list below.',
        'It turned: its enable is closed, or it listens to a terminal that is.',
      ],
    },
    licensed: true,
  })
  const codes =
    firstLines === undefined
      ? ['The lines of the settings card that stand before a first spin.']
      : firstLines.length === 0
        ? ['Nothing to enter: it is known to hold what a first spin wants.']
        : [...firstLines]
  const heart = heartOf(plan)
  const byTrims = manual?.style === 'trim-pot' || (heart !== 'inverter' && (manual?.trims.length ?? 0) > 0)
  const trims = byTrims
    ? (manual?.trims ?? [])
        .filter((t) => t.sets === 'current-limit')
        .map((t) => `${t.prints}, current limit: at the plate’s amps`)
    : []
  step({
    id: 'first-settings',
    part: 'first-spin',
    title: byTrims ? 'The trims that matter first' : 'What must be right before it turns',
    do: byTrims ? trims : codes,
    sees: ['Each read back.'],
    ...(byTrims
      ? { caution: 'A barrier over the mains parts and an insulated tool; only who may work live.', licensed: true }
      : {}),
  })
  const keypad = heart === 'inverter' && manual?.style !== 'trim-pot'
  const spin = spins[heart]
  step({
    id: 'first-spin',
    part: 'first-spin',
    title: 'First spin',
    do: [
      keypad
        ? 'By its keypad, lowest speed, one second, off.'
        : 'By a test switch at its enable and a knob, lowest speed, one second, off.',
      'Look at the shaft: which way?',
      spin.then,
    ],
    readings: spin.readings,
    sees: [
      `It turns ${plan.survey.forward === undefined ? 'the way you want' : 'the way that gives the spindle its forward'}; ${spin.sees}`,
      `Its display: ${said(shows('running'), 'what its manual says for running')}.`,
    ],
    wrong: {
      ask: 'It turns the wrong way',
      steps: [
        'Off. Isolator locked.',
        'Wait ten minutes, or as the manual says; measure under 50 V direct.',
        spin.turnOver,
        'Tug them.',
        'Spin again.',
      ],
      swaps: firstLeads(wiring),
    },
    ...(keypad ? {} : { looseEnd: { what: 'A test switch and a test knob hang on the drive', stop: true } }),
  })
}
