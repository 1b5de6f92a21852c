import { describe, expect, test } from '@jest/globals'
import { applyPatch, conversion, emptyPlan, set } from '@zesty/core'
import { dialPlate, type WorkDrawing } from '@zesty/core/dial'
import { shownParts } from '@zesty/core/shown'
import DxfParser from 'dxf-parser'
import { toDxf } from '../src/drawings/dxf'

interface Entity {
  type: string
  layer: string
  radius?: number
  center?: { x: number; y: number }
  startAngle?: number
  endAngle?: number
  vertices?: { x: number; y: number }[]
  text?: string
}

/** What another program finds in the file. */
function opened(drawing: WorkDrawing): Entity[] {
  const read = new DxfParser().parseSync(toDxf(drawing))
  return read?.entities ?? []
}

const plan = applyPatch(emptyPlan('Lathe'), [
  set('mount.oldAcrossMm', 160),
  set('mount.oldAlongMm', 140),
  set('mount.acrossMm', 140),
  set('mount.alongMm', 125),
  set('mount.travelMm', 40),
  set('dial.plateMm', 90),
  set('dial.holeMm', 12),
  set('dial.rings', [{ id: 'hz', shows: 'hertz' }]),
  set('settings.chosen.minimumHz', 5),
  set('settings.chosen.maximumHz', 80),
])

describe('a drawing as DXF, opened by another program', () => {
  test('the mounting plate has its holes and the round ends of its slots where they belong', () => {
    const plate = conversion(plan).of(shownParts.mount).made?.drawing
    if (!plate) throw new Error('no plate')
    const entities = opened(plate)
    const circles = entities.filter((e) => e.type === 'CIRCLE')
    expect(circles.map((c) => c.radius)).toEqual([5.5, 5.5, 5.5, 5.5])
    const [xs, ys] = [circles.map((c) => c.center?.x ?? 0), circles.map((c) => c.center?.y ?? 0)]
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(160, 6)
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(140, 6)
    const ends = entities.filter((e) => e.type === 'ARC')
    expect(ends).toHaveLength(8)
    // Half a turn each, its middle to the left or to the right.
    for (const { startAngle = 0, endAngle = 0 } of ends) {
      const turn = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)
      expect(turn).toBeCloseTo(Math.PI, 6)
    }
    expect(entities.filter((e) => e.type === 'TEXT').map((e) => e.text)).toContain('This side up')
  })
  test('a bracket has the motor’s slots in its top, the machine’s holes in its base, and two webs between', () => {
    const { made } = conversion(
      applyPatch(plan, [set('mount.seat', 'bracket'), set('mount.plateMm', 10), set('mount.bracketMm', 80)]),
    ).of(shownParts.mount)
    if (!made) throw new Error('no bracket')
    expect(made.name).toBe('Bracket')
    const entities = opened(made.drawing)
    const circles = entities.filter((e) => e.type === 'CIRCLE').map((c) => c.center?.x ?? 0)
    expect(circles).toHaveLength(4)
    expect(Math.max(...circles) - Math.min(...circles)).toBeCloseTo(160, 6)
    const ends = entities.filter((e) => e.type === 'ARC').map((c) => c.center?.x ?? 0)
    expect(ends).toHaveLength(8)
    // Slots 140 apart and 40 long.
    expect(Math.max(...ends) - Math.min(...ends)).toBeCloseTo(180, 6)
    // Its height is that of the webs and two plates.
    expect(entities.filter((e) => e.type === 'TEXT').map((e) => e.text)).toContain('60 x 181 x 10')
  })
  test('the dial plate has edge, hole and a bar of 100 mm, each on its layer', () => {
    const entities = opened(dialPlate(conversion(plan).facts).drawing)
    expect(entities.filter((e) => e.type === 'CIRCLE').map((e) => [e.layer, e.radius])).toEqual([
      ['Cut', 45],
      ['Cut', 6],
    ])
    const bar = entities.filter((e) => e.layer === 'Check bar' && e.type === 'LINE').map((e) => e.vertices ?? [])
    expect(Math.max(...bar.map(([a, b]) => Math.abs((a?.x ?? 0) - (b?.x ?? 0))))).toBeCloseTo(100, 6)
    const arc = entities.find((e) => e.type === 'ARC' && e.layer === 'Marks')
    const turn = ((((arc?.endAngle ?? 0) - (arc?.startAngle ?? 0)) * 180) / Math.PI + 360) % 360
    expect(turn).toBeCloseTo(270, 6)
  })
})
