import { describe, expect, test } from '@jest/globals'
import { emptyPlan, evaluate, set, type Plan } from '@zesty/core'
import { nothingMeasured } from '@zesty/core/measurements'
import { type KeptConversion } from '@zesty/core/http'
import {
  changed,
  conflicted,
  kept,
  opened,
  planReducer,
  redone,
  settled,
  typedRead,
  typedUnread,
  undone,
  type OpenPlan,
} from '../src/state/planSlice'

const conversion = (plan: Plan = emptyPlan('Lathe'), revision = 1): KeptConversion => ({
  id: 'c',
  shopId: 's',
  revision,
  plan,
  savedAt: '2026-01-01T10:00:00Z',
})

type Action = Parameters<typeof planReducer>[1]
const after = (...actions: Action[]): OpenPlan => {
  const { open } = actions.reduce<ReturnType<typeof planReducer>>(
    (state, action) => planReducer(state, action),
    planReducer(
      undefined,
      opened({
        conversion: conversion(),
        measured: nothingMeasured,
        evaluation: evaluate(conversion().plan),
      }),
    ),
  )
  if (!open) throw new Error('nothing is open')
  return open
}
const power = (powerW: number) => changed({ label: 'Power', patch: [set('motor.powerW', powerW)] })

describe('undo and redo', () => {
  test('take each press back and make it again', () => {
    const open = after(power(1100), power(1500), undone())
    expect([open.plan.motor.powerW, open.undo.length, open.redo.length]).toEqual([1100, 1, 1])
    expect(after(power(1100), power(1500), undone(), undone(), redone(), redone()).plan.motor.powerW).toBe(1500)
  })
  test('a new press forgets what was undone', () => {
    expect(after(power(1100), undone(), power(750)).redo).toEqual([])
  })
  test('a press that changes nothing is no step', () => {
    expect(after(power(1100), power(1100)).undo).toHaveLength(1)
  })
  test('nothing to undo is harmless', () => {
    expect(after(undone(), redone()).plan).toEqual(emptyPlan('Lathe'))
  })
  test('the history is bounded', () => {
    expect(after(...Array.from({ length: 260 }, (_, i) => power(100 + i))).undo).toHaveLength(200)
  })
})

describe('keeping', () => {
  test('a kept plan steps the revision and leaves later edits alone, which still wait', () => {
    const first = after(power(1100))
    const open = after(power(1100), power(1500), kept(conversion(first.plan, 2)))
    expect([open.revision, open.plan.motor.powerW, open.keptPlan.motor.powerW, open.keeping.state]).toEqual([
      2,
      1500,
      1100,
      'keeping',
    ])
  })
  test('an answer for another conversion is not taken', () => {
    expect(after(kept({ ...conversion(emptyPlan('x'), 9), id: 'other' })).revision).toBe(1)
  })
  const theirs = conversion({ ...emptyPlan('Lathe'), motor: { powerW: 750 } }, 5)
  test('mine goes on top of theirs', () => {
    const open = after(power(1500), conflicted(theirs), settled('mine'))
    expect([open.plan.motor.powerW, open.revision, open.theirs, open.keptPlan]).toEqual([
      1500,
      5,
      undefined,
      theirs.plan,
    ])
  })
  test('theirs takes the place of mine, with its history', () => {
    const open = after(power(1500), conflicted(theirs), settled('theirs'))
    expect([open.plan, open.undo, open.revision]).toEqual([theirs.plan, [], 5])
  })
})

test('what does not read stays until it does', () => {
  const unread = typedUnread({ path: 'motor.powerW', text: '230 V', message: 'no' })
  expect(after(unread).typed).toEqual({ 'motor.powerW': { text: '230 V', message: 'no' } })
  expect(after(unread, typedRead('motor.powerW')).typed).toEqual({})
})
