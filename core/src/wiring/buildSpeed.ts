import { controllerTerminals } from './buildRun'
import { net, toInput, type Control } from './control'
import { device, terminal, twoContacts } from './deviceKinds'
import { endOf } from './model'
import { presetBits } from './wishes'

/** The knob, the controller's volts, the serial pair, fixed speeds, or buttons for faster and slower. */
export function speed(control: Control): void {
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
