import { describe, expect, test } from '@jest/globals'
import { applyPatch, emptyPlan, fieldAt, type PlanPath } from '@zesty/core'
import { printedAt, readPair, readQuantity } from '../src/parts/quantityText'
import { withItem, withoutItem } from '../src/stages/survey/listEdits'

const half = (path: PlanPath) => ({ path, field: fieldAt(path) })

const message = (result: ReturnType<typeof readQuantity>) =>
  result.ok ? 'read' : result.message.replace(/[\u00a0\u202f]/g, ' ')

describe('quantity fields', () => {
  test('fill the plan in base units, and empty it', () => {
    expect(readQuantity('motor.powerW', '3/4 hp', 'metric')).toMatchObject({
      ok: true,
      value: [{ path: 'motor.powerW', value: expect.closeTo(559.27, 1) }],
    })
    expect(readQuantity('motor.powerW', '  ', 'metric')).toEqual({
      ok: true,
      value: [{ path: 'motor.powerW', value: undefined }],
    })
  })
  test('say what they take, in the shop’s units, when a value lies outside', () => {
    expect(message(readQuantity('motor.powerW', '900 kW', 'metric'))).toBe(
      '900 kW is outside what this takes: 10 W to 75 kW.',
    )
    expect(message(readQuantity('motor.powerW', '0', 'imperial'))).toBe(
      '0 hp is outside what this takes: 0.013 hp to 101 hp.',
    )
  })
  test('what they print they read', () => {
    for (const system of ['metric', 'imperial'] as const) {
      const text = printedAt('survey.originalTopRpm', 24000, system)
      expect(text).toBe('24 000 rpm')
      expect(readQuantity('survey.originalTopRpm', text, system)).toMatchObject({ value: [{ value: 24000 }] })
    }
  })
  test('teeth are plain numbers in inch shops too', () => {
    expect(readQuantity('survey.positions.0.transmission.0.driverTeeth', '24', 'imperial')).toMatchObject({
      value: [{ value: 24 }],
    })
  })
})

describe('pairs', () => {
  test('fill both plate fields, or the first alone', () => {
    expect(readPair(half('motor.lowVoltageV'), half('motor.highVoltageV'), '230/400 V', 'metric')).toMatchObject({
      value: [{ value: 230 }, { value: 400 }],
    })
    expect(readPair(half('motor.lowVoltageV'), half('motor.highVoltageV'), '400', 'metric')).toMatchObject({
      value: [{ value: 400 }, { value: undefined }],
    })
  })
  test('are refused whole where one is out of range', () => {
    expect(readPair(half('motor.lowVoltageV'), half('motor.highVoltageV'), '230/9000 V', 'metric').ok).toBe(false)
  })
})

test('a position that goes away takes along what named it', () => {
  let plan = applyPatch(emptyPlan('x'), withItem(emptyPlan('x'), 'positions', { id: 'a', transmission: [] }))
  plan = applyPatch(plan, withItem(plan, 'jobs', { id: 'j', positionId: 'a' }))
  plan = { ...plan, survey: { ...plan.survey, mainPositionId: 'a' } }
  expect(applyPatch(plan, withoutItem(plan, 'positions', 'a')).survey).toMatchObject({
    positions: [],
    jobs: [{ id: 'j' }],
  })
  expect(applyPatch(plan, withoutItem(plan, 'positions', 'a')).survey.mainPositionId).toBeUndefined()
})
