import { iecNames, terminalConnections } from '../data/terminalConnections'
import type { Plan } from '../plan'
import { colourFor, type ConductorTask } from './conductors'
import { device, earthScrew, poles, supplyCard, terminal, twoEnds } from './deviceKinds'
import type { Draft } from './draft'
import type { DriveTerminals } from './driveTerminals'
import { endOf, type Device, type End, type Inside, type Potential, type Terminal } from './model'

/**
 * Conductors of the circuit that go on to the drive; one phase between live and neutral where nothing is said. Of three
 * phases a drive of one takes what it has terminals for; the others end at the wall.
 */
function feedLines({ supply }: Plan, drive: DriveTerminals): Potential[] {
  if (supply.phases === 3 || supply.topology === 'three-phase') {
    if (drive.find('line-3') !== undefined) return ['L1', 'L2', 'L3']
    return drive.find('neutral') === undefined ? ['L1', 'L2'] : ['L1', 'N']
  }
  return supply.topology === 'line-line' ? ['L1', 'L2'] : ['L1', 'N']
}

const BOX_M = 0.5

/** Supply to drive, drive to motor, the brake resistor. */
export function buildPower(draft: Draft, plan: Plan, drive: DriveTerminals): void {
  const lines = feedLines(plan, drive)
  const left = feed(draft, plan, lines)
  const inputs = driveInputs(drive, lines)
  lines.forEach((line, i) => {
    const [from, to] = [left.get(line), inputs[i]]
    if (from !== undefined && to !== undefined) joinLine(draft, plan, line, from, to)
  })
  motorSide(draft, plan, drive)
  resistor(draft, plan, drive)
}

/** Devices between wall and drive, in the order in which power passes; tells where each conductor last came out. */
function feed(draft: Draft, plan: Plan, lines: readonly Potential[]): Map<Potential, End> {
  const { supply, wiring, controls } = plan
  const breaker = supply.breakerA === undefined ? 'breaker not known' : `breaker ${supply.breakerA} A`
  const volts = supply.voltageV === undefined ? '' : `${supply.voltageV} V, `
  draft.add(supplyCard(lines, `${volts}${breaker}`))
  const way: Device[] = []
  if (supply.earthLeakageDevice !== undefined && supply.earthLeakageDevice !== 'none')
    way.push(
      poles(
        {
          id: 'leakage',
          role: 'leakage',
          place: 'wall',
          name: 'Earth leakage',
          short: 'Leakage',
          line2: supply.earthLeakageDevice === 'gfci' ? '5 mA' : `type ${supply.earthLeakageDevice.toUpperCase()}`,
        },
        lines,
        'closes',
      ),
    )
  if (supply.supplyUnit === 'transformer')
    way.push(
      poles(
        { id: 'transformer', role: 'transformer', place: 'wall', name: 'Transformer', short: 'Transformer' },
        lines,
        'winding',
        'power',
        { terminals: [earthScrew()] },
      ),
    )
  if (supply.plugOrFixed === 'plug')
    way.push(
      poles({ id: 'plug', role: 'plug', place: 'wall', name: 'Plug and socket', short: 'Plug' }, lines, 'through'),
    )
  if (
    wiring.isolator === undefined ||
    wiring.isolator === 'lockable' ||
    wiring.isolator === 'early-break' ||
    wiring.isolator === 'plain'
  )
    way.push(
      poles(
        {
          id: 'isolator',
          role: 'isolator',
          place: 'box',
          name: 'Isolator',
          short: 'Isolator',
          line2: wiring.isolator === 'plain' ? 'cannot be locked' : 'lockable',
        },
        lines,
        'closes',
        'power',
        wiring.isolator === 'early-break'
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
  if (wiring.ownFuseA !== undefined)
    way.push(
      poles(
        { id: 'fuse', role: 'breaker', place: 'box', name: 'Fuse', short: 'Fuse', line2: `${wiring.ownFuseA} A` },
        lines.filter((l) => l !== 'N'),
        'fuse',
      ),
    )
  if (controls.emergencyStop === 'contactor' || plan.drive.resistor?.thermalSwitch === 'drops-input')
    way.push(
      poles(
        { id: 'contactor', role: 'contactor', place: 'box', name: 'Contactor', short: 'Contactor', line2: 'supply' },
        lines,
        'closes',
        'power',
        {
          terminals: [
            terminal('a1', 'A1', 'power', 'any', { needed: true }),
            terminal('a2', 'A2', 'power', 'any', { needed: true }),
            terminal('hold-a', '13', 'power', 'any', { needed: true }),
            terminal('hold-b', '14', 'power', 'any', { needed: true }),
          ],
          inside: [
            { kind: 'coil', between: ['a1', 'a2'] },
            { kind: 'closes', between: ['hold-a', 'hold-b'], name: 'holds' },
          ],
        },
      ),
    )
  if (wiring.filter === true)
    way.push(
      poles(
        { id: 'filter', role: 'filter', place: 'box', name: 'Filter', short: 'Filter' },
        lines,
        'through',
        'power',
        {
          terminals: [earthScrew()],
        },
      ),
    )
  if (wiring.choke === true)
    way.push(
      poles(
        { id: 'choke', role: 'choke', place: 'box', name: 'Choke', short: 'Choke' },
        lines.filter((l) => l !== 'N'),
        'winding',
      ),
    )
  // A fuse leaves the neutral alone, so each conductor is followed by itself.
  const left = new Map<Potential, End>(lines.map((line) => [line, endOf('wall', line)]))
  for (const made of way) {
    draft.add(made)
    for (const line of lines) {
      const into = endOf(made.id, `${line}-in`)
      const from = left.get(line)
      if (from === undefined || !draft.terminal(into)) continue
      joinLine(draft, plan, line, from, into)
      left.set(line, endOf(made.id, `${line}-out`))
    }
  }
  return left
}

function joinLine(draft: Draft, { supply }: Plan, line: Potential, from: End, to: End): void {
  draft.join({
    key: `${line}-${from}`,
    purpose: line === 'N' ? 'neutral' : `line ${line.slice(1)}`,
    group: 'supply',
    sheet: 'power',
    class: 'power',
    ends: [from, to],
    colour: colourFor(draft.region, line as ConductorTask),
    areaMm2: supply.cableMm2,
    lengthM: from.startsWith('wall.') ? supply.cableM : BOX_M,
    dead: 'under 1 ohm end to end; open to every other conductor and to earth',
    live: 'by the drive’s display, or a lamp that was clipped on dead',
  })
}

/** Which terminal each conductor goes to: two lines on a one-phase drive take its line and its neutral's place. */
function driveInputs(drive: DriveTerminals, lines: readonly Potential[]): (End | undefined)[] {
  const first = drive.find('line-1')
  const second = drive.find('line-2') ?? drive.find('neutral')
  const neutral = drive.find('neutral') ?? drive.find('line-2')
  return lines.map((line) =>
    line === 'L1' ? first : line === 'L2' ? second : line === 'L3' ? drive.find('line-3') : neutral,
  )
}

const phases = ['u', 'v', 'w'] as const

/** Leads of the motor box by their names, its links, and the three cores of the cable. */
function motorSide(draft: Draft, plan: Plan, drive: DriveTerminals): void {
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
  const last = behindDrive(draft, plan, outs, lead)
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
  const earth = drive.device.terminals.filter(({ does }) => does === 'earth').at(-1)
  draft.join({
    key: 'motor-earth',
    purpose: 'earth of the motor',
    group: 'earth',
    sheet: 'power',
    class: 'power',
    kind: 'earth',
    ends: [earth ? endOf('drive', earth.id) : endOf('bar', 'pe'), endOf('motor', 'pe')],
    ...lead,
    dead: 'under 0.1 ohm and the wire’s own, motor’s frame to the drive’s earth',
    live: 'nothing is measured here live',
  })
  if (wiring.motorShield !== undefined && wiring.motorShield !== 'none')
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
  blower(draft, plan)
}

/** What stands between drive and motor: a filter, a switch, or an overload for each of two motors. */
function behindDrive(
  draft: Draft,
  { installation, wiring }: Plan,
  outs: (End | undefined)[],
  lead: { areaMm2?: number | undefined; lengthM?: number | undefined },
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
          place: 'machine',
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
  if (wiring.motors === 'two-overloads')
    way.push(
      poles(
        { id: 'overload', role: 'overload', place: 'box', name: 'Overload', short: 'Overload' },
        ['U', 'V', 'W'],
        'through',
        'power',
        {
          terminals: [
            terminal('trip-a', '95', 'control', 'any', { needed: true }),
            terminal('trip-b', '96', 'control', 'any', { needed: true }),
          ],
          inside: [{ kind: 'opens', between: ['trip-a', 'trip-b'], name: 'trip' }],
        },
      ),
    )
  let last = outs
  for (const made of way) {
    draft.add(made, made.place === 'machine' ? { text: 'motor cable, shielded', shielded: true } : undefined)
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
function motorBox({ motor, wiring }: Plan): MotorBox {
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
      [
        ...terminals,
        earthScrew(),
        ...(wiring.motorShield !== undefined && wiring.motorShield !== 'none'
          ? [terminal('shield', 'shield', 'power', 'in', { cut: wiring.motorShield !== 'both', needed: true })]
          : []),
      ],
      windings,
    ),
    links: linked,
    lines: connection?.lines.map((n) => `t${n}`) ?? ['t1', 't2', 't3'],
  }
}

/** A brake resistor at its own two terminals, never at the bus. */
function resistor(draft: Draft, { drive: { resistor: made } }: Plan, drive: DriveTerminals): void {
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

/** One bar from which everything metal is bonded, each by a wire of its own. */
export function bonding(draft: Draft, plan: Plan): void {
  draft.add(
    device({ id: 'bar', role: 'bar', place: 'box', name: 'Earth bar', short: 'Earth bar' }, [
      terminal('pe', 'PE', 'power', 'any', { potential: 'PE', wires: 24, needed: true }),
      terminal('shield', 'clamp', 'power', 'any', { potential: 'PE', wires: 12 }),
    ]),
  )
  draft.add(
    device({ id: 'frame', role: 'frame', place: 'machine', name: 'Machine frame', short: 'Frame' }, [earthScrew()]),
  )
  draft.add(device({ id: 'box', role: 'box', place: 'box', name: 'Box and door', short: 'Box' }, [earthScrew()]))
  const areaMm2 = plan.supply.cableMm2
  const bonded = [...draft.devices.values()].flatMap(({ id, terminals }) =>
    id === 'bar' || id === 'motor' || id === 'wall'
      ? []
      : terminals
          .filter((t) => t.potential === 'PE')
          .slice(0, 1)
          .map((t) => endOf(id, t.id)),
  )
  for (const end of [endOf('wall', 'pe'), ...bonded])
    draft.join({
      key: `earth-${end}`,
      purpose: end.startsWith('wall.') ? 'earth from the wall' : 'bond',
      group: 'earth',
      sheet: 'power',
      class: 'power',
      kind: 'earth',
      ends: [endOf('bar', 'pe'), end],
      areaMm2,
      lengthM: end.startsWith('wall.') ? plan.supply.cableM : BOX_M,
      dead: 'under 0.1 ohm and the wire’s own',
      live: 'nothing is measured here live',
    })
}
