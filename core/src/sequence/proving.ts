import type { Plan } from '../plan'
import type { Wiring } from '../wiring/model'
import { firstLeads, OWN_OHM, type Add } from './adding'
import { stepReading } from './step'

/** Everything that stops it, proved. */
export function proving(plan: Plan, wiring: Wiring, step: Add): void {
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

/** On the machine, and nothing temporary left. */
export function finishing(plan: Plan, wiring: Wiring, step: Add): void {
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
