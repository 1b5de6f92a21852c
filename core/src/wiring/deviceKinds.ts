import type { Device, DevicePlace, DeviceRole, Inside, InsideKind, Potential, Terminal, TerminalClass } from './model'

/** Terminals of a device that is bought, in printed order. */
export const terminal = (
  id: string,
  prints: string,
  of: TerminalClass,
  side: Terminal['side'] = 'any',
  more: Partial<Terminal> = {},
): Terminal => ({ id, prints, class: of, side, wires: 2, ...more })

/** Of a power wire from one device of the box to the next, m. */
export const BOX_M = 0.5

const needed = { needed: true } as const

interface Made {
  id: string
  role: DeviceRole
  place: DevicePlace
  name: string
  short: string
  line2?: string | undefined
}

export const device = (made: Made, terminals: Terminal[], inside: Inside[] = []): Device => ({
  ...made,
  terminals,
  inside,
})

const earthScrew = (id = 'pe'): Terminal =>
  terminal(id, 'PE', 'power', 'any', { potential: 'PE', needed: true, wires: 4 })

/** What every live conductor passes through: in on one side, out on the other, a way each. */
export function poles(
  made: Made,
  lines: readonly string[],
  kind: InsideKind,
  of: TerminalClass = 'power',
  more: { terminals?: Terminal[]; inside?: Inside[] } = {},
): Device {
  const terminals = lines.flatMap((line, i) => [
    terminal(`${line}-in`, String(2 * i + 1), of, 'in', needed),
    terminal(`${line}-out`, String(2 * i + 2), of, 'out', needed),
  ])
  const inside = lines.map((line): Inside => ({ kind, between: [`${line}-in`, `${line}-out`] }))
  return device(made, [...terminals, ...(more.terminals ?? [])], [...inside, ...(more.inside ?? [])])
}

/** Source of the power: a terminal each conductor, and the earth. */
export const supplyCard = (lines: readonly Potential[], line2: string): Device =>
  device({ id: 'wall', role: 'supply', place: 'wall', name: 'Wall', short: 'Wall', line2 }, [
    ...lines.map((p) => terminal(p, p, 'power', 'out', { potential: p, needed: true })),
    earthScrew(),
  ])

export const contact = (
  made: Made,
  kind: 'opens' | 'closes',
  prints: readonly [string, string],
  name?: string,
): Device =>
  device(
    made,
    [terminal('a', prints[0], 'control', 'any', needed), terminal('b', prints[1], 'control', 'any', needed)],
    [{ kind, between: ['a', 'b'], ...(name === undefined ? {} : { name }) }],
  )

/** Two contacts on one device, such as both channels of a stop mushroom. */
export const twoContacts = (made: Made, kind: 'opens' | 'closes', names: readonly [string, string]): Device =>
  device(
    made,
    [
      terminal('a', kind === 'opens' ? '11' : '13', 'control', 'any', needed),
      terminal('b', kind === 'opens' ? '12' : '14', 'control', 'any', needed),
      terminal('c', kind === 'opens' ? '21' : '23', 'control', 'any', needed),
      terminal('d', kind === 'opens' ? '22' : '24', 'control', 'any', needed),
    ],
    [
      { kind, between: ['a', 'b'], name: names[0] },
      { kind, between: ['c', 'd'], name: names[1] },
    ],
  )

export const twoEnds = (
  made: Made,
  kind: InsideKind,
  of: TerminalClass,
  prints: readonly [string, string],
  earth = false,
): Device =>
  device(
    made,
    [
      // Power comes from the left; a signal from whichever side the drive stands.
      terminal('a', prints[0], of, of === 'power' ? 'in' : 'any', needed),
      terminal('b', prints[1], of, of === 'power' ? 'in' : 'any', needed),
      ...(earth ? [earthScrew()] : []),
    ],
    [{ kind, between: ['a', 'b'] }],
  )

export { earthScrew }
