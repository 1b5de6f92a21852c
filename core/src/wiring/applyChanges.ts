import type { WireChange } from '../plan'
import { deviceOf, terminalOf, type End, type Wire, type Wiring } from './model'

const isEnd = (text: string | undefined): text is End => text !== undefined && /^[^.]+\..+$/.test(text)

/** The wiring with what is otherwise on this machine; a change that no longer fits is refused and says why. */
export function applyChanges(wiring: Wiring, changes: readonly WireChange[]): Wiring {
  return changes.reduce(applyChange, wiring)
}

function applyChange(wiring: Wiring, change: WireChange): Wiring {
  const refuse = (why: string): Wiring => ({
    ...wiring,
    refused: [...wiring.refused, { id: change.id, wire: change.wire, why }],
  })
  const there = (end: End): boolean =>
    wiring.devices.some(({ id, terminals }) => id === deviceOf(end) && terminals.some((t) => t.id === terminalOf(end)))
  const with_ = (wires: Wire[]): Wiring => ({ ...wiring, wires })
  if (change.kind === 'added') {
    const { from, to } = change
    if (!isEnd(from) || !isEnd(to) || !there(from) || !there(to))
      return refuse('one of its terminals is not there any more')
    return with_([...wiring.wires, addedWire(wiring, change, from, to)])
  }
  const wire = wiring.wires.find(({ key }) => key === change.wire)
  if (!wire) return refuse('the plan makes no such wire any more')
  const changed = (of: Wire, more: Partial<Wire>): Wire[] =>
    wiring.wires.map((w) => (w.key === of.key ? { ...w, ...more } : w))
  switch (change.kind) {
    case 'left':
      return with_(wiring.wires.filter(({ key }) => key !== wire.key))
    case 'looks':
      return with_(
        changed(wire, {
          colour: change.colour ?? wire.colour,
          areaMm2: change.areaMm2 ?? wire.areaMm2,
          byHand: change.why ?? 'another colour or size',
        }),
      )
    case 'moved': {
      const to = change.to
      if (!isEnd(to) || !there(to)) return refuse('the terminal it goes to is not there any more')
      const end = change.end ?? 'to'
      if (to === (end === 'to' ? wire.from : wire.to)) return refuse('both its ends would be at one terminal')
      return with_(changed(wire, { [end]: to, byHand: change.why ?? 'goes to another terminal' }))
    }
    case 'swapped': {
      const other = wiring.wires.find(({ key }) => key === change.other)
      if (!other) return refuse('the wire it changed places with is not there any more')
      const end = change.end ?? 'to'
      const byHand = change.why ?? 'changed places'
      return with_(
        wiring.wires.map((w) =>
          w.key === wire.key
            ? { ...w, [end]: other[end], byHand }
            : w.key === other.key
              ? { ...w, [end]: wire[end], byHand }
              : w,
        ),
      )
    }
    default:
      return refuse('what is different is not said')
  }
}

/** A wire that the plan does not make: it goes on the sheet of what it joins. */
function addedWire(wiring: Wiring, change: WireChange, from: End, to: End): Wire {
  const classOf = (end: End) =>
    wiring.devices.find(({ id }) => id === deviceOf(end))?.terminals.find((t) => t.id === terminalOf(end))?.class
  const power = classOf(from) === 'power' || classOf(to) === 'power'
  const number = Math.max(10, ...wiring.wires.map((w) => w.number)) + 1
  return {
    key: change.wire,
    number,
    from,
    to,
    kind: deviceOf(from) === deviceOf(to) ? 'link' : 'wire',
    class: power ? 'power' : 'control',
    sheet: power ? 'power' : 'control',
    purpose: change.why ?? 'added by hand',
    colour: change.colour ?? 'BK',
    areaMm2: change.areaMm2,
    cable: undefined,
    lengthM: undefined,
    ends: 'ferrule',
    dead: 'under 1 ohm end to end',
    live: 'not known: it is not of the plan',
    group: power ? 'supply' : 'run',
    byHand: change.why ?? 'added by hand',
  }
}
