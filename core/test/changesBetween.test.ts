import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { applyPatch, changesBetween, emptyPlan, readChanges, readPlan, set } from '../src/plan'
import { changesSchema } from '../src/plan/readChanges'
import { arbitraryPlan } from './arbitraryPlan'
import { runs } from './effort'
import { soundPlan } from './mistakes'

describe('what is sent of a change', () => {
  test('is the thing that is another, and no more', () => {
    const plan = soundPlan()
    expect(changesBetween(plan, applyPatch(plan, [set('motor.powerW', 2200), set('name', 'Mill')]))).toEqual([
      { path: 'name', value: 'Mill' },
      { path: 'motor.powerW', value: 2200 },
    ])
    expect(changesBetween(plan, plan)).toEqual([])
  })
  test('makes one plan into any other, over the wire too', () => {
    fc.assert(
      fc.property(arbitraryPlan, arbitraryPlan, (before, after) => {
        const sent = JSON.parse(JSON.stringify(changesBetween(before, after))) as unknown
        const read = readChanges(before, changesSchema.parse(sent))
        const whole = readPlan(JSON.parse(JSON.stringify(after)))
        expect(read).toEqual(whole)
      }),
      runs(60),
    )
  })
})

describe('what is read of a change', () => {
  const faultsOf = (...changes: { path: string; value?: unknown }[]) => {
    const read = readChanges(soundPlan(), changes)
    return read.ok ? [] : read.faults
  }
  test('names the field at fault, as the whole plan’s reader does', () => {
    const plan = soundPlan()
    const changed = applyPatch(plan, [{ path: 'motor.powerW', value: -5 }])
    const whole = readPlan(changed)
    expect(faultsOf({ path: 'motor.powerW', value: -5 })).toEqual(whole.ok ? [] : whole.faults)
    expect(faultsOf({ path: 'name', value: '' }).map(({ field }) => field)).toEqual(['name'])
    expect(faultsOf({ path: 'motor.nothingSuch', value: 1 })).toHaveLength(1)
  })
  test('holds the parts against each other', () => {
    expect(faultsOf({ path: 'survey.mainPositionId', value: 'nowhere' }).map(({ field }) => field)).toEqual([
      'survey.mainPositionId',
    ])
  })
  test.each(['schemaVersion', 'nothing', 'motor.', 'motor.powerW.x', '__proto__', 'constructor.x', ''])(
    'is no change at all at %j',
    (path) => {
      expect(changesSchema.safeParse([{ path, value: 1 }]).success).toBe(false)
    },
  )
  test('an own key of every object is no way out of the plan', () => {
    expect(readChanges(emptyPlan('Lathe'), [{ path: 'motor.__proto__', value: { powerW: 1 } }]).ok).toBe(false)
  })
})
