import { WINDING_TO_FRAME } from '../measurements/measurement'
import { settingNames, type SettingId } from '../stages/settingNames'
import type { Plan } from '../plan'
import { deviceOf, type Wire, type WireGroup, type Wiring } from '../wiring/model'
import { endNames } from '../wiring/schedule'
import { stepReading, type BuildStep } from './step'

const DRIVE_OFF =
  'The drive’s box stays shut while there is power. Dead is: off, locked, waited ten minutes or as its manual says, and under 50 V direct, measured.'
const MAGNET = ' A motor with magnets must also stand still: turned, it gives volts.'
const EARTH_OHM = 0.1
const OWN_OHM = 0.5

/** Functions that must be right before a first spin; on a drive with trims the current limit too. */
export const firstSpinSettings: readonly SettingId[] = [
  'ratedVoltageV',
  'baseFrequencyHz',
  'overloadA',
  'maximumHz',
  'restart',
  'commandSource',
  'referenceSource',
]

/**
 * The work in the order in which people truly do it, a step at a time: from the parcel to a machine that may be used. What
 * this machine has not got is not asked of it.
 *
 * @param values what each setting is to be, printed; by the setting's own name
 */
export function stepsOf(
  plan: Plan,
  wiring: Wiring,
  values: Readonly<Partial<Record<SettingId, string>>> = {},
): BuildStep[] {
  const steps: BuildStep[] = []
  const step = (made: Partial<BuildStep> & Pick<BuildStep, 'id' | 'part' | 'title' | 'do'>) =>
    void steps.push({ wires: [], sees: [], readings: [], ...made })
  const wires = (of: (w: Wire) => boolean): string[] => wiring.wires.filter(of).map((w) => w.key)
  const group = (...groups: WireGroup[]) => wires((w) => groups.includes(w.group))
  arriving(plan, wiring, step)
  bonding(step, group)
  powering(plan, wiring, step, wires, group)
  spinning(plan, wiring, step, values)
  controlling(plan, wiring, step, group)
  proving(plan, wiring, step)
  finishing(plan, wiring, step)
  return steps
}

type Add = (made: Partial<BuildStep> & Pick<BuildStep, 'id' | 'part' | 'title' | 'do'>) => void

function arriving(plan: Plan, made: Wiring, step: Add): void {
  const { wiring, drive } = plan
  step({
    id: 'arrival',
    part: 'arrive',
    title: 'Open the parcel',
    do: [
      'Look for dents, a rattle, broken plastic, wet.',
      'Count the parts against the list; note what is missing.',
      `Write down the day it came, and the day by which it may go back: first spin and ten starts before ${wiring.sendBackBy ?? 'that day'}.`,
    ],
    sees: ['Its plate says what was ordered: volts, phases, amps.'],
    wrong: {
      ask: 'Damaged, or not what was ordered',
      steps: ['Photograph it in its parcel.', 'Put nothing to the mains.', 'Write to who sent it today.'],
    },
  })
  step({
    id: 'as-found',
    part: 'as-found',
    title: 'Photographs and tags, before anything is taken off',
    do: [
      'Photograph switch, motor box and every strip, from two sides, in good light.',
      'A tag on every wire before it comes off; the list in the survey keeps what was on what.',
      'Keep the old switch and its wires: it may have to go back.',
    ],
    sees: [`${wiring.asFound?.length ?? 0} wires stand in the list so far.`],
  })
  step({
    id: 'old-dead',
    part: 'as-found',
    title: 'The old supply proved dead',
    do: [
      'Off, locked or the plug in your pocket, tried, and every conductor measured to every other and to earth.',
      'The meter tried on something live before and after.',
    ],
    sees: ['Nothing anywhere.'],
    licensed: true,
    caution: 'No one probes bare live parts: clips go on dead, covers are shut, it is read, and they come off dead.',
    looseEnd: { what: 'The old supply is not proved dead', stop: true },
  })
  const old = oldWires(plan, made)
  if (old.length > 0)
    step({
      id: 'old-off',
      part: 'as-found',
      title: 'From as found to as it will be',
      do: old,
      sees: ['What came off lies together, its tags on it: it may have to go back.'],
      caution: 'Dead and locked, as proved just now.',
    })
  if (drive.laid === 'a-year')
    step({
      id: 'reform',
      part: 'as-found',
      title: 'A drive that lay a year: its capacitors first',
      do: ['Fed slowly, through a lamp or a variable transformer, as its manual says, with nothing at its output.'],
      sees: ['No smell, no hum, no heat.'],
      licensed: true,
      looseEnd: { what: 'The drive lay long and is not reformed', stop: true },
    })
}

/** What becomes of every wire that was found, one a line; of one that nobody decided on it is said so. */
function oldWires({ wiring }: Plan, made: Wiring): string[] {
  return (wiring.asFound ?? []).map(({ tag, from, to, colour, becomes, as }) => {
    const name = `${tag === undefined ? 'One without a tag' : `Tag ${tag}`}${colour === undefined ? '' : `, ${colour}`}, from ${from ?? 'where nobody wrote'} to ${to ?? 'where nobody wrote'}`
    const next = made.wires.find(({ key }) => key === as)
    if (becomes === 'off') return `${name}: off, at both ends.`
    if (becomes === 'stays') return `${name}: stays where it is.`
    if (becomes === 'used')
      return next
        ? `${name}: is wire ${next.number} from now on, ${ends(made, next)}; its tag goes, the number comes.`
        : `${name}: is used again, and nobody said as which wire. It stays on until that is said.`
    return `${name}: nobody said what becomes of it. It stays on until that is said.`
  })
}

const ends = (made: Wiring, { from, to }: Wire): string =>
  [from, to]
    .map((end) => endNames(made, end))
    .map(({ device, terminal }) => `${device} ${terminal}`)
    .join(' to ')

function bonding(step: Add, group: (...g: WireGroup[]) => string[]): void {
  step({
    id: 'earth',
    part: 'bond',
    title: 'Frame, motor and drive bonded first',
    do: ['Each earth wire, bare metal under its screw, tightened, tugged.'],
    wires: group('earth'),
    readings: [
      stepReading('frame', 'Frame to the earth bar', 'resistance', { most: EARTH_OHM }),
      stepReading('motor', 'Motor’s body to the earth bar', 'resistance', { most: OWN_OHM }),
    ],
    sees: [`Under ${EARTH_OHM} ohm, and the wire’s own.`],
    wrong: {
      ask: 'More ohms than that',
      steps: [
        'Paint or rust under the screw: scrape to bare metal, tighten, measure again.',
        'Still more: another wire.',
      ],
    },
    looseEnd: { what: 'Frame and motor are not bonded', stop: true },
  })
  step({
    id: 'winding',
    part: 'bond',
    title: 'The winding, with the drive off its leads',
    do: [
      'Each pair of leads measured with an ohmmeter.',
      'Insulation, winding to frame, a minute at 500 V direct. The drive is not on these wires.',
    ],
    readings: [
      stepReading('uv', 'U to V', 'resistance', { alike: 0.05 }),
      stepReading('vw', 'V to W', 'resistance', { alike: 0.05 }),
      stepReading('wu', 'W to U', 'resistance', { alike: 0.05 }),
      stepReading('insulation', 'Winding to frame', 'insulation', { least: 1 }, { of: WINDING_TO_FRAME }),
    ],
    sees: ['All three alike within 5 %; a megohm or more to the frame.'],
    caution: 'The tester’s volts go into no drive: its leads are off, and held apart.',
    wrong: {
      ask: 'Not alike, or under a megohm',
      steps: [
        'Look at the links in the box.',
        'Wet: dry it for a day at 60 °C and measure again.',
        'Else a winder looks at it.',
      ],
    },
  })
}

function powering(
  plan: Plan,
  wiring: Wiring,
  step: Add,
  wires: (of: (w: Wire) => boolean) => string[],
  group: (...g: WireGroup[]) => string[],
): void {
  if (wiring.jumpers.length > 0)
    step({
      id: 'jumpers',
      part: 'power',
      title: 'Jumpers before anything has power',
      do: wiring.jumpers.map(({ prints, position, why }) => `${prints} to ${position}: ${why}.`),
      sees: ['Looked at once more with the lid off.'],
      caution: DRIVE_OFF,
    })
  step({
    id: 'motor',
    part: 'power',
    title: 'Motor box and motor cable',
    do: [
      'Links as the lid’s picture shows them; it is the authority.',
      'Cores through the gland, shield clamped all round, ends ferruled or ringed, tugged.',
      `At the drive: each as it is printed${torqueOf(plan, 'motor')}.`,
    ],
    wires: group('motor'),
    readings: [
      stepReading('insulation', 'Cable with motor, core to earth, before the drive is on', 'insulation', { least: 1 }),
    ],
    sees: ['A megohm or more before the cores are landed on the drive.'],
    caution: `${DRIVE_OFF}${plan.motor.kind === 'brushless' || plan.motor.kind === 'servo' ? MAGNET : ''}`,
    looseEnd: { what: 'The motor cable is not finished', stop: true },
  })
  const isolator = plan.wiring.isolator
  if (isolator !== 'none')
    step({
      id: 'isolator',
      part: 'power',
      title: isolator === 'plug' ? 'The plug, in reach' : 'The isolator, in reach',
      do: [
        'Stand where you work: it is in reach, and seen.',
        ...(isolator === 'plug' ? [] : ['A padlock goes through it.']),
        'It opens every live conductor: measured dead, in and out, off and on.',
      ],
      sees: ['Off, no conductor goes through.'],
      looseEnd: { what: 'The isolator is not proved', stop: true },
    })
  step({
    id: 'supply',
    part: 'power',
    title: 'Wall to drive',
    do: [`Every conductor under its own screw${torqueOf(plan, 'mains')}, tugged.`],
    wires: wires((w) => w.group === 'supply'),
    sees: [
      'Line is where the manual wants the line, neutral where it wants the neutral; nothing of it is near U, V, W.',
    ],
    caution: 'Never the supply on the motor terminals or on the bus.',
    licensed: true,
    looseEnd: { what: 'The supply is not finished', stop: true },
  })
}

/** How tight the manual wants the screws of a group. */
function torqueOf({ manual }: Plan, group: 'mains' | 'motor'): string {
  const torque = manual?.clamps.find((c) => c.group === group)?.torqueNm
  return torque === undefined ? ', tightened as the manual says' : `, tightened to ${torque} N m`
}

/** The wires of the first two motor leads where they begin, at the drive, whatever stands between it and the motor. */
function firstLeads({ wires }: Wiring): readonly [string, string] {
  const [first, second] = wires
    .filter((w) => w.purpose.startsWith('motor lead') && deviceOf(w.from) === 'drive')
    .map((w) => w.key)
    .sort()
  return [first ?? 'motor-u/1', second ?? 'motor-v/1']
}

const said = (words: string | undefined, otherwise: string): string => words ?? otherwise

function spinning(plan: Plan, wiring: Wiring, step: Add, values: Readonly<Partial<Record<SettingId, string>>>): void {
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
  const codes = firstSpinSettings.map((id) => {
    const code = manual?.codes.find((c) => c.sets === id)
    return `${code ? `${code.code}, ` : ''}${settingNames[id]}: ${values[id] ?? 'not known yet'}`
  })
  const trims =
    manual?.style === 'trim-pot'
      ? manual.trims
          .filter((t) => t.sets === 'current-limit')
          .map((t) => `${t.prints}, current limit: at the plate’s amps`)
      : []
  step({
    id: 'first-settings',
    part: 'first-spin',
    title: manual?.style === 'trim-pot' ? 'The trims that matter first' : 'What must be right before it turns',
    do: manual?.style === 'trim-pot' ? trims : codes,
    sees: ['Each read back.'],
    ...(manual?.style === 'trim-pot'
      ? { caution: 'A barrier over the mains parts and an insulated tool; only who may work live.', licensed: true }
      : {}),
  })
  const keypad = manual?.style !== 'trim-pot'
  step({
    id: 'first-spin',
    part: 'first-spin',
    title: 'First spin',
    do: [
      keypad
        ? 'By its keypad, lowest speed, one second, off.'
        : 'By a test switch at its enable and a knob, lowest speed, one second, off.',
      'Look at the shaft: which way?',
      'Then a minute at a third of the hertz, a clamp on each lead that went on dead.',
    ],
    readings: [
      stepReading('u', 'Amps, first lead', 'amps', { alike: 0.1 }, { of: 'First spin', lead: 'u' }),
      stepReading('v', 'Amps, second lead', 'amps', { alike: 0.1 }, { of: 'First spin', lead: 'v' }),
      stepReading('w', 'Amps, third lead', 'amps', { alike: 0.1 }, { of: 'First spin', lead: 'w' }),
    ],
    sees: [
      `It turns ${plan.survey.forward === undefined ? 'the way you want' : 'the way that gives the spindle its forward'}; three amps alike within 10 %.`,
      `Its display: ${said(shows('running'), 'what its manual says for running')}.`,
    ],
    wrong: {
      ask: 'It turns the wrong way',
      steps: [
        'Off. Isolator locked.',
        'Wait ten minutes, or as the manual says; measure under 50 V direct.',
        'Change the first two motor leads with each other at the drive. Never the supply’s.',
        'Tug both.',
        'Spin again.',
      ],
      swaps: firstLeads(wiring),
    },
    ...(keypad ? {} : { looseEnd: { what: 'A test switch and a test knob hang on the drive', stop: true } }),
  })
}

/** What dies early dies in its first starts: they are done while it may still go back. */
function starting({ wiring }: Plan, step: Add): void {
  step({
    id: 'ten-starts',
    part: 'control',
    title: 'Ten starts, while it may go back',
    do: [
      `Before ${wiring.sendBackBy ?? 'the day by which it may go back'}: ten starts and stops, to the highest hertz, a minute between.`,
      'Its heat sink felt dead, after it was off and waited for.',
    ],
    sees: ['No trip, no smell; its heat sink is warm at the most.'],
    wrong: {
      ask: 'It trips, or grows hot',
      steps: ['Write down code, hertz and moment.', 'Send it back while it may go back.'],
    },
    looseEnd: { what: 'The drive was not started ten times yet', stop: false },
  })
}

function controlling(plan: Plan, wiring: Wiring, step: Add, group: (...g: WireGroup[]) => string[]): void {
  const run = group('run')
  if (wiring.linksOut.length > 0)
    step({
      id: 'links',
      part: 'control',
      title: 'Factory links out',
      do: wiring.linksOut.map(({ from, to, why }) => `${from} to ${to}: ${why}.`),
      sees: wiring.linksIn.map(({ from, to }) => `${from} to ${to} stays in.`),
      caution: DRIVE_OFF,
      looseEnd: { what: 'A factory link is still in', stop: true },
    })
  if (run.length > 0)
    step({
      id: 'run',
      part: 'control',
      title: 'Run and speed',
      do: ['Wire by wire, number by number, each tugged.', 'Measured before the power comes: what opens, what closes.'],
      wires: run,
      sees: ['Every contact under an ohm closed, open when open; the knob’s ohms from end to end.'],
      caution: DRIVE_OFF,
    })
  if (plan.wiring.runWith === 'drum-one' || plan.wiring.runWith === 'drum-two')
    step({
      id: 'drum',
      part: 'control',
      title: 'The old drum switch, through its middle',
      do: ['Turned slowly from forward to reverse and back, a meter that beeps on each pair.'],
      sees: ['Both open in the middle, never both closed.'],
      wrong: {
        ask: 'Both closed at once',
        steps: ['Bend the worn fingers, or file the segments.', 'Else use one pole, or a new switch.'],
      },
    })
  if (wiring.lines.length > 0)
    step({
      id: 'lines',
      part: 'control',
      title: 'Settings that these wires need',
      do: wiring.lines.map(({ code, value, words, means }) => `${code}, ${words}: ${value}, ${means}`),
      sees: ['Each read back.'],
    })
  step({
    id: 'spin-again',
    part: 'control',
    title: 'Spin again, by its own switches',
    do: [
      'Motor bare, lowest speed.',
      'Forward, off; reverse where it has it, from standstill.',
      'Speed up to a third and down to nothing.',
    ],
    sees: ['It does what is asked, and nothing else. Turned down, it slows.'],
    wrong: {
      ask: 'It does nothing, or something else',
      steps: [
        'Nothing: it still listens to the keypad, or sink and source are mixed.',
        'Faster when turned down: the knob’s two outer wires, dead.',
        'Runs at once: a link or a switch is closed.',
      ],
    },
  })
  starting(plan, step)
  if (plan.controls.reference === 'knob')
    step({
      id: 'knob-lifted',
      part: 'control',
      title: 'Each knob wire lifted in turn',
      do: [
        'Dead: one of the three off its screw, taped. Power, lowest speed, RUN, look, off, dead, back. Then the next.',
      ],
      sees: ['None of the three means full speed.'],
      caution: `The motor is bare. ${DRIVE_OFF}`,
      wrong: {
        ask: 'One of them means full speed',
        steps: [
          'A drive that watches its reference, or a resistor of 100 kilohm from wiper to common.',
          'Until then it is no machine to use.',
        ],
      },
      looseEnd: { what: 'What a lost knob wire does is not known', stop: false },
    })
  const stop = group('stop')
  if (stop.length > 0)
    step({
      id: 'stop',
      part: 'control',
      title: 'Stop, guard and what must be closed',
      do: ['Wire by wire, each tugged.', 'Measured before the power comes: each opens the chain by itself.'],
      wires: stop,
      sees: ['Under an ohm through the whole chain, open with any one of them open.'],
      caution: DRIVE_OFF,
      looseEnd: { what: 'The stop chain is not finished', stop: true },
    })
  const load = group('load')
  if (load.length > 0)
    step({
      id: 'load',
      part: 'control',
      title: 'What the drive switches',
      do: ['Wire by wire, each tugged.'],
      wires: load,
      sees: ['It comes on when it should, and goes off.'],
      caution: DRIVE_OFF,
    })
}

function proving(plan: Plan, wiring: Wiring, step: Add): void {
  const { controls, supply } = plan
  if (controls.emergencyStop !== undefined && controls.emergencyStop !== 'none')
    step({
      id: 'prove-stop',
      part: 'prove',
      title: 'The mushroom, proved',
      do: ['Running slowly: hit it. Pull it out: nothing starts. RUN: it runs.', 'Hit it again with RUN held.'],
      sees: ['It stops every time; pulling it out starts nothing.'],
      wrong: {
        ask: 'It does not stop, or starts again',
        steps: ['Isolator. It is not used until it does.', 'Measure its contact dead, then the chain wire by wire.'],
      },
      looseEnd: { what: 'The mushroom is not proved', stop: true },
    })
  for (const [id, name, wanted] of [
    ['prove-guard', 'guard', wiring.devices.some((d) => d.role === 'guard')],
    ['prove-flow', 'flow switch', wiring.devices.some((d) => d.role === 'flow')],
    ['prove-thermistor', 'thermistor', wiring.devices.some((d) => d.role === 'thermistor')],
  ] as const)
    if (wanted)
      step({
        id,
        part: 'prove',
        title: `The ${name}, proved`,
        do: [
          id === 'prove-thermistor'
            ? 'Dead: one of its wires off. Power: it must report heat, and not run.'
            : `Running slowly: open the ${name}.`,
        ],
        sees: [id === 'prove-thermistor' ? 'A fault of heat.' : 'It stops, and closing it starts nothing.'],
        looseEnd: { what: `The ${name} is not proved`, stop: true },
      })
  step({
    id: 'power-cut',
    part: 'prove',
    title: 'Power cut with RUN closed',
    do: ['Lowest speed, RUN closed: isolator off. Wait until it stands. Isolator on.'],
    sees: ['It stays still until RUN is opened and closed.'],
    wrong: {
      ask: 'It starts by itself',
      steps: ['Isolator.', 'Its setting for after a cut; line-start lockout; else start and stop buttons.'],
    },
    looseEnd: { what: 'What it does after a power cut is not proved', stop: true },
  })
  step({
    id: 'residual',
    part: 'prove',
    title: 'Volts that stay',
    do: [
      'From the drive’s display or by clips that went on dead: bus volts after the isolator opened.',
      'A plug whose pins can be touched: after one second.',
    ],
    readings: [
      stepReading(
        'after',
        supply.plugOrFixed === 'plug' ? 'At the pins after 1 s' : 'At the supply’s terminals after 5 s',
        'volts',
        { most: 60 },
        { of: 'After the isolator opened' },
      ),
    ],
    sees: ['Under 60 V, or a label with the minutes at the lid.'],
  })
  const breaker = supply.breakerA
  step({
    id: 'fault-loop',
    part: 'prove',
    title: 'The way of a fault',
    do: [
      supply.earthLeakageDevice !== undefined && supply.earthLeakageDevice !== 'none'
        ? 'The earth-leakage device tried by its own button, and by a tester at the drive’s earth.'
        : breaker === undefined
          ? 'Fault loop measured at the drive’s terminals.'
          : `Fault loop measured: under ${((0.8 * (supply.voltageV ?? 230)) / (5 * breaker)).toFixed(2)} ohm for a breaker of curve B, ${((0.8 * (supply.voltageV ?? 230)) / (10 * breaker)).toFixed(2)} ohm for curve C (five and ten times its amps, at 0.8 of the volts).`,
    ],
    licensed: true,
    looseEnd: { what: 'The way of a fault is not proved', stop: true },
  })
}

function finishing(plan: Plan, wiring: Wiring, step: Add): void {
  if (plan.survey.machineKind !== 'bare-motor')
    step({
      id: 'mount',
      part: 'mount',
      title: 'On the machine',
      do: [
        'Motor and box where they stay; a slack loop to a motor that moves; glands tight, entries plugged.',
        'Belt on by hand, guard on.',
        'Then the earth measured once more, from the spindle to the bar.',
      ],
      readings: [stepReading('spindle', 'Spindle to the earth bar', 'resistance', { most: OWN_OHM })],
      looseEnd: { what: 'The machine’s guard and glands are not finished', stop: true },
    })
  if (plan.survey.machineKind !== 'bare-motor')
    step({
      id: 'direction',
      part: 'mount',
      title: 'The way it turns, at the spindle',
      do: ['Lowest speed, one second, belt on, nothing on the spindle. Stand facing its nose.'],
      sees: [
        plan.survey.forward === undefined
          ? 'Forward is the way you want it.'
          : `Forward is ${plan.survey.forward.replace('-', ' ')}.`,
      ],
      wrong: {
        ask: 'It turns the other way',
        steps: [
          'Off. Isolator locked. Wait, measure under 50 V.',
          'Change the first two motor leads with each other at the drive.',
          'Tug both. Spin again.',
        ],
        swaps: firstLeads(wiring),
      },
    })
  step({
    id: 'as-built',
    part: 'finish',
    title: 'Everything that was temporary, undone',
    do: [
      'The list of loose ends, one by one.',
      'Photographs of the box as it is now, lid off, dead.',
      'The papers in the lid: drawing, wire list, settings.',
    ],
    sees: ['No loose end is left.'],
  })
}
