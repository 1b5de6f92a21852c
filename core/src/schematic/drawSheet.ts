import { conductorPaint } from '../wiring/conductors'
import { fitText, textWidth } from '../drawing/textWidth'
import type { Drawing, Shape } from '../drawing/shapes'
import { deviceOf, devicePlaces, endOf, type Cable, type End, type Wiring } from '../wiring/model'
import type { Card, Landing, Layout, Path } from './layout'
import {
  CONTROL_WIRE,
  CORNER,
  HOP,
  NAME_SIZE,
  NOTE_SIZE,
  NUMBER_SIZE,
  POWER_WIRE,
  SCREW,
  TAG_H,
  TERMINAL_SIZE,
} from './measures'
import { symbolFor } from './symbols'
import { tagged } from './tagged'
import { SYMBOL, tagWidth } from './tags'

const DARK_EDGE = 0.36
const HALO = 1.2
const SCREW_R = 1.5
const n = (value: number): string => String(Math.round(value * 100) / 100)

/** A laid-out sheet as shapes, from back to front: places, wires, cards, numbers. */
export function drawSheet({ cards, paths, bands, bar, width, height }: Layout, wiring: Wiring): Drawing {
  const shapes: Shape[] = []
  for (const { place, x, w } of bands) {
    shapes.push({ kind: 'rect', x, y: 0, w, h: height, fill: place === 'box' ? 'band' : 'none' })
    shapes.push({
      kind: 'text',
      x: x + 3,
      y: 6,
      text: devicePlaces[place],
      size: TERMINAL_SIZE,
      weight: 600,
      paint: 'ink-2',
    })
  }
  if (bar)
    shapes.push(
      { kind: 'rect', x: bar.x, y: bar.y, w: bar.w, h: 4, r: 1, fill: 'brass', stroke: 'ink', width: 0.4 },
      { kind: 'text', x: bar.x + 2, y: bar.y + 9, text: 'Earth bar', size: NOTE_SIZE, weight: 600, paint: 'ink-2' },
    )
  const crossings = hopsOf(paths)
  for (const path of paths) shapes.push(wireShape(path, crossings.get(path) ?? []))
  for (const cable of wiring.cables) shapes.push(...ringOf(cable, paths))
  const used = new Set(paths.flatMap(({ from, to }) => [`${from.end} ${from.side}`, `${to.end} ${to.side}`]))
  for (const card of cards) shapes.push(cardShape(card, used, wiring))
  for (const path of paths) for (const landing of tagged(path)) shapes.push(tagShape(path, landing))
  return { width, height, shapes }
}

function tagShape({ wire }: Path, { tagX, y }: Landing): Shape {
  const text = String(wire.number)
  const w = tagWidth(wire.number)
  return {
    kind: 'group',
    of: 'wire',
    id: wire.key,
    shapes: [
      { kind: 'rect', x: tagX - w / 2, y: y - TAG_H / 2, w, h: TAG_H, r: 0.8, fill: 'card', stroke: 'ink', width: 0.3 },
      { kind: 'text', x: tagX, y: y + NUMBER_SIZE * 0.36, text, size: NUMBER_SIZE, weight: 600, anchor: 'middle' },
    ],
  }
}

interface Crossing {
  x: number
  y: number
}

/** Where a wire's horizontals cross another's verticals: there it hops. */
function hopsOf(paths: readonly Path[]): Map<Path, Crossing[]> {
  const verticals = paths.flatMap((path) =>
    path.points.slice(1).flatMap(([x, y], i) => {
      const before = path.points[i]
      return before && before[0] === x && before[1] !== y
        ? [{ path, x, from: Math.min(y, before[1]), to: Math.max(y, before[1]) }]
        : []
    }),
  )
  return new Map(
    paths.map((path) => [
      path,
      path.points.slice(1).flatMap(([x, y], i) => {
        const before = path.points[i]
        if (!before || before[1] !== y) return []
        const [a, b] = [Math.min(x, before[0]), Math.max(x, before[0])]
        return verticals
          .filter((v) => v.path !== path && v.x > a + HOP && v.x < b - HOP && y > v.from && y < v.to)
          .map((v) => ({ x: v.x, y }))
      }),
    ]),
  )
}

/** Rounded corners, hops on horizontals, and a slant into the screw where the wire is the lower of two. */
function pathText({ points, from, to }: Path, crossings: readonly Crossing[]): string {
  const line = [...points]
  const slant = (landing: Landing): [number, number] | undefined =>
    landing.side !== 'b' && landing.screwY !== landing.y ? [landing.x, landing.screwY] : undefined
  const [start, end] = [slant(from), slant(to)]
  const inset = (landing: Landing): number => landing.x + (landing.side === 'r' ? 2.4 : -2.4)
  const [first] = line
  if (!first) return ''
  if (start) line[0] = [inset(from), first[1]]
  const lastPoint = line.at(-1)
  if (end && lastPoint) line[line.length - 1] = [inset(to), lastPoint[1]]
  if (start) line.unshift(start)
  if (end) line.push(end)
  let d = ''
  line.forEach(([x, y], i) => {
    const before = line[i - 1]
    const after = line[i + 1]
    if (!before) {
      d += `M${n(x)} ${n(y)}`
      return
    }
    const straightIn = before[1] === y || before[0] === x
    if (before[1] === y) d += hops(before, [x, y], crossings)
    const turns =
      after !== undefined &&
      straightIn &&
      (before[0] === x ? after[0] !== x : after[1] !== y) &&
      (after[0] === x || after[1] === y)
    if (!turns) {
      d += `L${n(x)} ${n(y)}`
      return
    }
    const r = Math.min(CORNER, dist(before, [x, y]) / 2, dist([x, y], after) / 2)
    const p = towards([x, y], before, r)
    const q = towards([x, y], after, r)
    d += `L${n(p[0])} ${n(p[1])}Q${n(x)} ${n(y)} ${n(q[0])} ${n(q[1])}`
  })
  return d
}

const dist = (a: readonly [number, number], b: readonly [number, number]): number =>
  Math.hypot(a[0] - b[0], a[1] - b[1])
const towards = (from: readonly [number, number], to: readonly [number, number], by: number): [number, number] => {
  const d = dist(from, to)
  return d === 0 ? [from[0], from[1]] : [from[0] + ((to[0] - from[0]) * by) / d, from[1] + ((to[1] - from[1]) * by) / d]
}

/** Near hops merge to one plateau. */
function hops(from: readonly [number, number], to: readonly [number, number], crossings: readonly Crossing[]): string {
  const right = to[0] > from[0] ? 1 : -1
  const on = crossings
    .filter((c) => c.y === from[1] && c.x > Math.min(from[0], to[0]) && c.x < Math.max(from[0], to[0]))
    .map((c) => c.x)
    .sort((a, b) => right * (a - b))
  const groups: [number, number][] = []
  for (const x of on) {
    const last = groups.at(-1)
    if (last && Math.abs(x - last[1]) < 2.4 * HOP) last[1] = x
    else groups.push([x, x])
  }
  const y = from[1]
  return groups
    .map(([a, b]) => {
      const [p, q] = [a - right * HOP, b + right * HOP]
      return `L${n(p)} ${n(y)}C${n(p)} ${n(y - 1.4 * HOP)} ${n(a)} ${n(y - 1.4 * HOP)} ${n(a)} ${n(y - 1.4 * HOP)}L${n(b)} ${n(y - 1.4 * HOP)}C${n(b)} ${n(y - 1.4 * HOP)} ${n(q)} ${n(y - 1.4 * HOP)} ${n(q)} ${n(y)}`
    })
    .join('')
}

function wireShape(path: Path, crossings: readonly Crossing[]): Shape {
  const { wire } = path
  const width = wire.class === 'power' && wire.kind !== 'shield' ? POWER_WIRE : CONTROL_WIRE
  const d = pathText(path, crossings)
  const paint = conductorPaint(wire.colour)
  const light = wire.colour === 'WH' || wire.colour === 'SH'
  return {
    kind: 'group',
    of: 'wire',
    id: wire.key,
    shapes: [
      { kind: 'path', d, stroke: 'halo', width: width + HALO },
      { kind: 'path', d, stroke: 'ink', width: width + (light ? 0.62 : DARK_EDGE) },
      { kind: 'path', d, stroke: paint, width },
      ...(wire.colour === 'GNYE'
        ? [{ kind: 'path' as const, d, stroke: '#f0d23a' as const, width: width * 0.55, dash: '2.2 2.2' }]
        : []),
      ...(wire.kind === 'shield'
        ? [{ kind: 'path' as const, d, stroke: '#e8e4da' as const, width: width * 0.7, dash: '0.8 1.2' }]
        : []),
    ],
  }
}

/** A ring round the cores of a cable, at the outer device. */
function ringOf(cable: Cable, paths: readonly Path[]): Shape[] {
  const ends = paths
    .filter(({ wire }) => wire.cable === cable.id)
    .flatMap(({ from, to }) => [from, to].filter(({ end, side }) => deviceOf(end) === cable.device && side !== 'b'))
  const sides = (['l', 'r'] as const).map((side) => ends.filter((e) => e.side === side)).filter((e) => e.length > 1)
  return sides.map((own): Shape => {
    const ys = own.map(({ y }) => y)
    const [first] = own
    const x = (first?.x ?? 0) + (first?.side === 'r' ? 2.6 : -2.6)
    const [top, bottom] = [Math.min(...ys) - 2.6, Math.max(...ys) + 2.6]
    return {
      kind: 'rect',
      x: x - 1.1,
      y: top,
      w: 2.2,
      h: bottom - top,
      r: 1.1,
      stroke: 'ink-2',
      width: 0.45,
      fill: 'none',
      ...(cable.shielded ? { dash: '1.6 1' } : {}),
    }
  })
}

function cardShape(card: Card, used: ReadonlySet<string>, wiring: Wiring): Shape {
  const { device, x, y, w, h, rows, folded } = card
  const room = w - 5
  const shapes: Shape[] = [
    { kind: 'rect', x, y, w, h, r: 1.6, fill: 'card', stroke: 'ink', width: device.role === 'drive' ? 0.8 : 0.45 },
    {
      kind: 'text',
      x: x + 2.5,
      y: y + 5.6,
      text: fitText(device.name, NAME_SIZE, room, 600),
      size: NAME_SIZE,
      weight: 600,
    },
  ]
  if (device.line2 !== undefined)
    shapes.push({
      kind: 'text',
      x: x + 2.5,
      y: y + 10,
      text: fitText(device.line2, NOTE_SIZE, room),
      size: NOTE_SIZE,
      paint: 'ink-2',
    })
  const screw = (end: End, side: 'l' | 'r', at: number, cut = false): void => {
    const cx = side === 'l' ? x + SCREW : x + w - SCREW
    if (used.has(`${end} ${side}`)) {
      // The wire goes on under the card's edge to its screw.
      shapes.push({
        kind: 'path',
        d: `M${n(side === 'l' ? x : x + w)} ${n(y + at)}L${n(cx)} ${n(y + at)}`,
        stroke: 'ink',
        width: 0.7,
      })
      // A shield that is cut ends here, under no screw.
      if (cut) {
        shapes.push({
          kind: 'path',
          d: `M${n(cx)} ${n(y + at - 2)}L${n(cx)} ${n(y + at + 2)}`,
          stroke: 'ink',
          width: 1,
        })
        return
      }
      shapes.push({ kind: 'circle', x: cx, y: y + at, r: SCREW_R, fill: 'brass', stroke: 'ink', width: 0.3 })
      shapes.push({
        kind: 'path',
        d: `M${n(cx - 0.9)} ${n(y + at + 0.9)}L${n(cx + 0.9)} ${n(y + at - 0.9)}`,
        stroke: 'ink',
        width: 0.3,
      })
    }
  }
  const symbols = symbolFor(card, wiring.region, (id) => !used.has(`${endOf(device.id, id)} l`))
  for (const { left, right, at } of rows) {
    const labelled = (t: NonNullable<typeof left>, side: 'l' | 'r'): void => {
      const end = endOf(device.id, t.id)
      screw(end, side, at, t.cut)
      const tx = side === 'l' ? x + SCREW + 3 : x + w - SCREW - 3
      const print = t.prints === EARTH_SIGN ? 4 : textWidth(t.prints, TERMINAL_SIZE, 600)
      const towards = side === 'l' ? 1 : -1
      const paint = t.assumed === true ? 'ink-2' : 'ink'
      // No font that ships has the sign.
      if (t.prints === EARTH_SIGN) shapes.push(earthSign(tx + towards * 2, y + at))
      else
        shapes.push({
          kind: 'text',
          x: tx,
          y: y + at + 1.5,
          text: t.prints,
          size: TERMINAL_SIZE,
          weight: 600,
          anchor: side === 'l' ? 'start' : 'end',
          paint,
        })
      if (t.note !== undefined) {
        const shared = left !== right && left !== undefined && right !== undefined
        const noteRoom = (shared ? w / 2 : w) - 2 * SCREW - 3 - print - 1.6 - (symbols.length > 0 ? SYMBOL : 0)
        shapes.push({
          kind: 'text',
          x: tx + towards * (print + 1.6),
          y: y + at + 1.3,
          text: fitText(t.note, NOTE_SIZE, noteRoom),
          size: NOTE_SIZE,
          anchor: side === 'l' ? 'start' : 'end',
          paint: 'ink-2',
        })
      }
    }
    if (left && left === right) {
      const side = sideUsed(endOf(device.id, left.id), used)
      labelled(left, side)
      if (used.has(`${endOf(device.id, left.id)} ${side === 'l' ? 'r' : 'l'}`))
        screw(endOf(device.id, left.id), side === 'l' ? 'r' : 'l', at)
    } else {
      if (left) labelled(left, 'l')
      if (right) labelled(right, 'r')
    }
  }
  shapes.push(...symbols)
  if (folded > 0 && device.role === 'drive')
    shapes.push({
      kind: 'text',
      x: x + 2.5,
      y: y + h - 2,
      text: foldedWords(card, wiring),
      size: NOTE_SIZE,
      paint: 'ink-2',
    })
  return { kind: 'group', of: 'device', id: device.id, shapes }
}

const EARTH_SIGN = '\u23da'

/** The sign of protective earth (IEC 60417-5019), with its circle. */
const earthSign = (x: number, y: number): Shape => ({
  kind: 'path',
  d: `M${n(x)} ${n(y - 1.9)}L${n(x)} ${n(y)}M${n(x - 1.5)} ${n(y)}L${n(x + 1.5)} ${n(y)}M${n(x - 1)} ${n(y + 0.7)}L${n(x + 1)} ${n(y + 0.7)}M${n(x - 0.4)} ${n(y + 1.4)}L${n(x + 0.4)} ${n(y + 1.4)}`,
  stroke: 'ink',
  width: 0.4,
  fill: 'none',
})

/** What of a strip is not drawn: free, or wired on another sheet. */
function foldedWords({ device, rows }: Card, { wires }: Wiring): string {
  const shown = new Set(rows.flatMap(({ left, right }) => [left?.id, right?.id]))
  const hidden = device.terminals.filter(({ id }) => !shown.has(id))
  const wired = hidden.filter(({ id }) =>
    wires.some((w) => w.from === endOf(device.id, id) || w.to === endOf(device.id, id)),
  )
  return [
    ...(wired.length > 0 ? [`${wired.length} on other sheets`] : []),
    ...(hidden.length > wired.length ? [`${hidden.length - wired.length} free`] : []),
  ].join(', ')
}

/** The side by which a terminal is wired; left where it is by both. */
const sideUsed = (end: End, used: ReadonlySet<string>): 'l' | 'r' => (used.has(`${end} l`) ? 'l' : 'r')
