import type { TerminalFunction } from '../manual/terminalFunctions'
import type { Plan } from '../plan'
import { toInput, type Control } from './control'
import { contact, device, terminal, twoContacts } from './deviceKinds'
import { endOf, type Device } from './model'
import { enableFunction, runWay } from './wishes'

/** The switch, buttons, foot switch, pendant or controller that sends RUN. */
export function run(control: Control): void {
  const { draft, plan } = control
  const way = runWay(plan)
  if (!way) return
  // Side by side on one input either of them would run it: one after the other, both must be closed.
  const fed = way.forward === enableFunction(plan) ? control.behindChain : control.fed
  const cable = { text: 'control cable' }
  if (plan.controls.runBy === 'cnc') {
    draft.add(
      device(
        { id: 'controller', role: 'controller', place: 'machine', name: 'CNC controller', short: 'Controller' },
        controllerTerminals(plan),
        [
          { kind: 'closes', between: ['run-a', 'run-b'], name: 'F' },
          ...(way.reverse ? [{ kind: 'closes' as const, between: ['rev-a', 'rev-b'], name: 'R' }] : []),
        ],
      ),
      { text: 'control cable, shielded', shielded: true },
    )
    fed.push(endOf('controller', 'run-a'))
    if (way.reverse) fed.push(endOf('controller', 'rev-a'))
    toInput(control, endOf('controller', 'run-b'), way.forward, 'run', 'run forward')
    if (way.reverse) toInput(control, endOf('controller', 'rev-b'), way.reverse, 'run', 'run in reverse')
    return
  }
  if (way.threeWire) {
    buttons(control, way.reverse)
    return
  }
  const made = runSwitch(plan, way.reverse !== undefined)
  draft.add(made, cable)
  const one = made.inside.length === 1 || made.terminals.some((t) => t.id === 'common')
  if (one) fed.push(endOf('switch', made.terminals.some((t) => t.id === 'common') ? 'common' : 'a'))
  else fed.push(endOf('switch', 'a'), endOf('switch', 'c'))
  toInput(
    control,
    endOf('switch', one && made.terminals.some((t) => t.id === 'common') ? 'forward' : 'b'),
    way.forward,
    'run',
    'run forward',
  )
  if (way.reverse) toInput(control, endOf('switch', one ? 'reverse' : 'd'), way.reverse, 'run', 'run in reverse')
}

/** A switch that stays: new, the old drum by one pole or two, or by foot. */
function runSwitch({ wiring }: Plan, reverse: boolean): Device {
  const made = { id: 'switch', role: 'switch', place: 'machine' } as const
  if (wiring.runWith === 'foot')
    return contact(
      { ...made, name: 'Foot switch', short: 'Foot', line2: 'runs while it is held' },
      'closes',
      ['13', '14'],
      'foot',
    )
  if (wiring.runWith === 'drum-one')
    return device(
      { ...made, name: 'Old drum switch', short: 'Drum', line2: 'one pole, a signal now; its mains wires taken out' },
      [
        terminal('common', '1', 'control', 'any', { needed: true }),
        terminal('forward', '2', 'control', 'any', { needed: true }),
        terminal('reverse', '4', 'control', 'any', { needed: reverse }),
      ],
      [
        { kind: 'closes', between: ['common', 'forward'], name: 'F' },
        { kind: 'closes', between: ['common', 'reverse'], name: 'R' },
      ],
    )
  const name =
    wiring.runWith === 'drum-two'
      ? { name: 'Old drum switch', short: 'Drum', line2: 'two poles, a signal now; its mains wires taken out' }
      : { name: reverse ? 'Forward, off, reverse' : 'Run switch', short: 'Run switch', line2: 'stays where put' }
  return reverse
    ? twoContacts({ ...made, ...name }, 'closes', ['F', 'R'])
    : contact({ ...made, ...name }, 'closes', ['13', '14'], 'F')
}

/** START closes, STOP opens; reverse by a switch that stays; on a pendant with jog where it is one. */
function buttons(control: Control, reverse: TerminalFunction | undefined): void {
  const { draft, plan, fed, drive } = control
  const pendant = plan.wiring.runWith === 'pendant'
  const cable = { text: pendant ? 'pendant lead' : 'control cable' }
  const at = { place: 'machine' } as const
  const stopIn = drive.find('stop-open')
  if (pendant) {
    const rows = [
      terminal('common', '1', 'control', 'any', { needed: true }),
      terminal('start', '2', 'control', 'any', { needed: true }),
      terminal('stop-a', '3', 'control', 'any', { needed: stopIn !== undefined }),
      terminal('stop-b', '4', 'control', 'any', { needed: stopIn !== undefined }),
      terminal('jog', '5', 'control', 'any', { needed: drive.find('jog') !== undefined }),
      ...(reverse ? [terminal('reverse', '6', 'control', 'any', { needed: true })] : []),
      terminal('high', '7', 'control', 'any', { needed: true, note: 'full' }),
      terminal('wiper', '8', 'control', 'any', { needed: true, note: 'wiper' }),
      terminal('low', '9', 'control', 'any', { needed: true, note: 'zero' }),
    ]
    draft.add(
      device(
        { ...at, id: 'pendant', role: 'pendant', name: 'Pendant', short: 'Pendant', line2: 'unplugged, it stops' },
        rows,
        [
          { kind: 'closes', between: ['common', 'start'], name: 'start' },
          { kind: 'opens', between: ['stop-a', 'stop-b'], name: 'stop' },
          { kind: 'closes', between: ['common', 'jog'], name: 'jog' },
          ...(reverse ? [{ kind: 'closes' as const, between: ['common', 'reverse'], name: 'R' }] : []),
          { kind: 'knob', between: ['low', 'wiper', 'high'] },
        ],
      ),
      { text: 'pendant lead, shielded', shielded: true },
    )
    fed.push(endOf('pendant', 'common'))
    toInput(control, endOf('pendant', 'start'), 'start', 'run', 'start')
    toInput(control, endOf('pendant', 'jog'), 'jog', 'run', 'jog')
    if (reverse) toInput(control, endOf('pendant', 'reverse'), reverse, 'run', 'direction')
    return
  }
  draft.add(
    contact(
      { ...at, id: 'start', role: 'button', name: 'Start button', short: 'Start' },
      'closes',
      ['13', '14'],
      'start',
    ),
    cable,
  )
  fed.push(endOf('start', 'a'))
  toInput(control, endOf('start', 'b'), 'start', 'run', 'start')
  draft.add(
    contact(
      { ...at, id: 'stop-button', role: 'button', name: 'Stop button', short: 'Stop' },
      'opens',
      ['11', '12'],
      'stop',
    ),
    cable,
  )
  if (reverse) {
    draft.add(
      contact(
        { ...at, id: 'direction', role: 'switch', name: 'Direction', short: 'Direction', line2: 'stays where put' },
        'closes',
        ['13', '14'],
        'R',
      ),
      cable,
    )
    fed.push(endOf('direction', 'a'))
    toInput(control, endOf('direction', 'b'), reverse, 'run', 'direction')
  }
}

export const controllerTerminals = ({ controls }: Plan) => [
  terminal('run-a', 'F1', 'control', 'any', { needed: true, note: 'forward' }),
  terminal('run-b', 'F2', 'control', 'any', { needed: true }),
  ...(controls.reverseWanted === true
    ? [
        terminal('rev-a', 'R1', 'control', 'any', { needed: true, note: 'reverse' }),
        terminal('rev-b', 'R2', 'control', 'any', { needed: true }),
      ]
    : []),
  ...(controls.reference === 'analogue'
    ? [
        terminal('volts', '0-10', 'control', 'any', { needed: true }),
        terminal('zero', '0 V', 'control', 'any', { needed: true }),
      ]
    : []),
]
