/** All in pixels of the drawing. */
export interface Circle {
  x: number
  y: number
  r: number
}

export interface Segment {
  x1: number
  y1: number
  x2: number
  y2: number
}

/** A box that a text takes: its middle, and half of its width and height. */
export interface Box {
  x: number
  y: number
  halfWidth: number
  halfHeight: number
}

/** Letters of 14 px, with the air that they want. */
const LETTER = 7
const HALF_HEIGHT = 9
const AIR = 3

/** Where a label may stand about its circle, best first: below, above, then slantwise and beside. */
const DEGREES = [90, 270, 120, 60, 240, 300, 150, 30, 210, 330, 180, 0]
const STEPS = [0, 8, 16, 28, 40]

/**
 * A place beside its circle for each text, on no circle, no line and no other text, and within the drawing; below its circle
 * where there is none. In the order given.
 */
export function placeLabels(
  labels: readonly (Circle & { text: string })[],
  circles: readonly Circle[],
  segments: readonly Segment[],
  frame: { width: number; height: number },
): Box[] {
  const placed: Box[] = []
  for (const { x, y, r, text } of labels) {
    const [halfWidth, halfHeight] = [(text.length * LETTER) / 2 + AIR, HALF_HEIGHT]
    const at = (degrees: number, further: number): Box => {
      const angle = (degrees * Math.PI) / 180
      const [dx, dy] = [Math.cos(angle), Math.sin(angle)]
      // As far out as the box itself wants in this direction.
      const own = Math.min(
        dx === 0 ? Infinity : halfWidth / Math.abs(dx),
        Math.abs(dy) < 1e-9 ? Infinity : halfHeight / Math.abs(dy),
      )
      const reach = r + AIR + own + further
      return { x: x + reach * dx, y: y + reach * dy, halfWidth, halfHeight }
    }
    const isFree = (box: Box) =>
      isWithin(box, frame) &&
      !circles.some((circle) => touchesCircle(box, circle)) &&
      !segments.some((segment) => touchesSegment(box, segment)) &&
      !placed.some((other) => touchesBox(box, other))
    const places = STEPS.flatMap((further) => DEGREES.map((degrees) => at(degrees, further)))
    placed.push(places.find(isFree) ?? at(90, 0))
  }
  return placed
}

const isWithin = ({ x, y, halfWidth, halfHeight }: Box, { width, height }: { width: number; height: number }) =>
  x - halfWidth >= 0 && x + halfWidth <= width && y - halfHeight >= 0 && y + halfHeight <= height

/** Whether a box lies on a disc or its rim. */
export const touchesCircle = ({ x, y, halfWidth, halfHeight }: Box, circle: Circle): boolean =>
  Math.hypot(Math.max(0, Math.abs(circle.x - x) - halfWidth), Math.max(0, Math.abs(circle.y - y) - halfHeight)) <
  circle.r + 1

const touchesBox = (a: Box, b: Box): boolean =>
  Math.abs(a.x - b.x) < a.halfWidth + b.halfWidth && Math.abs(a.y - b.y) < a.halfHeight + b.halfHeight

/** Whether a line runs through a box: what of it is left between the sides is left between top and bottom too. */
export function touchesSegment({ x, y, halfWidth, halfHeight }: Box, { x1, y1, x2, y2 }: Segment): boolean {
  let [from, to] = [0, 1]
  for (const [start, delta, least, most] of [
    [x1, x2 - x1, x - halfWidth, x + halfWidth],
    [y1, y2 - y1, y - halfHeight, y + halfHeight],
  ] as const) {
    if (delta === 0) {
      if (start < least || start > most) return false
      continue
    }
    const [a, b] = [(least - start) / delta, (most - start) / delta]
    from = Math.max(from, Math.min(a, b))
    to = Math.min(to, Math.max(a, b))
  }
  return from <= to
}
