import type { Primitive, WorkDrawing } from '../drawing/primitives'
import type { Plan } from '../plan'
import { feetOf } from './feet'

const MARGIN = 22
const EDGE = 15
const TEXT = 5

/**
 * The plate or riser between an old machine and a new motor: the machine's holes, and slots for the motor's feet as long as the belt
 * wants. Undefined while the feet of either are not known.
 */
export function mountPlate(plan: Plan): WorkDrawing | undefined {
  const { old, next } = feetOf(plan)
  const raise = (old.heightMm ?? 0) - (next.heightMm ?? 0)
  const isRiser = plan.mount.seat === 'riser' && old.heightMm !== undefined && next.heightMm !== undefined && raise > 0
  const thick = isRiser ? raise : plan.mount.plateMm
  if (
    old.acrossMm === undefined ||
    old.alongMm === undefined ||
    next.acrossMm === undefined ||
    next.alongMm === undefined
  )
    return undefined
  const bolt = plan.mount.boltMm ?? 10
  const travel = plan.mount.travelMm ?? 0
  const hole = bolt + 1
  const wide = Math.max(old.acrossMm, next.acrossMm + travel) + 2 * (EDGE + hole / 2)
  const long = Math.max(old.alongMm, next.alongMm) + 2 * (EDGE + hole / 2)
  const [x0, y0] = [MARGIN, MARGIN]
  const [cx, cy] = [x0 + wide / 2, y0 + long / 2]
  const p: Primitive[] = []
  const line = (x1: number, y1: number, x2: number, y2: number, layer: 'cut' | 'size' = 'cut') =>
    p.push({ kind: 'line', layer, x1, y1, x2, y2 })
  const text = (x: number, y: number, words: string, layer: 'words' | 'size' = 'size') =>
    p.push({ kind: 'text', layer, x, y, text: words, size: TEXT, anchor: 'middle' })
  line(x0, y0, x0 + wide, y0)
  line(x0 + wide, y0, x0 + wide, y0 + long)
  line(x0 + wide, y0 + long, x0, y0 + long)
  line(x0, y0 + long, x0, y0)
  for (const sx of [-1, 1])
    for (const sy of [-1, 1]) {
      p.push({
        kind: 'circle',
        layer: 'cut',
        x: cx + (sx * old.acrossMm) / 2,
        y: cy + (sy * old.alongMm) / 2,
        r: hole / 2,
      })
      slot(p, cx + (sx * next.acrossMm) / 2, cy + (sy * next.alongMm) / 2, travel, hole)
    }
  const mm = (n: number) => String(Math.round(n * 10) / 10)
  text(
    cx,
    y0 - 12,
    `${isRiser ? 'Riser' : 'Plate'} ${mm(wide)} x ${mm(long)}${thick === undefined ? '' : `, ${mm(thick)} thick`}`,
  )
  text(
    cx,
    y0 + long + 8,
    `Machine: holes ${mm(old.acrossMm)} x ${mm(old.alongMm)}; motor: slots ${mm(next.acrossMm)} x ${mm(next.alongMm)}, travel ${mm(travel)}, bolts ${mm(bolt)}`,
  )
  text(cx, cy - 2, 'This side up', 'words')
  text(cx, cy + 5, 'Belt at this edge', 'words')
  line(cx - 8, cy + 8, cx - 8, y0 + long - 3, 'size')
  line(cx - 8, y0 + long - 3, cx - 10, y0 + long - 7, 'size')
  line(cx - 8, y0 + long - 3, cx - 6, y0 + long - 7, 'size')
  text(cx, y0 + long + 15, 'Sizes in mm. It plans and explains; measure the motor before drilling.')
  return { width: Math.max(wide + 2 * MARGIN, 190), height: long + 2 * MARGIN, primitives: p }
}

/** A slot across the shaft, its ends round; a hole where the belt wants no travel. */
function slot(p: Primitive[], x: number, y: number, travel: number, hole: number): void {
  const r = hole / 2
  if (travel <= 0) {
    p.push({ kind: 'circle', layer: 'cut', x, y, r })
    return
  }
  const h = travel / 2
  p.push(
    { kind: 'line', layer: 'cut', x1: x - h, y1: y - r, x2: x + h, y2: y - r },
    { kind: 'line', layer: 'cut', x1: x - h, y1: y + r, x2: x + h, y2: y + r },
    { kind: 'arc', layer: 'cut', x: x + h, y, r, fromDeg: 0, toDeg: 180 },
    { kind: 'arc', layer: 'cut', x: x - h, y, r, fromDeg: 180, toDeg: 360 },
  )
}
