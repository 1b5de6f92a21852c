import type { TerminalFunction } from '../manual/terminalFunctions'
import type { Plan } from '../plan'
import { BOX_M, net, tie, toInput, type Control } from './control'
import { contact, device, terminal, twoContacts, twoEnds } from './deviceKinds'
import { endOf, type Device, type End } from './model'
import { delayedFunction, enableChain, enableFunction, stopFunction } from './wishes'

/** The mushroom and everything else that must be closed to let it run, one after the other. */
export function stop(control: Control): void {
  const { draft, plan, fed } = control
  const { controls, wiring } = plan
  const kind = controls.emergencyStop
  const cable = { text: 'control cable' }
  const mushroom = kind !== undefined && kind !== 'none'
  const channels = (wiring.torqueOffChannels ?? 2) > 1
  const two = kind === 'safe-torque-off' && channels
  const opens = wiring.stopButton === 'open' ? 'closes' : 'opens'
  const made = {
    id: 'stop',
    role: 'stop',
    place: 'machine',
    name: 'Stop mushroom',
    short: 'Mushroom',
    line2: stopLine(plan),
  } as const
  if (mushroom)
    draft.add(
      two || kind === 'contactor' || kind === 'ramp-then-off'
        ? twoContacts(made, opens, ['first', 'second'])
        : contact(made, opens, opens === 'opens' ? ['11', '12'] : ['13', '14'], 'stop'),
      cable,
    )
  const chain = [
    ...enableChain(plan),
    // A switch in the winding shares the input for outside faults with what else trips it.
    ...(draft.devices.has('thermistor') && thermistorTrips(plan) ? ['thermistor'] : []),
  ]
  for (const id of chain) addContact(control, id)
  const inChain: [End, End][] = chain.map((id) => contactEnds(id))
  if (kind === 'safe-torque-off')
    torqueOff(control, [
      [endOf('stop', 'a'), endOf('stop', 'b')],
      ...(two ? [[endOf('stop', 'c'), endOf('stop', 'd')] as [End, End]] : []),
    ])
  if (kind === 'ramp-then-off') delayed(control, channels)
  const own = stopFunction(plan)
  // In a chain of start and stop buttons the mushroom and the stop button open the same input.
  const stopButton: [End, End][] = draft.devices.has('stop-button')
    ? [[endOf('stop-button', 'a'), endOf('stop-button', 'b')]]
    : draft.devices.has('pendant')
      ? [[endOf('pendant', 'stop-a'), endOf('pendant', 'stop-b')]]
      : []
  const mushroomEnds: [End, End][] =
    mushroom && own !== undefined && kind !== 'safe-torque-off'
      ? [kind === 'contactor' ? [endOf('stop', 'c'), endOf('stop', 'd')] : [endOf('stop', 'a'), endOf('stop', 'b')]]
      : []
  if (own === 'stop-open') series(control, [...mushroomEnds, ...stopButton, ...inChain], 'stop-open', fed)
  else {
    series(control, stopButton, 'stop-open', fed)
    beforeRun(control, [...mushroomEnds, ...inChain])
  }
  if (draft.devices.has('contactor')) contactor(control, kind === 'contactor')
}

const stopLine = ({ controls: { emergencyStop: kind }, wiring }: Plan): string =>
  kind === 'safe-torque-off' || kind === 'coast-input' || kind === 'contactor'
    ? 'category 0: power off, it coasts'
    : kind === 'ramp-then-off'
      ? 'category 1: ramps, then torque off'
      : kind === 'ramp-input'
        ? 'ramps by the drive’s program'
        : wiring.stopButton === 'open'
          ? 'closes when pressed'
          : 'a stop button only'

const contactNames: Record<string, { role: Device['role']; name: string; short: string; place: Device['place'] }> = {
  guard: { role: 'guard', name: 'Guard switch', short: 'Guard', place: 'machine' },
  flow: { role: 'flow', name: 'Flow switch', short: 'Flow', place: 'machine' },
  pressure: { role: 'pressure', name: 'Pressure switch', short: 'Pressure', place: 'machine' },
}

function addContact({ draft }: Control, id: string): void {
  const made = contactNames[id]
  if (!made) return
  draft.add(
    contact(
      { id, ...made },
      id === 'guard' ? 'opens' : 'closes',
      id === 'guard' ? ['11', '12'] : ['13', '14'],
      id === 'guard' ? 'guard' : id,
    ),
    { text: 'control cable' },
  )
}

/** The two ends of what a device puts into the chain. */
const contactEnds = (id: string): [End, End] =>
  id === 'resistor'
    ? [endOf('resistor', 't1'), endOf('resistor', 't2')]
    : id === 'isolator' || id === 'motor-switch'
      ? [endOf(id, 'early-a'), endOf(id, 'early-b')]
      : id === 'overload' || id === 'overload-2'
        ? [endOf(id, 'trip-a'), endOf(id, 'trip-b')]
        : [endOf(id, 'a'), endOf(id, 'b')]

/** Contacts one after the other, from the feed to an input of the drive. */
function series(control: Control, contacts: readonly [End, End][], does: TerminalFunction, fed: End[]): void {
  const [first] = contacts
  const last = contacts.at(-1)
  if (!first || !last || control.drive.find(does) === undefined) return
  fed.push(first[0])
  chained(control, contacts, does)
  toInput(control, last[1], does, 'stop', does === 'stop-open' ? 'stop, by opening' : 'lets it run, while closed', true)
}

/** From each contact of a chain to the next. */
function chained(control: Control, contacts: readonly [End, End][], does: TerminalFunction): void {
  contacts.slice(1).forEach(([into], i) => {
    const from = contacts[i]?.[1]
    if (from === undefined) return
    net(control, {
      key: `${does}-chain-${i + 1}`,
      purpose: 'chain of what must be closed',
      group: 'stop',
      ends: [from, into],
      dead: 'under 1 ohm end to end',
      live: `${control.volts} while all before it is closed`,
    })
  })
}

/** What must be closed to let it run: on an input of its own, or before the switch that sends RUN. */
function beforeRun(control: Control, contacts: readonly [End, End][]): void {
  const { plan, fed, behindChain } = control
  const [first] = contacts
  const last = contacts.at(-1)
  if (behindChain.length === 0) {
    series(control, contacts, enableFunction(plan), fed)
    return
  }
  if (!first || !last) return void fed.push(...behindChain)
  fed.push(first[0])
  chained(control, contacts, enableFunction(plan))
  net(control, {
    key: 'run-chain',
    purpose: 'chain of what must be closed, to the run switch',
    group: 'stop',
    ends: [last[1], ...behindChain],
    dead: 'under 1 ohm end to end',
    live: `${control.volts} while all before it is closed`,
  })
}

/** Each channel of safe torque off through a contact of its own, which takes the torque away when it opens. */
function torqueOff(control: Control, contacts: readonly [End, End][], by = 'with the mushroom'): void {
  const { drive } = control
  const supply = drive.find('torque-off-supply') ?? drive.find('supply-24')
  if (supply === undefined) return
  const channels = ['torque-off-1', 'torque-off-2'] as const
  contacts.forEach(([into, out], i) => {
    const does = channels[i]
    const to = does && drive.find(does)
    if (does === undefined || to === undefined) return
    tie(control, supply, into, 'stop', 'volts to safe torque off', '24 V, whatever is pressed')
    net(control, {
      key: does,
      purpose: `safe torque off, ${does === 'torque-off-1' ? 'first' : 'second'} channel`,
      group: 'stop',
      ends: [to, out],
      dead: `under 1 ohm ${by} out, open ${by} in`,
      live: `24 V ${by} out, 0 V ${by} in`,
    })
  })
}

/**
 * Category 1: the mushroom's first contact makes the drive ramp, its second lets a delay relay drop, whose contacts take the
 * torque away once the ramp is over.
 */
function delayed(control: Control, two: boolean): void {
  const { draft, drive, plan } = control
  const supply = drive.find('supply-24')
  const does = delayedFunction(plan)
  if (supply === undefined || does === undefined) return
  const delay = plan.wiring.stopDelayS
  const contacts = does === 'torque-off-1' && two && drive.find('torque-off-2') !== undefined ? 2 : 1
  draft.add(
    device(
      {
        id: 'delay',
        role: 'delay-relay',
        place: 'box',
        name: 'Delay relay',
        short: 'Delay',
        line2: delay === undefined ? 'drops late, seconds not set' : `drops after ${delay} s`,
      },
      [
        terminal('a1', 'A1', 'control', 'any', { needed: true }),
        terminal('a2', 'A2', 'control', 'any', { needed: true }),
        ...Array.from({ length: contacts }, (_, i) => [
          terminal(`late-${i + 1}-a`, `${i + 1}7`, 'control', 'any', { needed: true }),
          terminal(`late-${i + 1}-b`, `${i + 1}8`, 'control', 'any', { needed: true }),
        ]).flat(),
      ],
      [
        { kind: 'coil', between: ['a1', 'a2'] },
        ...Array.from({ length: contacts }, (_, i) => ({
          kind: 'closes' as const,
          between: [`late-${i + 1}-a`, `late-${i + 1}-b`],
          name: 'late',
        })),
      ],
    ),
  )
  tie(control, supply, endOf('stop', 'c'), 'stop', 'volts to the delay relay', '24 V, whatever is pressed')
  net(control, {
    key: 'delay-coil',
    purpose: 'coil of the delay relay',
    group: 'stop',
    ends: [endOf('stop', 'd'), endOf('delay', 'a1')],
    dead: 'under 1 ohm end to end',
    live: '24 V with the mushroom out, 0 V with it in',
  })
  if (control.zero !== undefined)
    tie(control, control.zero, endOf('delay', 'a2'), 'stop', 'return of the delay relay', '0 V')
  const ends = Array.from({ length: contacts }, (_, i): [End, End] => [
    endOf('delay', `late-${i + 1}-a`),
    endOf('delay', `late-${i + 1}-b`),
  ])
  if (does === 'torque-off-1') torqueOff(control, ends, 'some seconds after the mushroom is')
  // A switch in the winding opens the same input: one after the other, side by side either would hold it.
  else series(control, [...ends, ...(sharesDelayed(control) ? [contactEnds('thermistor')] : [])], does, control.fed)
}

/** A contactor that holds itself: a reset button closes it, the mushroom or a hot resistor lets it drop. */
function contactor(control: Control, byMushroom: boolean): void {
  const { draft, plan } = control
  const hot = plan.drive.resistor?.thermalSwitch === 'drops-input'
  draft.add(
    {
      ...contact(
        {
          id: 'reset',
          role: 'button',
          place: 'machine',
          name: 'Reset button',
          short: 'Reset',
          line2: 'at mains volts',
        },
        'closes',
        ['13', '14'],
        'reset',
      ),
    },
    { text: 'control cable at mains volts' },
  )
  for (const end of ['a', 'b']) {
    const of = draft.terminal(endOf('reset', end))
    if (of) of.class = 'power'
  }
  const lines =
    [...draft.devices.values()].find(({ id }) => id === 'contactor')?.terminals.filter((t) => t.id.endsWith('-in')) ??
    []
  const [hotLine, returnLine] = [lines[0], lines[1]]
  if (!hotLine || !returnLine) return
  const wish = {
    group: 'stop',
    sheet: 'power',
    class: 'power',
    areaMm2: 1,
    lengthM: BOX_M,
    colour: 'RD',
    dead: 'the coil’s ohms with the reset pressed; open at rest',
    live: 'by the contactor: it pulls in at reset, drops with the mushroom',
  } as const
  const openers: [End, End][] = [
    ...(byMushroom ? [[endOf('stop', 'a'), endOf('stop', 'b')] as [End, End]] : []),
    ...(hot ? [[endOf('resistor', 't1'), endOf('resistor', 't2')] as [End, End]] : []),
  ]
  for (const pair of openers)
    for (const end of pair) {
      const of = draft.terminal(end)
      if (of) of.class = 'power'
    }
  let at = endOf('contactor', hotLine.id)
  openers.forEach(([a, b], i) => {
    draft.join({ ...wish, key: `coil-chain-${i + 1}`, purpose: 'supply of the coil', ends: [at, a] })
    at = b
  })
  draft.join({
    ...wish,
    key: 'coil-reset',
    purpose: 'to reset and holding contact',
    ends: [at, endOf('contactor', 'hold-a'), endOf('reset', 'a')],
  })
  draft.join({
    ...wish,
    key: 'coil',
    purpose: 'coil',
    ends: [endOf('contactor', 'a1'), endOf('contactor', 'hold-b'), endOf('reset', 'b')],
  })
  draft.join({
    ...wish,
    key: 'coil-return',
    purpose: 'return of the coil',
    ends: [endOf('contactor', returnLine.id), endOf('contactor', 'a2')],
  })
}

/** Whether the winding's switch is in the chain that the drive takes for an outside fault. */
const thermistorTrips = (plan: Plan): boolean =>
  plan.wiring.thermistorOn === 'fault' && enableFunction(plan) === 'outside-fault'

/** Whether the winding's switch opens the input that a delay relay opens too. */
const sharesDelayed = ({ draft, plan }: Control): boolean =>
  draft.devices.has('thermistor') && plan.wiring.thermistorOn === 'fault' && delayedFunction(plan) === 'outside-fault'

/** The winding's own sensor, to its own input; an input for faults only where it is a switch. */
export function thermistor(control: Control): void {
  const { draft, plan, drive, fed } = control
  if (plan.controls.thermistorWired !== true || plan.wiring.thermistorOn === 'nothing') return
  // On an input for faults it can only be a switch: a thermistor's ohms close nothing.
  const isSwitch = plan.wiring.thermistorOn === 'fault'
  draft.add(
    twoEnds(
      {
        id: 'thermistor',
        role: 'thermistor',
        place: 'machine',
        ...(isSwitch
          ? { name: 'Thermal switch', short: 'Thermal sw.', line2: 'in the winding, opens when hot' }
          : { name: 'Thermistor', short: 'Thermistor', line2: 'in the winding' }),
      },
      isSwitch ? 'opens' : 'resistance',
      'control',
      ['T1', 'T2'],
    ),
    { text: '2 cores, shielded, apart from the motor’s', shielded: true },
  )
  if (thermistorTrips(plan) || sharesDelayed(control)) return
  if (plan.wiring.thermistorOn === 'fault') {
    fed.push(endOf('thermistor', 'a'))
    toInput(control, endOf('thermistor', 'b'), 'outside-fault', 'stop', 'trips when the winding is hot', true)
    return
  }
  for (const [does, end] of [
    ['thermistor-1', 'a'],
    ['thermistor-2', 'b'],
  ] as const) {
    const to = drive.find(does)
    if (to === undefined) continue
    net(control, {
      key: does,
      purpose: 'thermistor',
      group: 'stop',
      ends: [to, endOf('thermistor', end)],
      dead: '20 to 750 ohm cold for each three in a row; never by a meter that gives more than 2.5 V',
      live: 'by the drive’s display: no fault of heat',
    })
  }
}
