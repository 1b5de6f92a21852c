import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { beltLength } from '../src/drivetrain'
import { trainLayout, type DrawnStage } from '../src/drivetrain/trainLayout'

const mm = fc.double({ min: 20, max: 400, noNaN: true })

test('belt runs are tangent to both pulleys, and as long as the belt is', () => {
  fc.assert(
    fc.property(
      mm,
      mm,
      fc.double({ min: 1.05, max: 6, noNaN: true }),
      fc.boolean(),
      (driverMm, drivenMm, times, crossed) => {
        const centreMm = ((driverMm + drivenMm) / 2) * times
        const { runs, wheels } = trainLayout(
          [{ kind: crossed ? 'crossed-belt' : 'v-belt', driverMm, drivenMm }],
          () => centreMm,
        )
        const [a, b] = wheels
        if (!a || !b) throw new Error('no wheels')
        for (const { x1, y1, x2, y2 } of runs) {
          const length = Math.hypot(x2 - x1, y2 - y1)
          for (const [wheel, x, y] of [
            [a, x1, y1],
            [b, x2, y2],
          ] as const) {
            // The end lies on the rim, and the radius there stands square to the run.
            expect(Math.hypot(x - wheel.x, y - wheel.y)).toBeCloseTo(wheel.radiusMm, 6)
            expect((x - wheel.x) * (x2 - x1) + (y - wheel.y) * (y2 - y1)).toBeCloseTo(0, 4)
          }
          const made = beltLength.run({
            largeMm: Math.max(driverMm, drivenMm),
            smallMm: Math.min(driverMm, drivenMm),
            centreMm,
            crossed,
          })
          if (!made.ok) throw new Error('no length')
          const { lengthMm, wrapSmallDeg, wrapLargeDeg } = made.value
          const arcs =
            (Math.min(driverMm, drivenMm) * wrapSmallDeg + Math.max(driverMm, drivenMm) * wrapLargeDeg) *
            (Math.PI / 360)
          expect(2 * length + arcs).toBeCloseTo(lengthMm, 4)
        }
      },
    ),
  )
})

test('each gear pair and crossed belt turns the sense, whatever stands between', () => {
  const kinds = fc.array(fc.constantFrom('v-belt', 'crossed-belt', 'gear-pair', 'timing-belt', 'direct'), {
    maxLength: 8,
  })
  fc.assert(
    fc.property(kinds, (all) => {
      const stages = all.map((kind): DrawnStage => ({ kind: kind, driverMm: 30, drivenMm: 60 }))
      const { shafts } = trainLayout(stages, () => undefined)
      const back = all.filter((k) => k === 'gear-pair' || k === 'crossed-belt').length
      expect(shafts[shafts.length - 1]?.clockwise).toBe(back % 2 === 0)
      expect(shafts).toHaveLength(1 + all.filter((k) => k !== 'direct').length)
    }),
  )
})

test('a distance that is not known is supposed, and says so; the drawing ends where sizes are missing', () => {
  const { centres, shafts } = trainLayout(
    [
      { kind: 'v-belt', driverMm: 90, drivenMm: 224 },
      { kind: 'v-belt', driverMm: 90 },
    ],
    (stage) => (stage === 0 ? undefined : 400),
  )
  expect(centres).toEqual([{ stage: 0, mm: expect.closeTo(251.2, 6), supposed: true }])
  expect(shafts).toHaveLength(2)
})
