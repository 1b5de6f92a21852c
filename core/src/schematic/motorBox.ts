import type { Drawing, Shape } from '../drawing/shapes'
import { conductorPaint } from '../wiring/conductors'
import { deviceOf, terminalOf, type Wire, type Wiring } from '../wiring/model'

const STUD = 26
const LEFT = 24
const TOP = 30
const ROW_H = 34

/** Rows of studs as they lie in the box: of six leads the second ends stand over the first, turned by one. */
const rowsOf: Readonly<Record<number, readonly (readonly number[])[]>> = {
  3: [[1, 2, 3]],
  6: [
    [6, 4, 5],
    [1, 2, 3],
  ],
  9: [
    [4, 5, 6],
    [7, 8, 9],
    [1, 2, 3],
  ],
  12: [
    [10, 11, 12],
    [4, 5, 6],
    [7, 8, 9],
    [1, 2, 3],
  ],
}

/** The motor's box: its studs, the links as bars, the cores rising from the gland, and the earth. */
export function drawMotorBox(wiring: Wiring): Drawing {
  const motor = wiring.devices.find((d) => d.role === 'motor')
  const studs = motor?.terminals.filter((t) => /^t\d+$/.test(t.id)) ?? []
  const rows = rowsOf[studs.length] ?? [studs.map((_, i) => i + 1)]
  const width = LEFT * 2 + STUD * 3
  const height = TOP + rows.length * ROW_H + 44
  const at = new Map<string, [number, number]>()
  rows.forEach((row, r) => row.forEach((n, c) => at.set(`t${n}`, [LEFT + c * STUD, TOP + r * ROW_H])))
  at.set('pe', [LEFT + 3 * STUD, TOP + (rows.length - 1) * ROW_H])
  const shapes: Shape[] = [
    { kind: 'rect', x: 4, y: 8, w: width - 8, h: height - 26, r: 4, fill: 'card', stroke: 'ink', width: 0.8 },
    { kind: 'text', x: 10, y: 17, text: `${motor?.name ?? 'Motor box'}: ${motor?.line2 ?? ''}`, size: 5, weight: 600 },
  ]
  const wires = wiring.wires.filter((w) => [w.from, w.to].some((end) => deviceOf(end) === 'motor'))
  for (const w of wires.filter(({ sheet }) => sheet === 'box')) shapes.push(...linkShape(w, at))
  const cores = wires.filter((w) => w.sheet !== 'box' && w.kind !== 'shield')
  const gland: [number, number] = [width / 2, height - 18]
  // Side by side as their studs stand, so that none crosses.
  const studX = (w: Wire): number => at.get(terminalOf(deviceOf(w.from) === 'motor' ? w.from : w.to))?.[0] ?? 0
  cores.sort((a, b) => studX(a) - studX(b))
  cores.forEach((w, i) => shapes.push(...coreShape(w, at, gland, i, cores.length)))
  for (const t of [...studs, ...(motor?.terminals.filter(({ id }) => id === 'pe') ?? [])]) {
    const p = at.get(t.id)
    if (!p) continue
    shapes.push(
      { kind: 'circle', x: p[0], y: p[1], r: 4.4, fill: 'brass', stroke: 'ink', width: 0.5 },
      { kind: 'circle', x: p[0], y: p[1], r: 1.8, fill: 'card', stroke: 'ink', width: 0.4 },
      { kind: 'text', x: p[0], y: p[1] - 6.4, text: t.prints, size: 4.6, weight: 600, anchor: 'middle' },
    )
  }
  shapes.push(
    { kind: 'rect', x: gland[0] - 7, y: gland[1], w: 14, h: 8, r: 1.5, fill: 'band', stroke: 'ink', width: 0.5 },
    {
      kind: 'text',
      x: gland[0] + 10,
      y: gland[1] + 5.5,
      text: 'gland, shield clamped all round',
      size: 3.6,
      paint: 'ink-2',
    },
  )
  return { width, height, shapes }
}

/** A link as a bar between its two studs. */
function linkShape(wire: Wire, at: ReadonlyMap<string, [number, number]>): Shape[] {
  const [a, b] = [at.get(terminalOf(wire.from)), at.get(terminalOf(wire.to))]
  if (!a || !b) return []
  const d = `M${a[0]} ${a[1]}L${b[0]} ${b[1]}`
  return [
    {
      kind: 'group',
      of: 'wire',
      id: wire.key,
      shapes: [
        { kind: 'path', d, stroke: 'ink', width: 6.6 },
        { kind: 'path', d, stroke: 'brass', width: 5.6 },
      ],
    },
  ]
}

/** A core from the gland to its stud; outer ones turn lowest, so that none crosses. */
function coreShape(
  wire: Wire,
  at: ReadonlyMap<string, [number, number]>,
  gland: readonly [number, number],
  index: number,
  count: number,
): Shape[] {
  const end = deviceOf(wire.from) === 'motor' ? wire.from : wire.to
  const p = at.get(terminalOf(end))
  if (!p) return []
  const x = gland[0] + (index - (count - 1) / 2) * 3.4
  const turn = gland[1] - 6 - (count / 2 - Math.abs(index - (count - 1) / 2)) * 3.6
  const d = `M${x} ${gland[1] + 4}L${x} ${turn}L${p[0]} ${turn}L${p[0]} ${p[1]}`
  return [
    {
      kind: 'group',
      of: 'wire',
      id: wire.key,
      shapes: [
        { kind: 'path', d, stroke: 'ink', width: 1.9 },
        { kind: 'path', d, stroke: conductorPaint(wire.colour), width: 1.3 },
        ...(wire.colour === 'GNYE'
          ? [{ kind: 'path' as const, d, stroke: '#f0d23a' as const, width: 0.7, dash: '2.2 2.2' }]
          : []),
        { kind: 'rect', x: p[0] + 3, y: p[1] + 8, w: 7, h: 4.4, r: 0.8, fill: 'card', stroke: 'ink', width: 0.3 },
        {
          kind: 'text',
          x: p[0] + 6.5,
          y: p[1] + 11.6,
          text: String(wire.number),
          size: 3.8,
          weight: 600,
          anchor: 'middle',
        },
      ],
    },
  ]
}
