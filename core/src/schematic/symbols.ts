import type { Shape } from '../drawing/shapes'
import type { Region } from '../wiring/conductors'
import type { Card } from './layout'
import { SCREW } from './measures'

const n = (value: number): string => String(Math.round(value * 100) / 100)
const ink = { stroke: 'ink', width: 0.45, fill: 'none' } as const
const path = (d: string): Shape => ({ kind: 'path', d, ...ink })

/** What lies between the screws of a card: contacts, knob, coil, fuse, lamp, resistance; by the region's symbols. */
export function symbolFor(card: Card, region: Region, leavesRight: (terminal: string) => boolean): Shape[] {
  const { device, x, y, w, rows } = card
  const at = (id: string): { y: number; side: 'l' | 'r'; both: boolean } | undefined => {
    const row = rows.find((r) => r.left?.id === id || r.right?.id === id)
    if (!row) return undefined
    return { y: y + row.at, side: row.left?.id === id ? 'l' : 'r', both: row.left === row.right }
  }
  return device.inside.flatMap(({ kind, between, name }): Shape[] => {
    const ends = between.flatMap((id) => at(id) ?? [])
    if (ends.length < 2 || kind === 'joined') return []
    const [a, b] = ends
    if (!a || !b) return []
    // In and out on one row: the symbol lies between both screws.
    if (a.y === b.y) return across(kind, x + w / 2, a.y, x + 12, x + w - 12)
    // At the side that the names of its own screws leave free, whatever others of the card do.
    const free = between.some((id) => (at(id)?.both === true ? leavesRight(id) : at(id)?.side === 'r')) ? 'l' : 'r'
    const column = free === 'r' ? x + w - SCREW - 4 : x + SCREW + 4
    const out = free === 'r' ? -1 : 1
    return [
      ...upright(
        kind,
        column,
        ends.map((e) => e.y),
        region,
        out,
      ),
      ...nameOf(name, column + out * 3, (a.y + b.y) / 2, out),
    ]
  })
}

const nameOf = (name: string | undefined, x: number, y: number, out: 1 | -1): Shape[] =>
  name === undefined
    ? []
    : [{ kind: 'text', x, y: y + 1.2, text: name, size: 3, anchor: out === 1 ? 'start' : 'end', paint: 'ink-2' }]

/** Between an incoming and an outgoing screw of one row. */
function across(kind: string, x: number, y: number, from: number, to: number): Shape[] {
  const line = path(`M${n(from)} ${n(y)}L${n(x - 3)} ${n(y)}M${n(x + 3)} ${n(y)}L${n(to)} ${n(y)}`)
  switch (kind) {
    case 'closes':
      return [line, path(`M${n(x - 3)} ${n(y)}L${n(x + 2.4)} ${n(y - 2.6)}`)]
    case 'fuse':
      return [
        path(`M${n(from)} ${n(y)}L${n(to)} ${n(y)}`),
        { kind: 'rect', x: x - 3, y: y - 1.2, w: 6, h: 2.4, ...ink },
      ]
    case 'winding':
      return [line, path(`M${n(x - 3)} ${n(y)}q1 -2.4 2 0q1 -2.4 2 0q1 -2.4 2 0`)]
    default:
      return [path(`M${n(from)} ${n(y)}L${n(to)} ${n(y)}`)]
  }
}

/** Between screws of different rows, at the free side of the card. */
function upright(kind: string, x: number, ys: readonly number[], region: Region, out: 1 | -1): Shape[] {
  const sorted = [...ys].sort((p, q) => p - q)
  const [top = 0, second = 0] = sorted
  const bottom = sorted.at(-1) ?? second
  const middle = (top + bottom) / 2
  const leads = path(
    `M${n(x + out * 7)} ${n(top)}L${n(x)} ${n(top)}L${n(x)} ${n(middle - 2)}M${n(x + out * 7)} ${n(bottom)}L${n(x)} ${n(bottom)}L${n(x)} ${n(middle + 2)}`,
  )
  switch (kind) {
    case 'closes':
      return region === 'nec'
        ? [
            leads,
            path(
              `M${n(x - 2)} ${n(middle - 1.2)}L${n(x + 2)} ${n(middle - 1.2)}M${n(x - 2)} ${n(middle + 1.2)}L${n(x + 2)} ${n(middle + 1.2)}M${n(x)} ${n(middle - 2)}L${n(x)} ${n(middle - 1.2)}M${n(x)} ${n(middle + 1.2)}L${n(x)} ${n(middle + 2)}`,
            ),
          ]
        : [leads, path(`M${n(x)} ${n(middle + 2)}L${n(x - 2.2)} ${n(middle - 2)}`)]
    case 'opens':
      return region === 'nec'
        ? [
            leads,
            path(
              `M${n(x - 2)} ${n(middle - 1.2)}L${n(x + 2)} ${n(middle - 1.2)}M${n(x - 2)} ${n(middle + 1.2)}L${n(x + 2)} ${n(middle + 1.2)}M${n(x - 2.2)} ${n(middle + 2.2)}L${n(x + 2.2)} ${n(middle - 2.2)}`,
            ),
          ]
        : [
            leads,
            path(
              `M${n(x)} ${n(middle + 2)}L${n(x + 1.8)} ${n(middle - 2.2)}M${n(x)} ${n(middle - 2)}L${n(x + 2.2)} ${n(middle - 2)}`,
            ),
          ]
    case 'coil':
      return [leads, { kind: 'rect', x: x - 2.5, y: middle - 2, w: 5, h: 4, ...ink }]
    case 'lamp':
      return [
        leads,
        { kind: 'circle', x, y: middle, r: 2, ...ink },
        path(
          `M${n(x - 1.4)} ${n(middle - 1.4)}L${n(x + 1.4)} ${n(middle + 1.4)}M${n(x - 1.4)} ${n(middle + 1.4)}L${n(x + 1.4)} ${n(middle - 1.4)}`,
        ),
      ]
    case 'knob':
      return [
        path(
          `M${n(x + out * 7)} ${n(top)}L${n(x)} ${n(top)}L${n(x)} ${n(middle - 4)}M${n(x + out * 7)} ${n(bottom)}L${n(x)} ${n(bottom)}L${n(x)} ${n(middle + 4)}`,
        ),
        { kind: 'rect', x: x - 1.4, y: middle - 4, w: 2.8, h: 8, ...ink },
        path(
          `M${n(x + out * 7)} ${n(second)}L${n(x + out * 1.6)} ${n(second)}M${n(x + out * 3)} ${n(second - 1)}L${n(x + out * 1.6)} ${n(second)}L${n(x + out * 3)} ${n(second + 1)}`,
        ),
      ]
    case 'resistance':
    case 'winding':
      return [leads, { kind: 'rect', x: x - 1.4, y: middle - 2, w: 2.8, h: 4, ...ink }]
    default:
      return [leads]
  }
}
