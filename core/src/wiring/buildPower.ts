import { heartOf, type Plan } from '../plan'
import { isFedDirect } from './motorEnds'
import { dcMotorSide } from './buildDcMotor'
import { directSupply, driverMotorSide } from './buildDriverSide'
import { colourFor, type ConductorTask } from './conductors'
import { motorSide, resistor } from './buildMotor'
import { BOX_M, device, earthScrew, poles, supplyCard, terminal } from './deviceKinds'
import type { Draft } from './draft'
import type { DriveTerminals } from './driveTerminals'
import { endOf, type Device, type End, type Potential } from './model'

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

/** Supply to drive, drive to motor, the brake resistor. */
export function buildPower(draft: Draft, plan: Plan, drive: DriveTerminals): void {
  const lines = feedLines(plan, drive)
  const left = feed(draft, plan, lines)
  if (isFedDirect(plan) && drive.find('direct-plus') !== undefined) directSupply(draft, plan, drive, left, lines)
  else {
    const inputs = driveInputs(drive, lines)
    lines.forEach((line, i) => {
      const [from, to] = [left.get(line), inputs[i]]
      if (from !== undefined && to !== undefined) joinLine(draft, plan, line, from, to)
    })
  }
  const heart = heartOf(plan)
  if (heart === 'dc') dcMotorSide(draft, plan, drive)
  else if (heart === 'driver') driverMotorSide(draft, plan, drive)
  else motorSide(draft, plan, drive)
  resistor(draft, plan, drive)
}

/** Of one phase, as it comes from the wall. */
const wallLines = ({ region }: Draft): Potential[] => (region === 'nec' ? ['L1', 'L2'] : ['L1', 'N'])

/** Whether one point of a transformer's output is bonded to earth; it is drawn where somebody said so. */
const isBonded = ({ supply }: Plan): boolean =>
  supply.supplyUnit === 'transformer' &&
  supply.earthing !== undefined &&
  supply.earthing !== 'unbonded' &&
  supply.earthing !== 'floating'

/** A phase converter: one phase in, three out; what it gives begins anew behind it. */
function converter(draft: Draft, plan: Plan, lines: readonly Potential[]): string {
  const made = plan.supply.supplyUnit === 'rotary-converter' ? 'Rotary converter' : 'Static converter'
  const ins = wallLines(draft)
  const given = [plan.supply.voltageV === undefined ? '' : `${plan.supply.voltageV} V`, 'three phases']
  draft.add(
    device(
      {
        id: 'converter',
        role: 'transformer',
        place: 'wall',
        name: made,
        short: 'Converter',
        line2: given.filter((words) => words !== '').join(', '),
      },
      [
        ...ins.map((line) => terminal(`${line}-in`, line, 'power', 'in', { needed: true })),
        ...lines.map((line, i) =>
          terminal(`${line}-out`, `T${i + 1}`, 'power', 'out', { potential: line, needed: true }),
        ),
        earthScrew(),
      ],
      [{ kind: 'winding', between: [...ins.map((line) => `${line}-in`), ...lines.map((line) => `${line}-out`)] }],
    ),
  )
  for (const line of ins)
    draft.join({
      key: `converter-${line}`,
      purpose: line === 'N' ? 'neutral of the converter' : `line ${line.slice(1)} of the converter`,
      group: 'supply',
      sheet: 'power',
      class: 'power',
      ends: [endOf('wall', line), endOf('converter', `${line}-in`)],
      colour: colourFor(draft.region, line as ConductorTask),
      areaMm2: plan.supply.cableMm2,
      lengthM: plan.supply.cableM,
      dead: 'under 1 ohm end to end; open to every other conductor and to earth',
      live: 'by the converter: it hums and holds its speed',
    })
  return 'converter'
}

/** Devices between wall and drive, in the order in which power passes; tells where each conductor last came out. */
function feed(draft: Draft, plan: Plan, lines: readonly Potential[]): Map<Potential, End> {
  const { supply, wiring, controls } = plan
  const breaker = supply.breakerA === undefined ? 'breaker not known' : `breaker ${supply.breakerA} A`
  const volts = supply.voltageV === undefined ? '' : `${supply.voltageV} V, `
  const converts = supply.supplyUnit === 'rotary-converter' || supply.supplyUnit === 'static-converter'
  draft.add(
    converts
      ? supplyCard(wallLines(draft), supply.wallVoltageV === undefined ? 'one phase' : `${supply.wallVoltageV} V`)
      : supplyCard(lines, `${volts}${breaker}`),
  )
  const source = converts ? converter(draft, plan, lines) : 'wall'
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
        {
          terminals: [
            earthScrew(),
            ...(isBonded(plan)
              ? [terminal('point', 'X0', 'power', 'any', { needed: true, note: 'of the output' })]
              : []),
          ],
          ...(isBonded(plan)
            ? { inside: [{ kind: 'winding' as const, between: ['point', ...lines.map((line) => `${line}-out`)] }] }
            : {}),
        },
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
  const left = new Map<Potential, End>(
    lines.map((line) => [line, endOf(source, source === 'wall' ? line : `${line}-out`)]),
  )
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
    id === 'bar' || id === 'motor' || id === 'motor-2' || id === 'wall'
      ? []
      : terminals
          .filter((t) => t.potential === 'PE')
          .slice(0, 1)
          .map((t) => endOf(id, t.id)),
  )
  if (draft.terminal(endOf('transformer', 'point')))
    draft.join({
      key: 'transformer-bond',
      purpose: 'bonds one point of the transformer’s output',
      group: 'earth',
      sheet: 'power',
      class: 'power',
      kind: 'earth',
      ends: [endOf('bar', 'pe'), endOf('transformer', 'point')],
      areaMm2,
      lengthM: BOX_M,
      dead: 'under 0.1 ohm and the wire’s own; nowhere else bonded',
      live: 'nothing is measured here live',
    })
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
