import { iecNames, terminalConnections } from '../data/terminalConnections'
import type { Plan } from '../plan'
import { colourFor, type ConductorTask } from './conductors'
import { BOX_M, device, earthScrew, poles, terminal, twoEnds } from './deviceKinds'
import type { Draft } from './draft'
import type { DriveTerminals } from './driveTerminals'
import { endOf, type Device, type End, type Inside, type Terminal } from './model'

const phases = ['u', 'v', 'w'] as const

/** Leads of the motor box by their names, its links, and the three cores of the cable. */
export function motorSide(draft: Draft, plan: Plan, drive: DriveTerminals): void {
  const { motor, wiring, installation } = plan
  const cable = {
    text: wiring.motorShield === 'none' ? 'motor cable, no shield' : 'motor cable, shielded',
    shielded: wiring.motorShield !== 'none',
  }
  const box = motorBox(plan)
  draft.add(box.device, cable)
  const lead = { areaMm2: installation.motorCableMm2, lengthM: installation.motorCableM }
  for (const [i, group] of box.links.entries())
    draft.join({
      key: `link-${i + 1}`,
      purpose: `link of the ${motor.connection ?? 'winding'}`,
      group: 'motor',
      sheet: 'box',
      class: 'power',
      kind: 'link',
      ends: group.map((id) => endOf('motor', id)),
      colour: 'LK',
      dead: 'under 0.1 ohm',
      live: 'nothing is measured here live',
    })
  const outs: (End | undefined)[] = phases.map((p) => drive.find(`motor-${p}`))
  const last = behindDrive(draft, plan, outs, lead, cable)
  phases.forEach((phase, i) => {
    const from = last[i]
    const to = box.lines[i]
    if (from === undefined || to === undefined) return
    draft.join({
      key: `motor-${phase}`,
      purpose: `motor lead ${i + 1}`,
      group: 'motor',
      sheet: 'power',
      class: 'power',
      ends: [from, endOf('motor', to)],
      colour: colourFor(draft.region, phase.toUpperCase() as ConductorTask),
      ...lead,
      dead: 'between any two leads alike within 5 %; to earth 1 megohm or more with the drive taken off',
      live: 'amps of the three leads alike within 10 %, by a clamp put on dead; volts by the drive’s display',
    })
  })
  const screw = drive.device.terminals.filter(({ does }) => does === 'earth').at(-1)
  const atDrive = screw ? endOf('drive', screw.id) : endOf('bar', 'pe')
  const earth = {
    group: 'earth',
    sheet: 'power',
    class: 'power',
    kind: 'earth',
    ...lead,
    dead: 'under 0.1 ohm and the wire’s own, motor’s frame to the drive’s earth',
    live: 'nothing is measured here live',
  } as const
  if (wiring.motorConnector === 'pin-earthed') {
    draft.join({
      ...earth,
      key: 'motor-earth-pin',
      purpose: 'earth to the pin of the connector',
      ends: [atDrive, endOf('connector', 'E-in')],
    })
    draft.join({
      ...earth,
      key: 'motor-earth',
      purpose: 'earth of the motor, from its pin',
      ends: [endOf('connector', 'E-out'), endOf('motor', 'pe')],
    })
  } else
    draft.join({
      ...earth,
      key: 'motor-earth',
      purpose:
        wiring.motorConnector === 'pin-empty' ? 'earth of the motor, a strap: the pin is empty' : 'earth of the motor',
      ends: [atDrive, endOf('motor', 'pe')],
    })
  if (wiring.motors === 'two-overloads') secondMotor(draft, plan, cable, lead)
  motorShield(draft, plan)
  blower(draft, plan)
}

/** The motor cable's shield, from the clamp at the drive to the motor. */
export function motorShield(draft: Draft, { wiring, installation }: Plan): void {
  if (wiring.motorShield === undefined || wiring.motorShield === 'none') return
  draft.join({
    key: 'motor-shield',
    purpose: 'shield of the motor cable',
    group: 'motor',
    sheet: 'power',
    class: 'power',
    kind: 'shield',
    ends: [endOf('bar', 'shield'), endOf('motor', 'shield')],
    lengthM: installation.motorCableM,
    dead: 'under 1 ohm, motor’s frame to the clamp at the drive',
    live: 'nothing is measured here live',
  })
}

/** Where that shield ends at the motor: clamped, or cut and taped back. */
export const shieldTerminal = ({ wiring }: Plan): Terminal[] =>
  wiring.motorShield === undefined || wiring.motorShield === 'none'
    ? []
    : [terminal('shield', 'shield', 'power', 'in', { cut: wiring.motorShield !== 'both', needed: true })]

/** An overload in all three leads, whose contact opens when it trips. */
const overload = (id: string, name: string): Device =>
  poles({ id, role: 'overload', place: 'box', name, short: name.slice(0, 12) }, ['U', 'V', 'W'], 'through', 'power', {
    terminals: [
      terminal('trip-a', '95', 'control', 'any', { needed: true }),
      terminal('trip-b', '96', 'control', 'any', { needed: true }),
    ],
    inside: [{ kind: 'opens', between: ['trip-a', 'trip-b'], name: 'trip' }],
  })

const hasConnector = ({ motorConnector }: Plan['wiring']): boolean =>
  motorConnector === 'pin-earthed' || motorConnector === 'pin-empty'

/** A round connector in the motor's cable, by the pins that were found; one that nobody traced says so. */
function connector({ motorConnector, pinU, pinV, pinW, pinEarth }: Plan['wiring']): Device {
  const pins = [
    ['U', pinU],
    ['V', pinV],
    ['W', pinW],
    ...(motorConnector === 'pin-earthed' ? [['E', pinEarth] as const] : []),
  ] as const
  return device(
    {
      id: 'connector',
      role: 'connector',
      place: 'machine',
      name: 'Round connector',
      short: 'Connector',
      line2: pins.some(([, pin]) => pin === undefined) ? 'pins not all traced' : 'solder cups',
    },
    pins.flatMap(([lead, pin]) =>
      (['in', 'out'] as const).map((side) =>
        terminal(`${lead}-${side}`, pin ?? '?', 'power', side, { needed: true, note: lead === 'E' ? 'PE' : lead }),
      ),
    ),
    // A pin is one piece: what is on one side of it is on the other.
    pins.map(([lead]): Inside => ({ kind: 'joined', between: [`${lead}-in`, `${lead}-out`] })),
  )
}

/** The second of two motors on one drive: its own overload from the first one's screws, its own cable and earth. */
function secondMotor(
  draft: Draft,
  { wiring }: Plan,
  cable: { text: string; shielded: boolean },
  lead: { areaMm2?: number | undefined; lengthM?: number | undefined },
): void {
  draft.add(overload('overload-2', 'Second overload'))
  const shielded = wiring.motorShield !== undefined && wiring.motorShield !== 'none'
  draft.add(
    device(
      {
        id: 'motor-2',
        role: 'motor',
        place: 'machine',
        name: 'Second motor',
        short: 'Motor 2',
        line2: 'its links by its own plate',
      },
      [
        ...(['U', 'V', 'W'] as const).map((name) => terminal(name, name, 'power', 'in', { needed: true })),
        earthScrew(),
        ...(shielded
          ? [terminal('shield', 'shield', 'power', 'in', { cut: wiring.motorShield !== 'both', needed: true })]
          : []),
      ],
      [{ kind: 'winding', between: ['U', 'V', 'W'] }],
    ),
    cable,
  )
  const of = { group: 'motor', sheet: 'power', class: 'power' } as const
  for (const [i, name] of (['U', 'V', 'W'] as const).entries()) {
    const colour = colourFor(draft.region, name)
    draft.join({
      ...of,
      key: `second-${name.toLowerCase()}-overload`,
      purpose: `second motor, lead ${i + 1}`,
      ends: [endOf('overload', `${name}-in`), endOf('overload-2', `${name}-in`)],
      colour,
      areaMm2: lead.areaMm2,
      lengthM: BOX_M,
      dead: 'under 1 ohm end to end',
      live: 'amps of the three leads alike within 10 %',
    })
    draft.join({
      ...of,
      key: `second-${name.toLowerCase()}`,
      purpose: `second motor, lead ${i + 1}`,
      ends: [endOf('overload-2', `${name}-out`), endOf('motor-2', name)],
      colour,
      ...lead,
      dead: 'between any two leads alike within 5 %; to earth 1 megohm or more with the drive taken off',
      live: 'amps of the three leads alike within 10 %, by a clamp put on dead',
    })
  }
  draft.join({
    ...of,
    key: 'second-earth',
    purpose: 'earth of the second motor',
    group: 'earth',
    kind: 'earth',
    ends: [endOf('bar', 'pe'), endOf('motor-2', 'pe')],
    ...lead,
    dead: 'under 0.1 ohm and the wire’s own, its frame to the bar',
    live: 'nothing is measured here live',
  })
  if (shielded)
    draft.join({
      ...of,
      key: 'second-shield',
      purpose: 'shield of the second motor’s cable',
      kind: 'shield',
      ends: [endOf('bar', 'shield'), endOf('motor-2', 'shield')],
      lengthM: lead.lengthM,
      dead: 'under 1 ohm, its frame to the clamp at the drive',
      live: 'nothing is measured here live',
    })
}

/** What stands between drive and motor: a filter, a switch, an overload for each of two motors, a connector. */
function behindDrive(
  draft: Draft,
  { installation, wiring }: Plan,
  outs: (End | undefined)[],
  lead: { areaMm2?: number | undefined; lengthM?: number | undefined },
  cable: { text: string; shielded: boolean },
): (End | undefined)[] {
  const way: Device[] = []
  if (installation.outputFilter === true)
    way.push(
      poles(
        { id: 'output-filter', role: 'output-filter', place: 'box', name: 'Output filter', short: 'Out filter' },
        ['U', 'V', 'W'],
        'winding',
      ),
    )
  if (wiring.motorSwitch === 'early-break' || wiring.motorSwitch === 'plain')
    way.push(
      poles(
        {
          id: 'motor-switch',
          role: 'motor-switch',
          // Before overloads, which stand in the box, it stands there too.
          place: wiring.motors === 'two-overloads' ? 'box' : 'machine',
          name: 'Motor switch',
          short: 'Motor switch',
          line2: wiring.motorSwitch === 'plain' ? 'plain' : 'lockable, early contact',
        },
        ['U', 'V', 'W'],
        'closes',
        'power',
        wiring.motorSwitch === 'early-break'
          ? {
              terminals: [
                terminal('early-a', '13', 'control', 'any', { needed: true }),
                terminal('early-b', '14', 'control', 'any', { needed: true }),
              ],
              inside: [{ kind: 'closes', between: ['early-a', 'early-b'], name: 'early' }],
            }
          : {},
      ),
    )
  if (wiring.motors === 'two-overloads') way.push(overload('overload', 'Overload'))
  if (hasConnector(wiring)) way.push(connector(wiring))
  let last = outs
  for (const made of way) {
    draft.add(made, made.place === 'machine' ? cable : undefined)
    last = last.map((from, i) => {
      const name = ['U', 'V', 'W'][i] ?? 'U'
      if (from === undefined) return undefined
      draft.join({
        key: `motor-${name.toLowerCase()}-${made.id}`,
        purpose: `motor lead ${i + 1}`,
        group: 'motor',
        sheet: 'power',
        class: 'power',
        ends: [from, endOf(made.id, `${name}-in`)],
        colour: colourFor(draft.region, name as ConductorTask),
        areaMm2: lead.areaMm2,
        lengthM: BOX_M,
        dead: 'under 1 ohm end to end',
        live: 'amps of the three leads alike within 10 %',
      })
      return endOf(made.id, `${name}-out`)
    })
  }
  return last
}

interface MotorBox {
  device: Device
  /** Terminals joined by links. */
  links: string[][]
  lines: string[]
}

/** The box by the leads that the motor has, linked as the plan has it; three leads where nothing is known. */
function motorBox(plan: Plan): MotorBox {
  const { motor } = plan
  const leads = motor.leads ?? '3'
  const connection = terminalConnections[leads]?.[motor.connection ?? '']
  const count = leads === '3' ? 3 : leads === '6' ? 6 : leads === '12' ? 12 : 9
  const nema = count === 9 || count === 12
  const names = Array.from({ length: count }, (_, i) => ({
    id: `t${i + 1}`,
    prints: nema ? String(i + 1) : count === 3 ? (['U', 'V', 'W'][i] ?? '') : (iecNames[i + 1] ?? ''),
  }))
  const terminals: Terminal[] = names.map(({ id, prints }, i) =>
    terminal(id, prints, 'power', 'in', { wires: 3, needed: i < 3 || connection !== undefined }),
  )
  const linked = connection?.joined.map((group) => group.map((n) => `t${n}`)) ?? []
  const windings: Inside[] =
    count === 3
      ? [{ kind: 'winding', between: ['t1', 't2', 't3'] }]
      : names.slice(0, count === 9 ? 3 : count / 2).map((_, i) => ({
          kind: 'winding' as const,
          between: [`t${i + 1}`, `t${i + 4}`],
        }))
  return {
    device: device(
      {
        id: 'motor',
        role: 'motor',
        place: 'machine',
        name: 'Motor box',
        short: 'Motor',
        line2: motor.connection === undefined ? 'links not known' : `linked ${motor.connection.replaceAll('-', ', ')}`,
      },
      [...terminals, earthScrew(), ...shieldTerminal(plan)],
      windings,
    ),
    links: linked,
    lines: connection?.lines.map((n) => `t${n}`) ?? ['t1', 't2', 't3'],
  }
}

/** A brake resistor at its own two terminals, never at the bus. */
export function resistor(draft: Draft, { drive: { resistor: made } }: Plan, drive: DriveTerminals): void {
  if (made === undefined) return
  const [a, b] = [drive.find('resistor-1'), drive.find('resistor-2')]
  const ohms = made.ohm === undefined ? 'ohms not known' : `${made.ohm} ohm`
  const watts = made.ratedW === undefined ? '' : `, ${made.ratedW} W`
  const card = twoEnds(
    {
      id: 'resistor',
      role: 'resistor',
      place: 'box',
      name: 'Brake resistor',
      short: 'Resistor',
      line2: `${ohms}${watts}`,
    },
    'resistance',
    'power',
    ['R1', 'R2'],
    true,
  )
  if (made.thermalSwitch === 'drops-input' || made.thermalSwitch === 'trips-drive') {
    const of = made.thermalSwitch === 'drops-input' ? 'power' : 'control'
    card.terminals.push(
      terminal('t1', 'T1', of, 'any', { needed: true }),
      terminal('t2', 'T2', of, 'any', { needed: true }),
    )
    card.inside.push({ kind: 'opens', between: ['t1', 't2'], name: 'hot' })
  }
  draft.add(card)
  ;[a, b].forEach((from, i) => {
    if (from === undefined) return
    draft.join({
      key: `resistor-${i + 1}`,
      purpose: 'brake resistor',
      group: 'motor',
      sheet: 'power',
      class: 'power',
      ends: [from, endOf('resistor', i === 0 ? 'a' : 'b')],
      colour: 'BK',
      areaMm2: undefined,
      lengthM: BOX_M,
      dead: made.ohm === undefined ? 'the resistor’s ohms between both' : `${made.ohm} ohm between both, within 10 %`,
      live: 'nothing is measured here live: up to the bus volts',
    })
  })
}

/** A blower at the supply, never at the drive's output; switched by the drive's relay where the plan says so. */
function blower(draft: Draft, plan: Plan): void {
  if (plan.motor.cooling !== 'blower') return
  const card = twoEnds(
    { id: 'blower', role: 'blower', place: 'machine', name: 'Blower', short: 'Blower', line2: 'on the supply' },
    'winding',
    'power',
    ['L', 'N'],
    true,
  )
  draft.add(card, { text: 'blower cable' })
}
