import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { axisNumbers, isHad } from '../src/axes/axisNumbers'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, fieldAt, set, type Axis } from '../src/plan'
import { messageText } from '../src/quantities'
import { soundAxis } from './axisMistakes'
import { soundPlan } from './mistakes'

const had = <T>(of: { value: T } | { missing: string[] }): T => {
  if (!isHad(of as { value: T } | { missing: never[] }))
    throw new Error(`missing ${(of as { missing: string[] }).missing.join()}`)
  return (of as { value: T }).value
}
const axis = (changes: Partial<Axis>): Axis => ({ ...soundAxis, ...changes })

describe('the numbers of an axis', () => {
  test('a screw of 5 mm driven 2 to 1: 800 pulses a millimetre, and the feed by the motor’s rpm', () => {
    const { pulses, feed, forceN, resistor, unit } = axisNumbers(soundAxis)
    expect([unit, had(pulses)]).toEqual(['mm', { pulsesPerUnit: 800, turnsPerUnit: 0.4 }])
    // 1000 / 0.4; the pulses would do 60 x 100 000 / 800 = 7500.
    expect(had(feed)).toEqual({ maxFeedPerMin: 2500, limitedBy: 'motor' })
    // 2 pi 0.9 x 4 N m / 5 mm.
    expect(had(forceN)).toBeCloseTo(4523.893, 2)
    expect(had(resistor)).toEqual({ suggestedOhm: 2200, plateW: 0.5 })
  })
  test('the same screw counted in inches, a table in degrees, a belt by its teeth', () => {
    expect(had(axisNumbers(axis({ unit: 'inch' })).pulses).pulsesPerUnit).toBeCloseTo(800 * 25.4, 6)
    const table = axisNumbers(axis({ moves: 'table', tableRatio: 90, motorTeeth: undefined, drivenTeeth: undefined }))
    // 2000 pulses by 90 turns over 360 degrees.
    expect([table.unit, had(table.pulses).pulsesPerUnit]).toEqual(['degrees', 500])
    expect(table.forceN).toEqual({ missing: [], because: 'A table turns; it pushes nothing' })
    const belt = axisNumbers(axis({ moves: 'belt', travelMm: 60, motorTeeth: undefined, drivenTeeth: undefined }))
    expect(had(belt.pulses).pulsesPerUnit).toBeCloseTo(2000 / 60, 9)
  })
  test('says what it waits for, by field, and promises no feed without the motor’s rpm', () => {
    expect(axisNumbers({ id: 'x' }).pulses).toEqual({ missing: ['moves', 'pulsesPerTurn'] })
    expect(axisNumbers(axis({ torqueRpm: undefined })).feed).toEqual({ missing: ['torqueRpm'] })
    expect(axisNumbers(axis({ drivenTeeth: undefined })).pulses).toEqual({ missing: ['drivenTeeth'] })
    expect(axisNumbers(axis({ inputA: undefined })).resistor).toEqual({ missing: ['inputA'] })
    expect(axisNumbers(axis({ signalV: 5 })).resistor).toEqual({ value: undefined })
  })
  test('a move of one unit asks as many pulses as the controller is set to, whatever the axis', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 20_000 }),
        fc.double({ min: 0.5, max: 100, noNaN: true }),
        fc.integer({ min: 8, max: 100 }),
        fc.integer({ min: 8, max: 100 }),
        fc.constantFrom('mm' as const, 'inch' as const),
        (pulsesPerTurn, travelMm, motorTeeth, drivenTeeth, unit) => {
          const { pulsesPerUnit } = had(
            axisNumbers(axis({ pulsesPerTurn, travelMm, motorTeeth, drivenTeeth, unit })).pulses,
          )
          const motorTurns = pulsesPerUnit / pulsesPerTurn
          const movedMm = motorTurns * (motorTeeth / drivenTeeth) * travelMm
          expect(movedMm).toBeCloseTo(unit === 'inch' ? 25.4 : 1, 6)
        },
      ),
    )
  })
})

describe('judgements of an axis', () => {
  const answersOf = (axes: Axis[] | undefined) =>
    evaluate(applyPatch(soundPlan(), [set('axes', axes)])).judged.filter(({ id }) => id.startsWith('axis.'))
  test('do not apply where there is none, and are all good on a sound one', () => {
    expect(answersOf(undefined).map((l) => l.answer)).toEqual(Array(11).fill('does-not-apply'))
    expect(answersOf([soundAxis]).map((l) => [l.id, l.answer])).toEqual(
      ['feed', 'signal', 'falls', 'limits', 'alarm', 'supply', 'enable', 'shield', 'backlash', 'homing', 'moved'].map(
        (id) => [`axis.${id}/x`, 'good'],
      ),
    )
  })
  test('of an axis of which nothing is known each waits for its own fields', () => {
    const all = answersOf([{ id: 'a' }, { ...soundAxis, id: 'b' }])
    for (const line of all.filter(({ id }) => id.endsWith('/a'))) {
      expect([line.id, line.answer]).toEqual([line.id, 'cannot-be-judged'])
      expect(line.missing.length).toBeGreaterThan(0)
      for (const path of line.missing) expect([path, fieldAt(path).stage]).toEqual([path, 'speeds'])
    }
    expect(all.filter(({ id }) => id.endsWith('/b')).every(({ answer }) => answer === 'good')).toBe(true)
  })
  test('a lead that is off by no round number of pulses is told, and no remedy is guessed', () => {
    // 51 pulses a turn make 20.4 a millimetre.
    const plan = applyPatch(soundPlan(), [
      set('axes', [axis({ triedPulses: 20.4, movedUnits: 10.4, pulsesPerTurn: 51 })]),
    ])
    const found = evaluate(plan).findings.find(({ id }) => id === 'axis.moved/x')
    expect(found && messageText(found.says)).toMatch(/it takes 19\.62; the plan comes to 20\.4/)
    expect(found?.remedies).toEqual([])
  })
  test('a controller that was set otherwise at the try is no fault of the plan', () => {
    const plan = applyPatch(soundPlan(), [set('axes', [axis({ triedPulses: 400, movedUnits: 5 })])])
    expect(evaluate(plan).judged.find(({ id }) => id === 'axis.moved/x')?.answer).toBe('good')
  })
})
