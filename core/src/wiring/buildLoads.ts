import { BOX_M, net, tie, type Control } from './control'
import { device, earthScrew, terminal, twoEnds } from './deviceKinds'
import { endOf, type End } from './model'
import { lampWanted } from './wishes'

/** A lamp, blower, pump or brake by the drive's relay. */
export function switched(control: Control): void {
  const { draft, plan, drive } = control
  const { wiring } = plan
  const [common, open] = [drive.find('relay-common'), drive.find('relay-open')]
  if (lampWanted(plan)) lamp(control, common, open)
  for (const [id, name, wanted] of [
    ['blower', 'Blower', draft.devices.has('blower')],
    ['pump', 'Coolant pump', wiring.coolantPump === true || wiring.relayDoes === 'coolant'],
    ['brake', 'Spring brake', wiring.relayDoes === 'brake'],
  ] as const) {
    if (!wanted) continue
    if (!draft.devices.has(id))
      draft.add(
        device(
          {
            id,
            role: id === 'brake' ? 'brake' : 'pump',
            place: 'machine',
            name,
            short: name.slice(0, 12),
            line2: id === 'brake' ? 'lets go while it has power' : 'on the supply',
          },
          [
            terminal('a', 'L', 'power', 'in', { needed: true }),
            terminal('b', 'N', 'power', 'in', { needed: true }),
            earthScrew(),
          ],
          [{ kind: 'winding', between: ['a', 'b'] }],
        ),
        { text: 'its own cable' },
      )
    load(control, id, name, wiring.relayDoes === (id === 'pump' ? 'coolant' : id), common, open)
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
