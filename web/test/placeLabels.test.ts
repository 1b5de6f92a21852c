import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { placeLabels, touchesCircle, touchesSegment, type Box } from '../src/drawings/placeLabels'

const frame = { width: 600, height: 250 }

/** By points along it, as a person would look: an independent look at the same question. */
const runsThrough = ({ x, y, halfWidth, halfHeight }: Box, x1: number, y1: number, x2: number, y2: number): boolean =>
  Array.from({ length: 4001 }, (_, i) => i / 4000).some(
    (t) => Math.abs(x1 + t * (x2 - x1) - x) < halfWidth && Math.abs(y1 + t * (y2 - y1) - y) < halfHeight,
  )

describe('labels', () => {
  test('of two pulleys and their belt lie on neither', () => {
    const circles = [
      { x: 100, y: 120, r: 30 },
      { x: 380, y: 120, r: 80 },
    ]
    const segments = [
      { x1: 95, y1: 90, x2: 366, y2: 41 },
      { x1: 95, y1: 150, x2: 366, y2: 199 },
    ]
    const texts = ['90 mm, 161°', '224 mm, 199°']
    const places = placeLabels(
      circles.map((c, i) => ({ ...c, text: texts[i] ?? '' })),
      circles,
      segments,
      frame,
    )
    for (const box of places) {
      expect(circles.map((circle) => touchesCircle(box, circle))).toEqual([false, false])
      expect(segments.map((s) => runsThrough(box, s.x1, s.y1, s.x2, s.y2))).toEqual([false, false])
    }
    expect(Math.abs((places[0]?.x ?? 0) - (places[1]?.x ?? 0))).toBeGreaterThan(50)
  })
  test('with no free place at all stand below', () => {
    const circle = { x: 300, y: 125, r: 400 }
    expect(placeLabels([{ ...circle, text: 'x' }], [circle], [], frame)[0]).toMatchObject({ x: 300 })
  })
  test('a line through a box is seen wherever it runs', () => {
    const at = fc.integer({ min: 0, max: 600 })
    const box: Box = { x: 300, y: 300, halfWidth: 60, halfHeight: 20 }
    fc.assert(
      fc.property(at, at, at, at, (x1, y1, x2, y2) => {
        // A hair's touch may be judged either way.
        const wider = { ...box, halfWidth: 61, halfHeight: 21 }
        if (runsThrough(box, x1, y1, x2, y2)) expect(touchesSegment(box, { x1, y1, x2, y2 })).toBe(true)
        if (!runsThrough(wider, x1, y1, x2, y2)) expect(touchesSegment(box, { x1, y1, x2, y2 })).toBe(false)
      }),
    )
  })
})
