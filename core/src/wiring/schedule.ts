import { colourWords } from './conductors'
import { deviceOf, terminalOf, wireKinds, type End, type Wire, type Wiring } from './model'

/** One line of the wire list. */
export interface ScheduleRow {
  key: string
  number: number
  kind: string
  from: string
  fromTerminal: string
  to: string
  toTerminal: string
  colour: string
  /** Letters of IEC 60757. */
  letters: string
  areaMm2: number | undefined
  lengthM: number | undefined
  ends: string
  purpose: string
  cable: string
  dead: string
  live: string
  byHand: string
}

/** A device and a terminal in words. */
export function endNames({ devices }: Pick<Wiring, 'devices'>, end: End): { device: string; terminal: string } {
  const device = devices.find(({ id }) => id === deviceOf(end))
  return {
    device: device?.name ?? deviceOf(end),
    terminal: printed(device?.terminals.find(({ id }) => id === terminalOf(end))?.prints ?? ''),
  }
}

/** Signs that no font of a list has, in words. */
export const printed = (prints: string): string => prints.replace('\u23da', 'earth sign')

/** The wire list in the order of the numbers; the drawing shows the same wires. */
export const scheduleOf = (wiring: Wiring): ScheduleRow[] =>
  [...wiring.wires].sort((a, b) => a.number - b.number).map((wire) => rowOf(wiring, wire))

function rowOf(wiring: Wiring, wire: Wire): ScheduleRow {
  const [from, to] = [endNames(wiring, wire.from), endNames(wiring, wire.to)]
  return {
    key: wire.key,
    number: wire.number,
    kind: wireKinds[wire.kind],
    from: from.device,
    fromTerminal: from.terminal,
    to: to.device,
    toTerminal: to.terminal,
    colour: colourWords(wire.colour),
    letters: wire.colour,
    areaMm2: wire.areaMm2,
    lengthM: wire.lengthM,
    ends: wire.ends,
    purpose: wire.purpose,
    cable: wiring.cables.find(({ id }) => id === wire.cable)?.text ?? '',
    dead: wire.dead,
    live: wire.live,
    byHand: wire.byHand ?? '',
  }
}

/** Wire of one kind that is to be cut: how much, and in how many pieces. */
export interface CutLine {
  colour: string
  areaMm2: number | undefined
  pieces: number
  /** Of the pieces whose length is known, a tenth over. */
  totalM: number
  /** Pieces of which nobody knows how long they are. */
  unknown: number
}

/** A tenth over: what is cut too short, and what falls under the bench. */
export const SPARE = 1.1

/** Loose wire by colour and size; what runs in a cable is bought as cable. */
export function cutList({ wires }: Wiring): CutLine[] {
  const lines = new Map<string, CutLine>()
  for (const wire of wires) {
    if (wire.cable !== undefined || wire.kind === 'shield' || wire.colour === 'LK') continue
    const key = `${wire.colour} ${wire.areaMm2 ?? ''}`
    const line = lines.get(key) ?? {
      colour: colourWords(wire.colour),
      areaMm2: wire.areaMm2,
      pieces: 0,
      totalM: 0,
      unknown: 0,
    }
    line.pieces += 1
    if (wire.lengthM === undefined) line.unknown += 1
    else line.totalM += wire.lengthM * SPARE
    lines.set(key, line)
  }
  return [...lines.values()]
}
