import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { roundSpeed } from '../src/dial/dialOf'
import { degAt, dialScale } from '../src/dial/dialScale'
import { monotone } from '../src/controls/monotone'
import { onCircle } from '../src/drawing/primitives'
import { evaluate } from '../src/conversion/evaluate'
import { nothingMeasured } from '../src/measurements/measured'
import { applyPatch, set, type Plan } from '../src/plan'
import { rules } from '../src/rulebook/registry'
import { arbitraryPlan } from './arbitraryPlan'
import { soundPlan } from './mistakes'
import { measuredBy } from './readings'
import { dialOf, dialPlate } from './parts'

interface Fit {
  straight: boolean
  slope: number
  intercept: number
  maxErrorRpm: number
  outliers: number[]
  table: { dial: number; rpm: number }[]
}
const fitted = (readings: { dial: number; rpm: number }[]): Fit => {
  const made = rules.get('calibration.dial')?.run({ readings })
  if (!made?.ok) throw new Error(JSON.stringify(made))
  return made.value as unknown as Fit
}
const line = (wrong: Record<number, number> = {}) =>
  Array.from({ length: 11 }, (_, dial) => ({ dial, rpm: wrong[dial] ?? 60 + 57 * dial }))

describe('readings of a dial', () => {
  test('two of ten that are wrong do not move the line, and are named', () => {
    expect(fitted(line({ 3: 500, 7: 200 }))).toMatchObject({ straight: true, outliers: [3, 7], maxErrorRpm: 0 })
    expect(fitted(line({ 3: 500, 7: 200 })).slope).toBeCloseTo(57, 9)
  })
  test('a knob that turns the other way, and one that bends, are no outliers', () => {
    expect(fitted(line().map(({ dial, rpm }) => ({ dial, rpm: 700 - rpm }))).slope).toBeCloseTo(-57, 9)
    const bent = Array.from({ length: 11 }, (_, dial) => ({ dial, rpm: 20 * 1.4 ** dial }))
    const fit = fitted(bent)
    expect([fit.straight, fit.outliers]).toEqual([false, []])
    fit.table.forEach(({ rpm }, i) => expect(rpm).toBeCloseTo(bent[i]?.rpm ?? 0, 6))
  })
  test('one wrong on a curve is named', () => {
    const bent = Array.from({ length: 11 }, (_, dial) => ({ dial, rpm: dial === 5 ? 900 : 40 + 8 * dial ** 2 }))
    expect(fitted(bent).outliers).toContain(5)
  })
  test('any line with a fifth of wrong readings is found again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.uniqueArray(fc.integer({ min: 0, max: 10 }), { maxLength: 2 }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        (slope, start, wrong, by) => {
          const readings = Array.from({ length: 11 }, (_, dial) => ({
            dial,
            rpm: start + slope * dial + (wrong.includes(dial) ? by * slope * 10 : 0),
          }))
          const fit = fitted(readings)
          expect(Math.abs(fit.slope / slope - 1)).toBeLessThan(1e-6)
          expect(fit.outliers).toEqual([...wrong].sort((a, b) => a - b))
        },
      ),
      { numRuns: 200 },
    )
  })
  test('what is monotone stays, and what is not becomes so with the least change', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 1, maxLength: 20 }),
        fc.boolean(),
        (rpms, falling) => {
          const points = rpms.map((rpm, dial) => ({ dial, rpm }))
          const made = monotone(points, falling)
          made.forEach(({ rpm }, i) => {
            const before = made[i - 1]?.rpm
            if (before !== undefined) expect((falling ? before - rpm : rpm - before) >= -1e-9).toBe(true)
          })
          const sum = (of: { rpm: number }[]) => of.reduce((all, { rpm }) => all + rpm, 0)
          expect(sum(made)).toBeCloseTo(sum(points), 6)
        },
      ),
    )
  })
})

const read = (plan: Plan, times = 1) => {
  const position = plan.survey.positions[1]?.id ?? ''
  const top = evaluate(plan).figures[`position.${position}.unloadedTopRpm`]?.value ?? 0
  return measuredBy(
    ...Array.from({ length: 11 }, (_, dial) => ({
      kind: 'spindle-speed' as const,
      value: (dial / 10) * top * times,
      dial,
      positionId: position,
    })),
  )
}

describe('the dial of a machine', () => {
  const plan = applyPatch(soundPlan(), [set('controls.knobMode', 'clamped'), set('settings.chosen.minimumHz', 0)])
  test('tells ratio and slip, and how the end comes to a round number', () => {
    const b = dialOf(plan, read(plan, 0.97)).find((p) => p.id === 'b')
    expect(b?.ratio?.slip).toBeCloseTo(0.03, 6)
    expect(b?.advice.map((a) => a.id)).toContain('hertz')
    const patch = b?.advice.find((a) => a.id === 'hertz')?.patch
    if (patch) {
      const after = dialOf(applyPatch(plan, patch), nothingMeasured).find((p) => p.id === 'b')?.planned?.toRpm ?? 0
      // A round number, less the slip that was read.
      expect(Math.abs((after * 0.97) / roundSpeed(after * 0.97) - 1)).toBeLessThan(0.01)
    }
  })
  test('judged anew where hertz or pulley changed since', () => {
    const id = 'dial.reads/b'
    const answer = (p: Plan) => evaluate(p, undefined, read(plan)).judged.find((l) => l.id === id)?.answer
    expect(answer(plan)).toBe('good')
    expect(answer(applyPatch(plan, [set('settings.chosen.maximumHz', 40)]))).toBe('found')
    expect(
      dialOf(applyPatch(plan, [set('settings.chosen.maximumHz', 40)]), read(plan)).find((p) => p.id === 'b')?.stale,
    ).toBe(true)
    expect(evaluate(plan).judged.find((l) => l.id === 'dial.reads')?.answer).toBe('does-not-apply')
  })
})

describe('the dial plate', () => {
  const plan = applyPatch(soundPlan(), [
    set('dial.plateMm', 100),
    set('dial.holeMm', 12),
    set('dial.dangers', true),
    set('survey.holders.0.markedRpm', 900),
    set('dial.rings', [
      { id: 'a', shows: 'rpm', positionId: 'a' },
      { id: 'b', shows: 'surface', positionId: 'a', diameterMm: 50 },
      { id: 'c', shows: 'hertz' },
    ]),
  ])
  const plate = dialPlate(plan, nothingMeasured)
  test('every mark stands where the knob points when it gives that value', () => {
    const scale = dialScale(plan.dial)
    const [fromHz, toHz] = [6, evaluate(plan).figures['settings.maximumHz']?.value ?? 0]
    const hertz = plate.rings.find((r) => r.name === 'Hz')
    for (const { value, deg } of hertz?.marks ?? []) {
      const mark = scale.from + ((value - fromHz) / (toHz - fromHz)) * (scale.to - scale.from)
      expect(deg).toBeCloseTo(degAt(scale, mark), 3)
    }
    expect(hertz?.marks.length).toBeGreaterThan(2)
  })
  test('words on a ring stand apart, and nothing stands outside the plate but triangle and bar', () => {
    const words = plate.drawing.primitives.filter((p) => p.kind === 'text' && p.layer === 'words' && p.bold === true)
    for (const [i, a] of words.entries())
      for (const b of words.slice(i + 1))
        if (a.kind === 'text' && b.kind === 'text') expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(3)
    const [edge] = plate.drawing.primitives
    if (edge?.kind !== 'circle') throw new Error('no edge')
    for (const w of words)
      if (w.kind === 'text') expect(Math.hypot(w.x - edge.x, w.y - edge.y)).toBeLessThan(edge.r - 1)
    expect(edge.r).toBe(50)
  })
  test('a danger arc belongs to one position, and begins where the thing passes its limit', () => {
    expect(plate.dangers.length).toBeGreaterThan(0)
    for (const danger of plate.dangers) expect(danger.toDeg).toBeGreaterThan(danger.fromDeg)
    const slow = dialPlate(
      applyPatch(plan, [set('dial.rings', [{ id: 'a', shows: 'rpm', positionId: 'c' }])]),
      nothingMeasured,
    )
    expect(slow.dangers.length).toBeLessThan(plate.dangers.length)
  })
  test('the bar is 100 mm', () => {
    const bar = plate.drawing.primitives.find((p) => p.kind === 'line' && p.layer === 'check' && p.y1 === p.y2)
    expect(bar?.kind === 'line' ? bar.x2 - bar.x1 : 0).toBeCloseTo(100, 9)
  })
  test('the other way round is the mirror image', () => {
    const mirrored = dialPlate(applyPatch(plan, [set('dial.turns', 'counter-clockwise')]), nothingMeasured)
    plate.rings.forEach((ring, i) =>
      ring.marks.forEach(({ deg }, k) => {
        const [a, b] = [onCircle(0, 0, 1, deg), onCircle(0, 0, 1, mirrored.rings[i]?.marks[k]?.deg ?? NaN)]
        expect(b.x).toBeCloseTo(-a.x, 6)
        expect(b.y).toBeCloseTo(a.y, 6)
      }),
    )
  })
  test('too many rings, and rings of which nothing is known, are said; any plan gives a plate', () => {
    const small = dialPlate(applyPatch(plan, [set('dial.plateMm', 40)]), nothingMeasured)
    expect(small.faults.join()).toMatch(/do not fit/)
    fc.assert(
      fc.property(arbitraryPlan, (any) => {
        const made = dialPlate(any, nothingMeasured)
        expect(made.rings.length + made.faults.length).toBeGreaterThan(0)
        const finite = (value: unknown) => typeof value !== 'number' || Number.isFinite(value)
        expect(made.drawing.primitives.every((p) => Object.values(p).every(finite))).toBe(true)
      }),
      { numRuns: 100 },
    )
  })
})
