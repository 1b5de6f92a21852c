import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, claimOf, isReadBack, planWork, plannedWork, readPlan, set, withPlannedDone } from '../src/plan'
import { copyPlan } from '../src/plan/copyPlan'
import { messageText } from '../src/quantities'
import { advised } from './advised'
import { mistakes, soundPlan, spoiled } from './mistakes'

describe('a remedy that would claim what nobody has done', () => {
  test('of every mistake: planning it changes no field that says what somebody saw', () => {
    let claims = 0
    for (const [, , patch] of mistakes) {
      const plan = spoiled(...patch)
      for (const { remedies } of advised(patch).findings)
        for (const { label, patch: mends } of remedies) {
          const work = planWork(plan, messageText(label), mends)
          expect(work.map(({ path }) => path).filter(isReadBack)).toEqual([])
          expect(readPlan(applyPatch(plan, work)).ok).toBe(true)
          if (claimOf(mends) === undefined) expect(work).toBe(mends)
          else claims += 1
        }
    }
    expect(claims).toBeGreaterThan(50)
  })
  test('is noted once, and stands as what is to be done', () => {
    const plan = spoiled(set('motor.connection', 'star'))
    const mends = [set('motor.connection', 'delta')]
    const once = applyPatch(plan, planWork(plan, 'Move links to delta', mends))
    const twice = applyPatch(once, planWork(once, 'Move links to delta', mends))
    expect(plannedWork(twice)).toEqual([{ label: 'Move links to delta', path: 'motor.connection' }])
    expect(twice.motor.connection).toBe('star')
    expect(evaluate(twice).agenda.at(-1)).toMatchObject({
      kind: 'do',
      stage: 'settings',
      text: 'Do what is planned, then look and type what you see: Move links to delta',
    })
  })
  test('whoever fills the field in has looked; other changes leave it', () => {
    const plan = applyPatch(soundPlan(), [set('planned', [{ label: 'Links', path: 'motor.connection' }])])
    expect(withPlannedDone(plan, [set('motor.connection', 'delta')])).toContainEqual(set('planned', []))
    const other = [set('motor.powerW', 1500)]
    expect(withPlannedDone(plan, other)).toBe(other)
    expect(copyPlan(plan).planned).toBeUndefined()
  })
})
