import { describe, expect, test } from '@jest/globals'
import { typicalMotorEfficiency } from '../src/data/motorEfficiency'
import { drillFeed } from '../src/data/workMaterials'
import { evaluate } from '../src/evaluate/evaluate'
import { typicalSpeeds } from '../src/facts/spindle/jobCut'
import { set, type Job } from '../src/plan'
import { spoiled } from './mistakes'

describe('tables', () => {
  test('efficiency by size and poles, between its entries on a straight line over the logarithm', () => {
    expect([120, 370, 1500, 15_000].map((w) => typicalMotorEfficiency(w))).toEqual([0.5, 0.66, 0.772, 0.887])
    expect([2, 6, 8].map((p) => Math.round(1000 * typicalMotorEfficiency(550, p)))).toEqual([690, 658, 561])
    expect(typicalMotorEfficiency(640)).toBeGreaterThan(0.7)
    expect(typicalMotorEfficiency(640)).toBeLessThan(0.721)
    expect([50, 30_000].map((w) => typicalMotorEfficiency(w))).toEqual([0.5, 0.887])
  })
  test('the feed of a twist drill by its size and what it drills', () => {
    expect([2, 5, 10, 25].map((d) => drillFeed(d, 'mild-steel'))).toEqual([0.04, 0.1, 0.18, 0.32])
    expect(drillFeed(4, 'mild-steel')).toBeCloseTo(0.08, 9)
    expect([1, 40].map((d) => drillFeed(d, 'carbon-steel'))).toEqual([0.04, 0.32])
    expect(drillFeed(10, 'brass')).toBeCloseTo(0.252, 9)
    expect(drillFeed(10, 'stainless')).toBeCloseTo(0.126, 9)
  })
  test('speeds of blades and routers by what is cut; nothing for what the table does not hold', () => {
    const range = (kind: Job['kind'], material?: Job['material']) =>
      typicalSpeeds({ id: 'j', kind, ...(material ? { material } : {}) })?.range
    expect([range('sawing', 'mild-steel'), range('sawing', 'stainless'), range('sawing', 'wood')]).toEqual([
      [25, 60],
      [15, 35],
      [600, 1800],
    ])
    expect([range('routing'), range('routing', 'aluminium')]).toEqual([
      [300, 3000],
      [150, 500],
    ])
    expect([range('sawing'), range('sawing', 'plastic'), range('routing', 'mild-steel')]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
})

describe('torque from what a person knows', () => {
  const asked = (job: Partial<Job>) => {
    const { figures, jobs } = evaluate(spoiled(set('survey.jobs', [{ id: 'j', ...job }])))
    const id = jobs[0]?.torqueNm
    return id === undefined ? undefined : figures[id]
  }
  test('of a drill by its size and material: as with the feed of the table typed, and said to be typical', () => {
    const drill = { kind: 'drilling', material: 'mild-steel', diameterMm: 16 } as const
    expect(asked(drill)?.value).toBeCloseTo(asked({ ...drill, feedMm: 0.25 })?.value ?? 0, 9)
    expect(asked(drill)?.restsOnTypical).toBe(true)
    expect(asked({ kind: 'drilling', diameterMm: 16 })).toBeUndefined()
  })
  test('of a hole saw by its size: kerf and feed of the table, twice the formula', () => {
    const saw = { kind: 'hole-saw', material: 'mild-steel', diameterMm: 60, feedMm: 0.05, widthMm: 2 } as const
    const alone = asked({ kind: 'hole-saw', material: 'mild-steel', diameterMm: 60 })?.value
    expect(alone).toBeCloseTo(asked(saw)?.value ?? 0, 9)
    // A hole saw is not a drill: kc f b Dm / 2000 with b its kerf, here twice.
    const kc = 1990 * 0.05 ** -0.26
    expect(alone).toBeCloseTo((2 * kc * 0.05 * 2 * 58) / 2000, 1)
  })
  test('of a tap: twice the formula', () => {
    const tap = { kind: 'tapping', material: 'mild-steel', diameterMm: 10, pitchMm: 1.5 } as const
    const kc = 1990 * 1.5 ** -0.26
    expect(asked(tap)?.value).toBeCloseTo((2 * kc * 1.5 ** 2 * 10) / 8000, 1)
  })
})
