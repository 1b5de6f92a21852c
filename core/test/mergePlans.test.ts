import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { applyPatch, emptyPlan, set, type Patch, type Plan } from '../src/plan'
import { mergePlans } from '../src/plan/mergePlans'
import { arbitraryPlan } from './arbitraryPlan'

const base: Plan = applyPatch(emptyPlan('Lathe'), [
  set('motor.powerW', 1500),
  set('survey.holders', [
    { id: 'a', kind: 'chuck', diameterMm: 160 },
    { id: 'b', kind: 'faceplate', diameterMm: 300 },
  ]),
])
const mergeOf = (mine: Patch, theirs: Patch) => mergePlans(base, applyPatch(base, mine), applyPatch(base, theirs))
const holders = (...sizes: [id: string, diameterMm: number][]) =>
  set(
    'survey.holders',
    sizes.map(([id, diameterMm]) => ({
      id,
      kind: id === 'b' ? ('faceplate' as const) : ('chuck' as const),
      diameterMm,
    })),
  )
const sizes = (plan: Plan | undefined) => plan?.survey.holders.map(({ id, diameterMm }) => [id, diameterMm])

describe('two sides of a plan', () => {
  test('that changed different fields come together', () => {
    const both = mergeOf([set('motor.powerW', 2200)], [set('motor.frame', '90L'), set('drive.name', 'Red box')])
    expect([both?.motor.powerW, both?.motor.frame, both?.drive.name]).toEqual([2200, '90L', 'Red box'])
  })
  test('that changed one field to the same are at one', () => {
    expect(mergeOf([set('motor.powerW', 2200)], [set('motor.powerW', 2200)])?.motor.powerW).toBe(2200)
  })
  test('that changed one field to different values do not', () => {
    expect(mergeOf([set('motor.powerW', 2200)], [set('motor.powerW', 750)])).toBeUndefined()
    expect(mergeOf([set('motor.powerW', undefined)], [set('motor.powerW', 750)])).toBeUndefined()
  })
  test('a field that one took away and the other left is gone', () => {
    expect(mergeOf([set('motor.powerW', undefined)], [set('motor.frame', '90L')])?.motor).toEqual({ frame: '90L' })
  })
})

describe('two sides of a list', () => {
  test('that changed different items come together', () => {
    expect(sizes(mergeOf([holders(['a', 200], ['b', 300])], [holders(['a', 160], ['b', 250])]))).toEqual([
      ['a', 200],
      ['b', 250],
    ])
  })
  test('of which one added an item and the other changed another come together', () => {
    const both = mergeOf([holders(['c', 80], ['a', 160], ['b', 300])], [holders(['a', 200], ['b', 300])])
    expect(sizes(both)).toEqual([
      ['c', 80],
      ['a', 200],
      ['b', 300],
    ])
    expect(sizes(mergeOf([holders(['a', 200], ['b', 300])], [holders(['b', 300], ['a', 160])]))).toEqual([
      ['b', 300],
      ['a', 200],
    ])
  })
  test('of which one took an item away that the other changed do not', () => {
    expect(mergeOf([holders(['b', 300])], [holders(['a', 200], ['b', 300])])).toBeUndefined()
    expect(mergeOf([holders(['a', 200], ['b', 300])], [holders(['b', 300])])).toBeUndefined()
    expect(sizes(mergeOf([holders(['b', 300])], [holders(['a', 160], ['b', 250])]))).toEqual([['b', 250]])
  })
  test('that both added to do not', () => {
    expect(
      mergeOf([holders(['a', 160], ['b', 300], ['c', 1])], [holders(['a', 160], ['b', 300], ['d', 1])]),
    ).toBeUndefined()
  })
})

test('a side that changed nothing leaves the other as it is, whatever the plans', () => {
  fc.assert(
    fc.property(arbitraryPlan, arbitraryPlan, (one, other) => {
      const plain = (plan: Plan | undefined): unknown => plan && JSON.parse(JSON.stringify(plan))
      expect(plain(mergePlans(one, one, other))).toEqual(plain(other))
      expect(plain(mergePlans(one, other, one))).toEqual(plain(other))
    }),
    { numRuns: 60 },
  )
})
