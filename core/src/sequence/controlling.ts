import type { Plan } from '../plan'
import type { WireGroup, Wiring } from '../wiring/model'
import { DRIVE_OFF, type Add } from './adding'

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

/** Wires that carry signals, and what they need entered. */
export function controlling(plan: Plan, wiring: Wiring, step: Add, group: (...g: WireGroup[]) => string[]): void {
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
