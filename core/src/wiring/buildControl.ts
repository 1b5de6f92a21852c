import type { TerminalFunction } from '../manual/terminalFunctions'
import type { Plan } from '../plan'
import { contact, device, earthScrew, terminal, twoContacts, twoEnds } from './deviceKinds'
import type { Draft, NetWish } from './draft'
import type { DriveTerminals } from './driveTerminals'
import { endOf, type Device, type End, type WireGroup } from './model'
import { enableChain, enableFunction, lampWanted, presetBits, runWay, stopFunction } from './wishes'

const CONTROL_MM2 = 0.75
const BOX_M = 0.4

/** What the control wires are made from. */
interface Control {
  draft: Draft
  plan: Plan
  drive: DriveTerminals
  /** The side of the drive's signal supply that switches close to. */
  feed: End | undefined
  /** The other side. */
  zero: End | undefined
  /** Contacts that wait for the feed, in the order in which they are built. */
  fed: End[]
  /** Contacts that wait for what must be closed first, where RUN and that share one input of the drive. */
  behindChain: End[]
  /** What else hangs on one of the drive's screws: one net each, however many wish for it. */
  hubs: Map<End, { purpose: string; live: string; group: WireGroup; ends: End[] }>
  volts: string
}

/** Run, speed, stop, and what the drive switches: everything that carries signals. */
export function buildControl(draft: Draft, plan: Plan, drive: DriveTerminals, logic: 'sink' | 'source'): void {
  const common = drive.find('digital-common') ?? drive.find('reference-common')
  const supply = drive.find('supply-24')
  const source = logic === 'source' && supply !== undefined
  const gives = drive.manual('supply-24')?.gives?.volts
  const control: Control = {
    draft,
    plan,
    drive,
    feed: source ? supply : common,
    zero: common,
    fed: [],
    hubs: new Map(),
    behindChain: [],
    volts: gives === undefined ? 'the drive’s signal volts' : `${gives} V`,
  }
  run(control)
  speed(control)
  thermistor(control)
  stop(control)
  switched(control)
  const { feed, fed, hubs } = control
  for (const end of fed)
    tie(
      control,
      feed,
      end,
      'run',
      source ? 'volts to the switches' : 'common of the switches',
      source ? `${control.volts} to the common, whatever is pressed` : '0 V to the common',
    )
  for (const [hub, { purpose, live, group, ends }] of hubs)
    net(control, { key: `hub-${hub}`, purpose, group, ends: [hub, ...ends], dead: 'under 1 ohm end to end', live })
}

/** Hangs an end on a screw of the drive that others hang on too. */
function tie({ hubs }: Control, hub: End | undefined, end: End, group: WireGroup, purpose: string, live: string): void {
  if (hub === undefined) return
  const there = hubs.get(hub)
  if (there) there.ends.push(end)
  else hubs.set(hub, { purpose, live, group, ends: [end] })
}

const net = ({ draft, plan }: Control, wish: Omit<NetWish, 'sheet' | 'class'>): void =>
  draft.join({
    sheet: 'control',
    class: 'control',
    areaMm2: CONTROL_MM2,
    lengthM: plan.wiring.knobLeadM ?? (plan.installation.place === 'at-machine' ? BOX_M : undefined),
    ...wish,
  })

/** One contact's far side to an input of the drive; nothing where the drive has no such terminal. */
function toInput(
  control: Control,
  from: End,
  does: TerminalFunction,
  group: WireGroup,
  purpose: string,
  opens = false,
): void {
  const to = control.drive.find(does)
  if (to === undefined) return
  net(control, {
    key: does,
    purpose,
    group,
    ends: [to, from],
    dead: opens
      ? 'under 1 ohm through the closed contact, open when it is pressed'
      : 'open at rest, under 1 ohm closed',
    live: opens ? `${control.volts} at rest, 0 V when it is pressed` : `${control.volts} closed, 0 V open`,
  })
}

/** The switch, buttons, foot switch, pendant or controller that sends RUN. */
function run(control: Control): void {
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

const controllerTerminals = ({ controls }: Plan) => [
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

/** The knob, the controller's volts, the serial pair, fixed speeds, or buttons for faster and slower. */
function speed(control: Control): void {
  const { draft, plan, drive, fed } = control
  const { controls, wiring } = plan
  if (controls.reference === 'knob' || draft.devices.has('pendant')) knob(control)
  if (controls.reference === 'analogue') analogue(control)
  if (controls.reference === 'serial') serial(control)
  if (controls.reference === 'presets') {
    const bits = (['preset-1', 'preset-2', 'preset-3'] as const).slice(0, presetBits(wiring.presets ?? 3))
    draft.add(
      device(
        {
          id: 'presets',
          role: 'switch',
          place: 'machine',
          name: 'Speed switch',
          short: 'Speeds',
          line2: `${wiring.presets ?? 3} fixed speeds`,
        },
        [
          terminal('common', 'C', 'control', 'any', { needed: true }),
          ...bits.map((bit, i) =>
            terminal(bit, String(2 ** i), 'control', 'any', { needed: drive.find(bit) !== undefined }),
          ),
        ],
        bits.map((bit) => ({ kind: 'closes' as const, between: ['common', bit], name: bit.slice(-1) })),
      ),
      { text: 'control cable' },
    )
    fed.push(endOf('presets', 'common'))
    for (const bit of bits) toInput(control, endOf('presets', bit), bit, 'run', 'fixed speed')
  }
  if (wiring.upDown === true) {
    draft.add(
      twoContacts(
        { id: 'up-down', role: 'button', place: 'machine', name: 'Faster, slower', short: 'Fast, slow' },
        'closes',
        ['faster', 'slower'],
      ),
      { text: 'control cable' },
    )
    fed.push(endOf('up-down', 'a'), endOf('up-down', 'c'))
    toInput(control, endOf('up-down', 'b'), 'speed-up', 'run', 'faster')
    toInput(control, endOf('up-down', 'd'), 'speed-down', 'run', 'slower')
  }
}

function knob(control: Control): void {
  const { draft, plan, drive } = control
  const pendant = draft.devices.has('pendant')
  const id = pendant ? 'pendant' : 'knob'
  const shielded = plan.wiring.knobShielded !== false
  if (!pendant)
    draft.add(
      device(
        {
          id,
          role: 'knob',
          place: 'machine',
          name: 'Speed knob',
          short: 'Knob',
          line2: plan.wiring.knobOhm === undefined ? 'ohms not known' : `${plan.wiring.knobOhm / 1000} kilohm, linear`,
        },
        [
          terminal('high', '1', 'control', 'any', { needed: true, note: 'full' }),
          terminal('wiper', '2', 'control', 'any', { needed: true, note: 'wiper' }),
          terminal('low', '3', 'control', 'any', { needed: true, note: 'zero' }),
          ...(shielded
            ? [terminal('shield', 'shield', 'control', 'any', { cut: true, needed: true, note: 'taped back' })]
            : []),
        ],
        [{ kind: 'knob', between: ['low', 'wiper', 'high'] }],
      ),
      { text: shielded ? '3 cores, shielded' : '3 cores', shielded },
    )
  const gives = drive.manual('reference-supply')?.gives?.volts
  const top = gives === undefined ? 'the reference’s volts' : `${gives} V`
  const legs = [
    ['reference-supply', 'high', 'top of the knob', `${top} to the knob’s bottom, wherever it stands`],
    ['reference-in', 'wiper', 'the knob’s wiper', `0 to ${top} as it is turned up`],
    ['reference-common', 'low', 'bottom of the knob', '0 V'],
  ] as const
  for (const [does, leg, purpose, live] of legs) {
    const to = drive.find(does)
    if (to === undefined) continue
    net(control, {
      key: does,
      purpose,
      group: 'run',
      ends: [to, endOf(id, leg)],
      lengthM: plan.wiring.knobLeadM,
      dead:
        leg === 'wiper'
          ? 'from nothing to the knob’s ohms against its bottom as it is turned up'
          : plan.wiring.knobOhm === undefined
            ? 'the knob’s ohms between top and bottom'
            : `${plan.wiring.knobOhm} ohm between top and bottom`,
      live,
    })
  }
  if (!pendant && shielded) shield(control, id, plan.wiring.knobLeadM)
}

/** A signal's shield is landed at the drive's end alone, all round. */
function shield(control: Control, id: string, lengthM: number | undefined): void {
  if (!control.draft.devices.has('shield-bar'))
    control.draft.add(
      device(
        {
          id: 'shield-bar',
          role: 'shield-bar',
          place: 'box',
          name: 'Shield bar',
          short: 'Shields',
          line2: 'on bare plate',
        },
        [terminal('clamp', 'clamp', 'control', 'any', { potential: 'PE', wires: 12, needed: true })],
      ),
    )
  net(control, {
    key: `shield-${id}`,
    purpose: 'shield of the lead',
    group: 'run',
    kind: 'shield',
    ends: [endOf('shield-bar', 'clamp'), endOf(id, 'shield')],
    lengthM,
    dead: 'under 1 ohm to the clamp, open to every core',
    live: 'nothing is measured here live',
  })
}

function analogue(control: Control): void {
  const { draft, drive } = control
  if (!draft.devices.has('controller'))
    draft.add(
      device(
        { id: 'controller', role: 'controller', place: 'machine', name: 'CNC controller', short: 'Controller' },
        controllerTerminals(control.plan).filter(({ id }) => id === 'volts' || id === 'zero'),
      ),
      { text: 'control cable, shielded', shielded: true },
    )
  draft.devices
    .get('controller')
    ?.terminals.push(terminal('shield', 'shield', 'control', 'any', { cut: true, needed: true, note: 'taped back' }))
  for (const [does, leg, purpose, live] of [
    ['reference-in', 'volts', 'speed, 0 to 10 V', '0 to 10 V as the controller asks'],
    ['reference-common', 'zero', 'zero of the speed', '0 V'],
  ] as const) {
    const to = drive.find(does)
    if (to === undefined) continue
    net(control, {
      key: `analogue-${leg}`,
      purpose,
      group: 'run',
      ends: [to, endOf('controller', leg)],
      dead: 'under 1 ohm end to end, open to its neighbour',
      live,
    })
  }
  shield(control, 'controller', undefined)
}

function serial(control: Control): void {
  const { draft, drive } = control
  const legs = (['a', 'b', 'common'] as const).filter((leg) => drive.find(`bus-line-${leg}`) !== undefined)
  if (draft.devices.has('controller')) return
  draft.add(
    device(
      {
        id: 'controller',
        role: 'controller',
        place: 'machine',
        name: 'CNC controller',
        short: 'Controller',
        line2: 'serial',
      },
      [
        ...legs.map((leg) =>
          terminal(leg, leg === 'common' ? 'C' : leg.toUpperCase(), 'control', 'any', { needed: true }),
        ),
        terminal('shield', 'shield', 'control', 'any', { cut: true, needed: true, note: 'taped back' }),
      ],
    ),
    { text: 'twisted pair and common, shielded', shielded: true },
  )
  for (const leg of legs) {
    const to = drive.find(`bus-line-${leg}`)
    if (to === undefined) continue
    net(control, {
      key: `serial-${leg}`,
      purpose: leg === 'common' ? 'common of the serial pair' : `serial, ${leg.toUpperCase()}`,
      group: 'run',
      ends: [to, endOf('controller', leg)],
      dead: leg === 'common' ? 'under 1 ohm end to end' : 'about 60 ohm between A and B with both end resistors in',
      live: leg === 'common' ? '0 V' : 'by the drive’s display: no communication fault',
    })
  }
  shield(control, 'controller', undefined)
}

/** The mushroom and everything else that must be closed to let it run, one after the other. */
function stop(control: Control): void {
  const { draft, plan, fed } = control
  const { controls, wiring } = plan
  const kind = controls.emergencyStop
  const cable = { text: 'control cable' }
  const mushroom = kind !== undefined && kind !== 'none'
  const two = kind === 'safe-torque-off' && (wiring.torqueOffChannels ?? 2) > 1
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
      two || kind === 'contactor'
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
  if (kind === 'safe-torque-off') torqueOff(control, two)
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
    : kind === 'ramp-input'
      ? 'category 1 in kind: ramps, then off'
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
      : id === 'overload'
        ? [endOf('overload', 'trip-a'), endOf('overload', 'trip-b')]
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

/** Both channels of safe torque off through the mushroom, each by a contact of its own. */
function torqueOff(control: Control, two: boolean): void {
  const { drive } = control
  const supply = drive.find('torque-off-supply') ?? drive.find('supply-24')
  if (supply === undefined) return
  for (const end of [endOf('stop', 'a'), ...(two ? [endOf('stop', 'c')] : [])])
    tie(control, supply, end, 'stop', 'volts to the mushroom', '24 V, whatever is pressed')
  for (const [does, from] of [
    ['torque-off-1', endOf('stop', 'b')],
    ['torque-off-2', endOf('stop', 'd')],
  ] as const) {
    const to = drive.find(does)
    if (to === undefined || (does === 'torque-off-2' && !two)) continue
    net(control, {
      key: does,
      purpose: `safe torque off, ${does === 'torque-off-1' ? 'first' : 'second'} channel`,
      group: 'stop',
      ends: [to, from],
      dead: 'under 1 ohm with the mushroom out, open with it in',
      live: '24 V with the mushroom out, 0 V with it in',
    })
  }
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

/** The winding's own sensor, to its own input; an input for faults only where it is a switch. */
function thermistor(control: Control): void {
  const { draft, plan, drive, fed } = control
  if (plan.controls.thermistorWired !== true || plan.wiring.thermistorOn === 'nothing') return
  draft.add(
    twoEnds(
      {
        id: 'thermistor',
        role: 'thermistor',
        place: 'machine',
        name: 'Thermistor',
        short: 'Thermistor',
        line2: 'in the winding',
      },
      'resistance',
      'control',
      ['T1', 'T2'],
    ),
    { text: '2 cores, shielded, apart from the motor’s', shielded: true },
  )
  if (thermistorTrips(plan)) return
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

/** A lamp, blower, pump or brake by the drive's relay. */
function switched(control: Control): void {
  const { draft, plan, drive } = control
  const { wiring } = plan
  const [common, open] = [drive.find('relay-common'), drive.find('relay-open')]
  if (lampWanted(plan)) lamp(control, common, open)
  for (const [id, name, wanted] of [
    ['blower', 'Blower', draft.devices.has('blower')],
    ['pump', 'Coolant pump', wiring.coolantPump === true || wiring.relayDoes === 'coolant'],
  ] as const) {
    if (!wanted) continue
    if (!draft.devices.has(id))
      draft.add(
        device(
          { id, role: 'pump', place: 'machine', name, short: name.slice(0, 12), line2: 'on the supply' },
          [
            terminal('a', 'L', 'power', 'in', { needed: true }),
            terminal('b', 'N', 'power', 'in', { needed: true }),
            earthScrew(),
          ],
          [{ kind: 'winding', between: ['a', 'b'] }],
        ),
        { text: 'its own cable' },
      )
    load(control, id, name, wiring.relayDoes === (id === 'pump' ? 'coolant' : 'blower'), common, open)
  }
}

/** A lamp on the drive's own volts, by its relay. */
function lamp(control: Control, common: End | undefined, open: End | undefined): void {
  const supply = control.drive.find('supply-24')
  const { zero } = control
  if (common === undefined || open === undefined || supply === undefined || zero === undefined) return
  control.draft.add(
    twoEnds(
      { id: 'lamp', role: 'lamp', place: 'machine', name: 'Run lamp', short: 'Lamp', line2: '24 V' },
      'lamp',
      'control',
      ['1', '2'],
    ),
    { text: '2 cores' },
  )
  const of = { group: 'load', dead: 'under 1 ohm end to end' } as const
  tie(control, supply, common, 'load', 'volts to what the drive switches', '24 V to the common')
  net(control, { ...of, key: 'lamp', purpose: 'lamp', ends: [open, endOf('lamp', 'a')], live: '24 V while it runs' })
  tie(control, zero, endOf('lamp', 'b'), 'load', 'return of the lamp', '0 V')
}

/** What runs on the supply beside the drive: its own fuse, and the relay's contact where the drive switches it. */
function load(
  { draft, plan }: Control,
  id: string,
  name: string,
  byRelay: boolean,
  common: End | undefined,
  open: End | undefined,
): void {
  const own = plan.wiring.blowerOwnSupply === true && id === 'blower'
  const wall = draft.devices.get(own ? 'wall' : draft.devices.has('isolator') ? 'isolator' : 'wall')
  const outs = wall?.terminals.filter((t) => t.side === 'out') ?? []
  const [line, back] = [outs[0], outs.find((t) => t.id.startsWith('N')) ?? outs[1]]
  if (!wall || !line || !back) return
  const fuse = device(
    {
      id: `${id}-fuse`,
      role: 'breaker',
      place: 'box',
      name: `${name}, fuse`.slice(0, 24),
      short: 'Fuse',
      line2: 'its own',
    },
    [terminal('L-in', '1', 'power', 'in', { needed: true }), terminal('L-out', '2', 'power', 'out', { needed: true })],
    [{ kind: 'fuse', between: ['L-in', 'L-out'] }],
  )
  draft.add(fuse)
  const of = {
    group: 'load',
    sheet: 'power',
    class: 'power',
    areaMm2: 1.5,
    colour: own ? 'OG' : draft.region === 'iec' ? 'BN' : 'BK',
    lengthM: BOX_M,
    dead: 'under 1 ohm end to end',
    live: `by the ${name.toLowerCase()}: it runs`,
  } as const
  draft.join({
    ...of,
    key: `${id}-line`,
    purpose: `supply of the ${name.toLowerCase()}`,
    ends: [endOf(wall.id, line.id), endOf(fuse.id, 'L-in')],
  })
  let from = endOf(fuse.id, 'L-out')
  if (byRelay && common !== undefined && open !== undefined) {
    draft.join({ ...of, key: `${id}-relay`, purpose: 'to the drive’s relay', ends: [common, from] })
    from = open
  }
  draft.join({ ...of, key: `${id}-live`, purpose: name.toLowerCase(), ends: [from, endOf(id, 'a')] })
  draft.join({
    ...of,
    key: `${id}-return`,
    purpose: `return of the ${name.toLowerCase()}`,
    colour: own ? 'OG' : draft.region === 'iec' ? 'BU' : 'WH',
    ends: [endOf(wall.id, back.id), endOf(id, 'b')],
  })
}
