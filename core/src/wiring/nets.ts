import {
  deviceOf,
  endOf,
  terminalOf,
  type Device,
  type End,
  type InsideKind,
  type Potential,
  type Terminal,
  type Wiring,
} from './model'

/** What is joined to what: every end with the name of its net. */
export interface Nets {
  /** The net of an end; ends that nothing joins are each a net of their own. */
  of: (end: End) => string
  ends: (net: string) => readonly End[]
  all: () => readonly (readonly End[])[]
  /** Every net that is reached from an end through insides of these kinds. */
  reach: (from: End, through: readonly InsideKind[], not?: (device: Device) => boolean) => Set<string>
  terminal: (end: End) => Terminal | undefined
  device: (end: End) => Device | undefined
  potentials: (net: string) => readonly Potential[]
}

/** Joins ends by wires and by what is joined inside a device; contacts, fuses and coils join nothing. */
export function netsOf({ devices, wires }: Pick<Wiring, 'devices' | 'wires'>): Nets {
  const byId = new Map(devices.map((d) => [d.id, d]))
  const parent = new Map<string, string>()
  const root = (end: string): string => {
    let at = end
    for (let up = parent.get(at); up !== undefined && up !== at; up = parent.get(at)) at = up
    return at
  }
  const join = (a: string, b: string) => void parent.set(root(a), root(b))
  for (const { id, terminals, inside } of devices) {
    for (const t of terminals) parent.set(endOf(id, t.id), endOf(id, t.id))
    for (const { kind, between } of inside)
      if (kind === 'joined') between.slice(1).forEach((t, i) => join(endOf(id, between[i] ?? t), endOf(id, t)))
  }
  for (const { from, to } of wires) join(from, to)
  const members = new Map<string, End[]>()
  const terminalsByEnd = new Map<End, Terminal>()
  // Asked for by dozens of judgements: each net says once what lies on it.
  const potentialsByNet = new Map<string, Potential[]>()
  for (const { id, terminals } of devices)
    for (const t of terminals) {
      const end = endOf(id, t.id)
      const net = root(end)
      terminalsByEnd.set(end, t)
      const there = members.get(net)
      if (there) there.push(end)
      else members.set(net, [end])
      const potentials = potentialsByNet.get(net) ?? []
      potentialsByNet.set(net, potentials)
      if (t.potential !== undefined && !potentials.includes(t.potential)) potentials.push(t.potential)
    }
  return {
    of: root,
    ends: (net) => members.get(net) ?? [],
    all: () => [...members.values()],
    terminal: (end) => terminalsByEnd.get(end),
    device: (end) => byId.get(deviceOf(end)),
    potentials: (net) => potentialsByNet.get(net) ?? [],
    reach: (from, through, not = () => false) => {
      const seen = new Set<string>()
      const queue = [root(from)]
      for (let net = queue.pop(); net !== undefined; net = queue.pop()) {
        if (seen.has(net)) continue
        seen.add(net)
        for (const end of members.get(net) ?? []) {
          const device = byId.get(deviceOf(end))
          if (!device || not(device)) continue
          for (const { kind, between } of device.inside)
            if (through.includes(kind) && between.includes(terminalOf(end)))
              for (const other of between) queue.push(root(endOf(device.id, other)))
        }
      }
      return seen
    },
  }
}

/** Potentials that may be one: the drive's zero and its serial common, and earth with what is earthed on purpose. */
const sameKind = (a: Potential, b: Potential): boolean =>
  a === b || [a, b].every((p) => p === '0V' || p === 'a0V') || [a, b].every((p) => p === '24V' || p === 'sto')

/** Nets on which two potentials meet that must not. */
export const clashes = (nets: Nets): { ends: readonly End[]; potentials: readonly Potential[] }[] =>
  nets.all().flatMap((ends) => {
    const [first] = ends
    if (first === undefined) return []
    const potentials = nets.potentials(nets.of(first))
    const [one, ...others] = potentials
    return one !== undefined && others.some((p) => !sameKind(one, p)) ? [{ ends, potentials }] : []
  })

/** Terminals that must have a wire and have none. */
export function openEnds({ devices, wires }: Pick<Wiring, 'devices' | 'wires'>): End[] {
  const used = new Set(wires.flatMap(({ from, to }) => [from, to]))
  return devices.flatMap(({ id, terminals }) =>
    terminals.flatMap((t) => (t.needed === true && !used.has(endOf(id, t.id)) ? [endOf(id, t.id)] : [])),
  )
}
