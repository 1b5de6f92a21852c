import { expect, test } from '@jest/globals'
import { applyPatch, emptyPlan, evaluate, set, type Plan } from '@zesty/core'
import { layoutLadder, type JobFlag } from '../src/stages/speeds/ladderLayout'

const jobs = (...rpms: number[]) => rpms.map((speedRpm, i) => ({ id: `j${i}`, name: `Job number ${i}`, speedRpm }))

const lathe = (rpms: number[]): Plan =>
  applyPatch(emptyPlan('Lathe'), [
    set('motor', { ratedFrequencyHz: 50, ratedSpeedRpm: 1420, cooling: 'shaft-fan' }),
    set('survey.originalTopRpm', 2000),
    set('survey.positions', [
      { id: 'a', name: 'A', transmission: [{ kind: 'v-belt', driverMm: 160, drivenMm: 180 }] },
      { id: 'b', name: 'B', transmission: [{ kind: 'v-belt', driverMm: 90, drivenMm: 224 }] },
    ]),
    set('survey.mainPositionId', 'b'),
    set('survey.jobs', jobs(...rpms)),
  ])

const layout = (rpms: number[], width = 728) => {
  const made = layoutLadder(evaluate(lathe(rpms)), width)
  if (!made) throw new Error('no layout')
  return made
}

test('nothing to draw before a position and a plate are known', () => {
  expect(layoutLadder(evaluate(emptyPlan('x')), 700)).toBeUndefined()
})

test('rungs rise from left to right and their labels keep apart', () => {
  for (const rail of layout([100]).rails) {
    const xs = rail.rungs.map((r) => r.x)
    expect(xs).toEqual([...xs].sort((a, b) => a - b))
    const labelled = rail.rungs.filter((r) => r.labelled).map((r) => r.x)
    labelled.slice(1).forEach((x, i) => expect(x - (labelled[i] ?? 0)).toBeGreaterThan(30))
    expect(rail.rungs[0]?.labelled).toBe(true)
  }
})

test('names of jobs on one line never overlap, at any width', () => {
  const span = (f: JobFlag) =>
    f.leftwards ? [f.x - f.name.length * 7.4, f.x - 3] : [f.x + 3, f.x + f.name.length * 7.4]
  for (const width of [330, 520, 728, 1100]) {
    const flags = layout([60, 100, 105, 110, 400, 420, 900, 1050], width).rails.flatMap((r) => r.flags)
    expect(flags).toHaveLength(8)
    for (const a of flags)
      for (const b of flags)
        if (a !== b && a.level === b.level)
          expect((span(a)[1] ?? 0) <= (span(b)[0] ?? 0) || (span(b)[1] ?? 0) <= (span(a)[0] ?? 0)).toBe(true)
  }
})

test('a job stands on the position it is done on, and says whether it is reached', () => {
  const { rails } = layout([30, 300])
  expect(rails.find((r) => r.id === 'a')?.flags).toEqual([])
  expect(rails.find((r) => r.id === 'b')?.flags.map((f) => [f.rpm, f.reached])).toEqual([
    [300, true],
    [30, false],
  ])
})
