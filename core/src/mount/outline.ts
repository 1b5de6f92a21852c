import type { Primitive } from '../drawing/primitives'

/** Height of the words on a workshop drawing, mm. */
export const TEXT = 5
/** Between the edge of a part and the next thing on the sheet, mm. */
export const MARGIN = 22
/** Metal left between a hole and the edge, mm. */
export const EDGE = 15

/** A millimetre value as it is written on a drawing: at most one decimal. */
export const mm = (n: number): string => String(Math.round(n * 10) / 10)

export const line = (x1: number, y1: number, x2: number, y2: number, layer: 'cut' | 'size' = 'cut'): Primitive => ({
  kind: 'line',
  layer,
  x1,
  y1,
  x2,
  y2,
})

export const words = (
  x: number,
  y: number,
  text: string,
  layer: 'words' | 'size' = 'size',
  size = TEXT,
): Primitive => ({
  kind: 'text',
  layer,
  x,
  y,
  text,
  size,
  anchor: 'middle',
})

export const rectangle = (x: number, y: number, wide: number, high: number): Primitive[] => [
  line(x, y, x + wide, y),
  line(x + wide, y, x + wide, y + high),
  line(x + wide, y + high, x, y + high),
  line(x, y + high, x, y),
]

/** Four holes round a point, or four slots as long as the belt wants, across the shaft. */
export function fourHoles(
  cx: number,
  cy: number,
  { acrossMm, alongMm }: { acrossMm: number; alongMm: number },
  hole: number,
  travel = 0,
): Primitive[] {
  return [-1, 1].flatMap((sx) =>
    [-1, 1].flatMap((sy) => slot(cx + (sx * acrossMm) / 2, cy + (sy * alongMm) / 2, travel, hole)),
  )
}

/** A slot across the shaft, its ends round; a hole where there is no travel. */
function slot(x: number, y: number, travel: number, hole: number): Primitive[] {
  const r = hole / 2
  if (travel <= 0) return [{ kind: 'circle', layer: 'cut', x, y, r }]
  const h = travel / 2
  return [
    line(x - h, y - r, x + h, y - r),
    line(x - h, y + r, x + h, y + r),
    { kind: 'arc', layer: 'cut', x: x + h, y, r, fromDeg: 0, toDeg: 180 },
    { kind: 'arc', layer: 'cut', x: x - h, y, r, fromDeg: 180, toDeg: 360 },
  ]
}

/** Which edge the belt runs at: a word and an arrow to the lower edge of a part. */
export const beltEdge = (cx: number, cy: number, edgeY: number, size = TEXT): Primitive[] => [
  words(cx, cy - size * 0.4, 'This side up', 'words', size),
  words(cx, cy + size, 'Belt at this edge', 'words', size),
  line(cx - 8, cy + size * 1.6, cx - 8, edgeY - 3, 'size'),
  line(cx - 8, edgeY - 3, cx - 10, edgeY - 7, 'size'),
  line(cx - 8, edgeY - 3, cx - 6, edgeY - 7, 'size'),
]

export const BEFORE_DRILLING = 'Sizes in mm. It plans and explains; measure the motor before drilling.'
