import { textWidth } from '../drawing/textWidth'
import {
  deviceOf,
  endOf,
  terminalOf,
  type Device,
  type DevicePlace,
  type End,
  type Terminal,
  type Wire,
} from '../wiring/model'
import {
  CARD_GAP,
  EDGE,
  GRID,
  HEAD,
  LANE,
  LOW_HEAD,
  NAME_SIZE,
  NOTE_SIZE,
  RING,
  ROW,
  SCREW,
  TERMINAL_SIZE,
  TRACK,
} from './measures'
import { placed } from './heights'
import { SYMBOL, tagWidth } from './tags'
import { tracked, type Segment, type Stub } from './tracks'

/** One row of a card: a terminal, or an incoming and an outgoing one side by side. */
export interface Row {
  left?: Terminal
  right?: Terminal
  /** From the top of the card to the screws. */
  at: number
}

export interface Card {
  device: Device
  column: number
  x: number
  y: number
  w: number
  h: number
  head: number
  rows: Row[]
  /** Terminals without a wire here, told in one line. */
  folded: number
}

/** Where a wire passes a column between two cards. */
interface Lane {
  wire: string
  column: number
  y: number
}

type Item = Card | Lane
const isCard = (item: Item): item is Card => 'device' in item

/** One wire as it is drawn. */
export interface Path {
  wire: Wire
  /** Corners from end to end; a second wire at a screw begins lower and slants in. */
  points: [number, number][]
  from: Landing
  to: Landing
}

/** Where a wire ends: the screw, the side it leaves by, and where its number stands. */
export interface Landing {
  end: End
  side: 'l' | 'r' | 'b'
  x: number
  y: number
  /** Of the screw, which is higher where the wire slants in. */
  screwY: number
  tagX: number
}

export interface Band {
  place: DevicePlace
  x: number
  w: number
}

/** A sheet laid out. */
export interface Layout {
  cards: Card[]
  paths: Path[]
  bands: Band[]
  bar: { x: number; y: number; w: number } | undefined
  width: number
  height: number
  crossings: number
  /** Wires that share a run with another: none, or the sheet was not to be laid out. */
  together: number
}

const BAR = 'bar'
const TOP = 12
const MARGIN = 4

/**
 * Lays cards in their columns and wires in the gutters between them. Devices that no wire of the sheet reaches are left out.
 *
 * @param tries half rows tried where wires would share a run; one is enough to compare ways of laying out
 * @param held the order in which cards of a column stood before, by device: they stay in it, and only others stand freely
 */
export function layoutOf(
  columns: readonly (readonly Device[])[],
  wires: readonly Wire[],
  tries = 4,
  held: Held = NOTHING_HELD,
): Layout {
  const used = new Map<End, Wire[]>()
  for (const wire of wires) for (const end of [wire.from, wire.to]) used.set(end, [...(used.get(end) ?? []), wire])
  const cards = new Map<string, Card>()
  columns.forEach((devices, column) => {
    for (const device of devices)
      if (device.id !== BAR && device.terminals.some((t) => used.has(endOf(device.id, t.id))))
        cards.set(device.id, cardOf(device, column, used))
  })
  // Half a row lower settles the few runs that two wires would share.
  let best: Laid | undefined
  for (let half = 0; half < tries; half += 1) {
    const made = layOut([...cards.values()], columns.length, wires, half, held)
    if (!best || costOf(made.layout) < costOf(best.layout)) best = made
    if (best.layout.together === 0) break
  }
  if (best && tries > 1)
    best = exchanged(downLeft(best, [...cards.values()], columns.length, wires, held), columns.length, held)
  return (
    best?.layout ?? { cards: [], paths: [], bands: [], bar: undefined, width: 0, height: 0, crossings: 0, together: 0 }
  )
}

/** Places of cards by their devices, from the top. */
export type Held = ReadonlyMap<string, number>
export const NOTHING_HELD: Held = new Map()

/** Layouts tried beyond the first, where wires cross. */
const TRIALS = 40
const TALL_MM = 150

/** What a layout costs: runs that are shared, crossings, bends, length of verticals, height over 150 mm. */
function costOf({ together, crossings, paths, height }: Layout): number {
  let bends = 0
  let verticals = 0
  for (const { points } of paths) {
    bends += Math.max(0, points.length - 2)
    for (let i = 1; i < points.length; i += 1) verticals += Math.abs((points[i]?.[1] ?? 0) - (points[i - 1]?.[1] ?? 0))
  }
  return 1000 * together + 10 * crossings + 2 * bends + 0.02 * verticals + 0.3 * Math.max(0, height - TALL_MM)
}

/** The same with earths that go down on the left of their card, where that crosses less. */
function downLeft(laid: Laid, cards: readonly Card[], columnCount: number, wires: readonly Wire[], held: Held): Laid {
  let best = laid
  let flips = new Set<string>()
  const drops = laid.ways.filter(({ from, to }) => from.side === 'b' || to.side === 'b')
  for (const { wire } of drops) {
    if (best.layout.crossings === 0) break
    const tried = new Set([...flips, wire.key])
    const made = layOut(cards, columnCount, wires, 0, held, tried)
    if (costOf(made.layout) < costOf(best.layout)) {
      best = made
      flips = tried
    }
  }
  return best
}

/** The same with neighbours of a column changed over, cards or lanes, as long as that costs less. */
function exchanged(laid: Laid, columnCount: number, held: Held): Laid {
  const { columns, cards, ways, byId } = laid
  let best: Laid = { ...laid, layout: kept(laid.layout) }
  let trials = 0
  for (let better = true; better && best.layout.crossings > 0 && trials < TRIALS;) {
    better = false
    for (const items of columns) {
      items.sort((a, b) => a.y - b.y)
      for (let i = 0; i + 1 < items.length && trials < TRIALS; i += 1) {
        const [upper, lower] = [items[i], items[i + 1]]
        if (!upper || !lower || (isHeld(upper, held) && isHeld(lower, held))) continue
        const [before, beforeLower] = [upper.y, lower.y]
        // In the room that both had: nothing else moves.
        lower.y = before
        upper.y = beforeLower + sizeOf(lower) - sizeOf(upper)
        trials += 1
        const layout = drawn(columns, cards, ways, byId, columnCount)
        if (isApart(items) && costOf(layout) < costOf(best.layout)) {
          best = { ...laid, layout: kept(layout) }
          items[i] = lower
          items[i + 1] = upper
          better = true
        } else {
          upper.y = before
          lower.y = beforeLower
        }
      }
    }
  }
  return best
}

const isHeld = (item: Item, held: Held): boolean => isCard(item) && held.has(item.device.id)

const sizeOf = (item: Item): number => (isCard(item) ? item.h : LANE)

/** Whether nothing of a column lies on its neighbour. */
const isApart = (items: readonly Item[]): boolean => {
  const sorted = [...items].sort((a, b) => a.y - b.y)
  return sorted.every((item, i) => {
    const next = sorted[i + 1]
    const gap = next && isCard(item) && isCard(next) ? CARD_GAP : LANE
    return next === undefined || item.y + sizeOf(item) + gap <= next.y
  })
}

/** A layout whose cards later trials leave alone. */
const kept = (layout: Layout): Layout => ({ ...layout, cards: layout.cards.map((card) => ({ ...card })) })

function cardOf(device: Device, column: number, used: ReadonlyMap<End, readonly Wire[]>): Card {
  const isUsed = (t: Terminal): boolean => used.has(endOf(device.id, t.id))
  const shown = device.terminals.filter(isUsed)
  const head = device.line2 === undefined ? LOW_HEAD : HEAD
  const rows: Row[] = []
  const ins = shown.filter((t) => t.side === 'in')
  const outs = shown.filter((t) => t.side === 'out')
  // Two wires on one side need room for the lower one.
  const tall = (t: Terminal): boolean => (used.get(endOf(device.id, t.id))?.length ?? 0) > 1
  let at = head + ROW / 2
  const pairs = Math.max(ins.length, outs.length)
  for (let i = 0; i < pairs; i += 1) {
    const [left, right] = [ins[i], outs[i]]
    rows.push({ ...(left ? { left } : {}), ...(right ? { right } : {}), at })
    at += ROW + ([left, right].some((t) => t && tall(t)) ? LANE : 0)
  }
  for (const t of shown.filter(({ side }) => side === 'any')) {
    rows.push({ left: t, right: t, at })
    at += ROW + (tall(t) ? LANE : 0)
  }
  const folded = device.terminals.length - shown.length
  const h = at - ROW / 2 + (folded > 0 && device.role === 'drive' ? GRID : 0)
  return { device, column, x: 0, y: 0, w: widthOf(device, rows), h, head, rows, folded }
}

function widthOf(device: Device, rows: readonly Row[]): number {
  const text = (t: Terminal | undefined): number =>
    t === undefined
      ? 0
      : SCREW +
        3 +
        textWidth(t.prints, TERMINAL_SIZE, 600) +
        (t.note === undefined ? 0 : 2 + textWidth(t.note, NOTE_SIZE))
  const inner = device.inside.some(({ kind }) => kind !== 'joined') ? SYMBOL : 0
  const rowWidth = Math.max(
    0,
    ...rows.map(({ left, right }) =>
      left === right ? text(left) + SCREW + 3 + inner : text(left) + text(right) + inner,
    ),
  )
  const heads = Math.max(textWidth(device.name, NAME_SIZE, 600), textWidth(device.line2 ?? '', NOTE_SIZE)) + 6
  const least = device.role === 'drive' ? 44 : 22
  return Math.ceil(Math.max(rowWidth, heads, least) / GRID) * GRID
}

/** From end to end: the gutters it uses, and a lane in every column that it passes. */
interface Way {
  wire: Wire
  from: { end: End; side: 'l' | 'r' | 'b' }
  to: { end: End; side: 'l' | 'r' | 'b' }
  first: number
  last: number
  lanes: Lane[]
}

const CHAIN_WEIGHT = 100

/** Wires to the bar that leave their card by its left side: straight down, past whatever is on the right. */
type Flips = ReadonlySet<string>
const NO_FLIPS: Flips = new Set()

function layOut(
  given: readonly Card[],
  columnCount: number,
  wires: readonly Wire[],
  half: number,
  held: Held,
  flips: Flips = NO_FLIPS,
): Laid {
  const cards = given.map((card) => ({ ...card, rows: card.rows.map((r) => ({ ...r })) }))
  const byId = new Map(cards.map((card) => [card.device.id, card]))
  const ways = wires.flatMap((wire) => wayOf(wire, byId, columnCount, flips))
  const columns: Item[][] = Array.from({ length: columnCount }, () => [])
  for (const card of cards) columns[card.column]?.push(card)
  for (const way of ways) for (const lane of way.lanes) columns[lane.column]?.push(lane)
  setHeights(columns, ways, byId, half, held)
  return { columns, cards, ways, byId, layout: drawn(columns, cards, ways, byId, columnCount) }
}

/** A sheet laid out, with what it was laid out from. */
interface Laid {
  columns: Item[][]
  cards: Card[]
  ways: Way[]
  byId: ReadonlyMap<string, Card>
  layout: Layout
}

/** Which side a wire leaves each card by, and so which gutters and columns it passes. */
function wayOf(wire: Wire, byId: ReadonlyMap<string, Card>, columnCount: number, flips: Flips): Way[] {
  const side = (end: End, towards: number): { side: 'l' | 'r' | 'b'; gutter: number } | undefined => {
    if (deviceOf(end) === BAR) return { side: 'b', gutter: 0 }
    const card = byId.get(deviceOf(end))
    const row = card?.rows.find((r) => r.left?.id === terminalOf(end) || r.right?.id === terminalOf(end))
    if (!card || !row) return undefined
    const both = row.left === row.right
    const left = both
      ? flips.has(wire.key) || towards < card.column || (towards === card.column && card.column === columnCount - 1)
      : row.left?.id === terminalOf(end)
    return left ? { side: 'l', gutter: card.column - 1 } : { side: 'r', gutter: card.column }
  }
  const columnOf = (end: End): number | undefined => byId.get(deviceOf(end))?.column
  const [a, b] = [columnOf(wire.from), columnOf(wire.to)]
  const from = side(wire.from, b ?? (a ?? 0) + 0.5)
  const to = side(wire.to, a ?? (b ?? 0) + 0.5)
  if (!from || !to) return []
  if (from.side === 'b') from.gutter = to.gutter
  if (to.side === 'b') to.gutter = from.gutter
  const [first, last] = [from.gutter, to.gutter]
  const lanes: Lane[] = []
  const step = first <= last ? 1 : -1
  for (let gutter = first; gutter !== last; gutter += step)
    lanes.push({ wire: wire.key, column: step === 1 ? gutter + 1 : gutter, y: 0 })
  return [{ wire, from: { end: wire.from, side: from.side }, to: { end: wire.to, side: to.side }, first, last, lanes }]
}

/** The row of an end within its card. */
function rowAt(card: Card, end: End): number {
  const id = terminalOf(end)
  return card.rows.find((r) => r.left?.id === id || r.right?.id === id)?.at ?? 0
}

/** Heights by what each card and lane is joined to, from the fullest column outward and back. */
function setHeights(
  columns: Item[][],
  ways: readonly Way[],
  byId: ReadonlyMap<string, Card>,
  half: number,
  held: Held,
): void {
  /** What hangs together: an item with its own offset, and the other's place. */
  const partners = new Map<Item, { own: number; other: Item; at: number; weight: number }[]>()
  const add = (item: Item, own: number, other: Item, at: number, weight: number) =>
    partners.set(item, [...(partners.get(item) ?? []), { own, other, at, weight }])
  for (const way of ways) {
    const nodes: { item: Item; at: number }[] = []
    const push = (end: End) => {
      const card = byId.get(deviceOf(end))
      if (card) nodes.push({ item: card, at: rowAt(card, end) })
    }
    push(way.from.end)
    for (const lane of way.lanes) nodes.push({ item: lane, at: 0 })
    push(way.to.end)
    const weight = way.wire.class === 'power' && way.wire.kind === 'wire' ? CHAIN_WEIGHT : 1
    nodes.slice(1).forEach((node, i) => {
      const before = nodes[i]
      if (!before || before.item === node.item) return
      add(before.item, before.at, node.item, node.at, weight)
      add(node.item, node.at, before.item, before.at, weight)
    })
  }
  const known = new Set<Item>()
  const settle = (items: Item[]) => {
    const wished = items.map((item, order) => {
      const near = (partners.get(item) ?? []).filter(({ other }) => known.has(other))
      const wish =
        near.length === 0
          ? undefined
          : near.reduce((sum, { own, other, at, weight }) => sum + weight * (other.y + at - own), 0) /
            near.reduce((sum, { weight }) => sum + weight, 0)
      return { item, order, wish, weight: near.reduce((sum, { weight }) => sum + weight, 0) + 0.01 }
    })
    placed(
      wished.map(({ item, wish, order, weight }) => ({
        wish: wish ?? (isCard(item) ? TOP + order * 30 : TOP),
        weight,
        size: isCard(item) ? item.h : LANE,
        // Cards of one column stand apart; a lane may pass close by.
        gap: isCard(item) ? CARD_GAP : LANE,
        ...(isCard(item) && held.has(item.device.id) ? { rank: held.get(item.device.id) ?? 0 } : {}),
        put: (y) => {
          item.y = Math.round(y / GRID) * GRID
        },
      })),
      TOP,
    )
    for (const item of items) known.add(item)
  }
  const fullest = columns.reduce((best, items, i) => (heightOf(items) > heightOf(columns[best] ?? []) ? i : best), 0)
  const outward = columns.map((_, i) => i).sort((a, b) => Math.abs(a - fullest) - Math.abs(b - fullest))
  for (let sweep = 0; sweep < 3; sweep += 1) for (const i of outward) settle(columns[i] ?? [])
  // A half row down, in every other column, where two wires would lie on each other.
  if (half > 0)
    columns.forEach((items, i) => {
      if ((i >> (half - 1)) % 2 === 1) for (const item of items) item.y += GRID
    })
}

const heightOf = (items: readonly Item[]): number =>
  items.reduce((sum, item) => sum + (isCard(item) ? item.h + CARD_GAP : LANE), 0)

function drawn(
  columns: Item[][],
  cards: Card[],
  ways: readonly Way[],
  byId: ReadonlyMap<string, Card>,
  columnCount: number,
): Layout {
  // The order in which wires leave a screw by one side: the second lies lower, its number further out.
  const counts = new Map<string, number>()
  const nth = (end: End, side: string): number => {
    const key = `${end} ${side}`
    const n = counts.get(key) ?? 0
    counts.set(key, n + 1)
    return n
  }
  const landings = new Map<Way, { from: Landing; to: Landing; fromPlace: number; toPlace: number }>()
  for (const way of ways) {
    const land = ({ end, side }: Way['from']): [Landing, number] => {
      const card = byId.get(deviceOf(end))
      if (!card || side === 'b') return [{ end, side: 'b', x: 0, y: 0, screwY: 0, tagX: 0 }, 0]
      const place = nth(end, side)
      const screwY = card.y + rowAt(card, end)
      return [{ end, side, x: 0, y: screwY + place * LANE, screwY, tagX: 0 }, place]
    }
    const [from, fromPlace] = land(way.from)
    const [to, toPlace] = land(way.to)
    landings.set(way, { from, to, fromPlace, toPlace })
  }
  const bottom = Math.max(0, ...columns.flat().map((item) => item.y + (isCard(item) ? item.h : LANE)))
  const hasBar = ways.some(({ from, to }) => from.side === 'b' || to.side === 'b')
  const barY = bottom + 10
  // Each way is cut into what it does in each gutter.
  const gutters: Segment[][] = Array.from({ length: columnCount + 1 }, () => [])
  const pieces = new Map<Way, Segment[]>()
  for (const way of ways) {
    const landed = landings.get(way)
    if (!landed) continue
    const stub = (landing: Landing): Stub =>
      landing.side === 'b' ? { side: 'down', y: barY } : { side: landing.side === 'r' ? 'left' : 'right', y: landing.y }
    const nodes: Stub[][] = []
    let at = stub(landed.from)
    const step = way.first <= way.last ? 1 : -1
    for (const lane of way.lanes) {
      nodes.push([at, { side: step === 1 ? 'right' : 'left', y: lane.y }])
      at = { side: step === 1 ? 'left' : 'right', y: lane.y }
    }
    nodes.push([at, stub(landed.to)])
    const own = nodes.flatMap(([a, b], i) => {
      if (!a || !b) return []
      const segment: Segment = { a, b, track: 0, x: 0, net: way.wire.key }
      gutters[way.first + i * step + 1]?.push(segment)
      return [segment]
    })
    pieces.set(way, own)
  }
  const result = gutters.map((segments) => tracked(segments))
  const crossings = result.reduce((sum, r) => sum + r.crossings, 0)
  const together = result.reduce((sum, r) => sum + r.together, 0)

  // Widths: the numbers' room on each side, then the tracks.
  const tags = gutters.map(() => ({ left: 0, right: 0 }))
  for (const way of ways) {
    const landed = landings.get(way)
    if (!landed) continue
    const room = tagWidth(way.wire.number) + 1
    for (const [landing, gutter, place] of [
      [landed.from, way.first, landed.fromPlace],
      [landed.to, way.last, landed.toPlace],
    ] as const) {
      const of = tags[gutter + 1]
      if (!of || landing.side === 'b') continue
      const key = landing.side === 'r' ? 'left' : 'right'
      of[key] = Math.max(of[key], room * (place + 1))
    }
  }
  const widths = columns.map((items) => Math.max(0, ...items.map((item) => (isCard(item) ? item.w : 0))))
  let x = MARGIN
  const columnX: number[] = []
  const gutterX = gutters.map((segments, g) => {
    if (g > 0) {
      columnX[g - 1] = x
      x += widths[g - 1] ?? 0
    }
    const empty = segments.length === 0
    const { left, right } = tags[g] ?? { left: 0, right: 0 }
    const start = x + EDGE + (left > 0 ? RING + left : 0) + 0.4
    const tracks = 1 + Math.max(-1, ...segments.map((s) => s.track))
    x = empty
      ? x + (g === 0 || g === columnCount ? 0 : 12)
      : start + Math.max(1, tracks) * TRACK + (right > 0 ? RING + right : 0) + 0.4 + EDGE
    return start
  })
  for (const card of cards) {
    // Full width, so that every wire meets its card at the gutter's edge.
    card.w = widths[card.column] ?? card.w
    card.x = columnX[card.column] ?? 0
  }
  gutters.forEach((segments, g) => {
    for (const s of segments) s.x = (gutterX[g] ?? 0) + TRACK / 2 + s.track * TRACK
  })
  const paths = ways.flatMap((way): Path[] => {
    const landed = landings.get(way)
    const own = pieces.get(way)
    if (!landed || !own) return []
    const finish = (landing: Landing, place: number): void => {
      const card = byId.get(deviceOf(landing.end))
      if (!card || landing.side === 'b') return
      const out = landing.side === 'r' ? 1 : -1
      landing.x = landing.side === 'r' ? card.x + card.w : card.x
      landing.tagX = landing.x + out * (EDGE + RING + (tagWidth(way.wire.number) + 1) * (place + 0.5))
    }
    finish(landed.from, landed.fromPlace)
    finish(landed.to, landed.toPlace)
    return [{ wire: way.wire, points: cornersOf(own, landed.from, landed.to, barY), from: landed.from, to: landed.to }]
  })
  for (const { from, to, points } of paths)
    for (const [landing, point] of [
      [from, points[0]],
      [to, points.at(-1)],
    ] as const)
      if (landing.side === 'b' && point) Object.assign(landing, { x: point[0], y: barY, screwY: barY, tagX: point[0] })
  const bands = bandsOf(columns, columnX, gutterX, x)
  return {
    cards,
    paths,
    bands,
    bar: hasBar ? { x: MARGIN, y: barY, w: x - MARGIN } : undefined,
    width: x + MARGIN,
    height: (hasBar ? barY + 12 : bottom) + MARGIN,
    crossings,
    together,
  }
}

/** From the first end to the last: along each stub to its track, along the track, and on. */
function cornersOf(pieces: readonly Segment[], from: Landing, to: Landing, barY: number): [number, number][] {
  const points: [number, number][] = from.side === 'b' ? [] : [[from.x, from.y]]
  for (const { a, b, x } of pieces) {
    if (a.side === 'down') points.push([x, barY], [x, b.y])
    else if (b.side === 'down') points.push([x, a.y], [x, barY])
    else if (a.y !== b.y || a.side === b.side) points.push([x, a.y], [x, b.y])
  }
  if (to.side !== 'b') points.push([to.x, to.y])
  return points
}

/** The strip of each place from its first column to its last. */
function bandsOf(
  columns: readonly Item[][],
  columnX: readonly number[],
  gutterX: readonly number[],
  end: number,
): Band[] {
  const bands: Band[] = []
  columns.forEach((items, i) => {
    const place = items.find(isCard)?.device.place
    if (place === undefined) return
    const before = bands.at(-1)
    const x = i === 0 ? 0 : ((columnX[i] ?? 0) + (gutterX[i] ?? 0)) / 2
    if (before?.place === place) return
    if (before) before.w = x - before.x
    bands.push({ place, x, w: end - x + MARGIN })
  })
  return bands
}
