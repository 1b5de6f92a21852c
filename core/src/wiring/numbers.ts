import { wireGroups, type Device, type Wire, type WireGroup } from './model'

const groupOrder = Object.keys(wireGroups) as WireGroup[]

/** Numbers begin here: one and two are printed on half of all terminals, and would be taken for them. */
const FIRST = 11

/**
 * The wires in the order of building, each with its number: the one it was given before, else the next that is neither
 * given nor printed on any terminal of the job.
 */
export function numbered(
  wires: readonly Omit<Wire, 'number'>[],
  devices: readonly Device[],
  given: Readonly<Record<string, number>>,
): Wire[] {
  const printed = new Set(devices.flatMap(({ terminals }) => terminals.map(({ prints }) => prints)))
  const taken = new Set(Object.values(given))
  let next = FIRST
  const free = (): number => {
    while (taken.has(next) || printed.has(String(next))) next += 1
    taken.add(next)
    return next
  }
  return [...wires]
    .sort((a, b) => groupOrder.indexOf(a.group) - groupOrder.indexOf(b.group))
    .map((wire) => ({ ...wire, number: given[wire.key] ?? free() }))
}
