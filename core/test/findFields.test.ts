import { describe, expect, test } from '@jest/globals'
import { findFields } from '../src/evaluate/findFields'
import { emptyPlan, fieldAt, hasField, planPaths } from '../src/plan'
import { demoPlan } from './demoPlans'

const paths = (question: string, plan = demoPlan('gap-bed-lathe')) => findFields(plan, question).map(({ path }) => path)

describe('fields by their words', () => {
  test.each([
    ['breaker', 'supply.breakerA'],
    ['cos phi', 'motor.powerFactor'],
    ['overload read in the drive', 'settings.inDrive.overloadA'],
    ['highest hertz chosen', 'settings.chosen.maximumHz'],
    ['earth proved', 'checks.earthProved'],
    ['constant-torque', 'motor.inverterDutyRatio'],
  ])('%s', (question, path) => expect(paths(question)).toContain(path))
  test('nearest first, the label before the help', () => expect(paths('breaker')[0]).toBe('supply.breakerA'))
  test('of lists each that the plan has, called by its name', () => {
    const found = findFields(demoPlan('gap-bed-lathe'), 'width chuck')
    expect(found.map(({ path, name }) => [path, name])).toEqual([
      ['survey.holders.0.widthMm', 'width of 160 mm three-jaw chuck'],
      ['survey.holders.1.widthMm', 'width of 250 mm four-jaw chuck'],
    ])
    expect(paths('width', emptyPlan('Lathe')).filter((path) => path.startsWith('survey.holders'))).toEqual([])
  })
  test('nothing where nothing goes by that name, and nothing is asked', () => {
    expect(paths('zzzz')).toEqual([])
    expect(paths('  ')).toEqual([])
  })
  test('every field of a motor of three phases is found by its own label', () => {
    const plan = demoPlan('gap-bed-lathe')
    const own = planPaths().filter((path) => /^motor\.\w+$/.test(path) && hasField(plan, path))
    expect(own.length).toBeGreaterThan(20)
    for (const path of own) expect(findFields(plan, fieldAt(path).label, 500).map((f) => f.path)).toContain(path)
  })
})
