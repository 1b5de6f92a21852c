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
        const { runs, wheels, wraps } = trainLayout(
          [{ kind: crossed ? 'crossed-belt' : 'v-belt', driver: driverMm, driven: drivenMm }],
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
          const arcs = wraps.map((w) => (w.radiusMm * w.sweepDeg * Math.PI) / 180)
          expect(2 * length + (arcs[0] ?? 0) + (arcs[1] ?? 0)).toBeCloseTo(made.value.lengthMm, 4)
        }
      },
    ),
  )
})

test('a belt lies on its pulleys from where one run ends to where the other begins', () => {
  fc.assert(
    fc.property(mm, mm, fc.boolean(), (driverMm, drivenMm, crossed) => {
      const stage = { kind: crossed ? ('crossed-belt' as const) : ('v-belt' as const), driverMm, drivenMm }
      const { runs, wraps } = trainLayout([stage], () => driverMm + drivenMm)
      const ends = wraps.map(({ x, y, radiusMm, fromDeg, sweepDeg }) =>
        [fromDeg, fromDeg + sweepDeg].map((deg) => ({
          x: x + radiusMm * Math.cos((deg * Math.PI) / 180),
          y: y + radiusMm * Math.sin((deg * Math.PI) / 180),
        })),
      )
      const close = (a: { x: number; y: number }, x: number, y: number) => Math.hypot(a.x - x, a.y - y) < 1e-6
      for (const { x1, y1, x2, y2 } of runs) {
        expect(ends[0]?.some((e) => close(e, x1, y1))).toBe(true)
        expect(ends[1]?.some((e) => close(e, x2, y2))).toBe(true)
      }
    }),
  )
})

test('shafts turn as the ratio says, seen from either end', () => {
  const { shafts } = trainLayout(
    [
      { kind: 'v-belt', driver: 90, driven: 225, slip: 0.02 },
      { kind: 'gear-pair', driver: 20, driven: 40 },
    ],
    () => undefined,
    false,
  )
  expect(shafts.map((s) => s.clockwise)).toEqual([false, false, true])
  expect(shafts.map((s) => s.turns)).toEqual([1, expect.closeTo(0.392, 9), expect.closeTo(0.196, 9)])
})

test('a timing pulley of known pitch is drawn at its true size', () => {
  const { wheels } = trainLayout([{ kind: 'timing-belt', section: 'tooth-l', driver: 24, driven: 60 }], () => 400)
  expect(wheels[0]?.radiusMm).toBeCloseTo(72.766 / 2, 3)
})

test('each gear pair and crossed belt turns the sense, whatever stands between', () => {
  const kinds = fc.array(fc.constantFrom('v-belt', 'crossed-belt', 'gear-pair', 'timing-belt', 'direct'), {
    maxLength: 8,
  })
  fc.assert(
    fc.property(kinds, (all) => {
      const stages = all.map((kind): DrawnStage => ({ kind: kind, driver: 30, driven: 60 }))
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
      { kind: 'v-belt', driver: 90, driven: 224 },
      { kind: 'v-belt', driver: 90 },
    ],
    (stage) => (stage === 0 ? undefined : 400),
  )
  expect(centres).toEqual([{ stage: 0, mm: expect.closeTo(251.2, 6), supposed: true }])
  expect(shafts).toHaveLength(2)
})
