import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import type { Figure } from '../src/facts/figure'
import type { FigureId } from '../src/facts/figureId'
import { applyPatch, set, stageOfKind, type Plan, type StageFields } from '../src/plan'
import { messageText } from '../src/quantities'
import { demoPlan } from './demoPlans'

/** The gap-bed lathe with its middle position, 90 on 224 mm, told further. */
const told = (more: StageFields, at = 0): Plan => {
  const plan = demoPlan('gap-bed-lathe')
  const stage = { ...plan.survey.positions[1]?.transmission[at], ...more }
  return applyPatch(plan, [set(`survey.positions.1.transmission.${at}`, stageOfKind(stage, stage.kind))])
}
const figuresOf = (plan: Plan) => {
  const { figures } = evaluate(plan)
  return (id: string): Figure | undefined => figures[`position.b.${id}` as FigureId]
}
const findingOf = (plan: Plan, id: string) => evaluate(plan).findings.find((f) => f.id.startsWith(id))
const plain = (said: Parameters<typeof messageText>[0] | undefined) => messageText(said ?? []).replace(/\s/g, ' ')

describe('what a belt bears', () => {
  const bears = { section: 'a', centreMm: 410, belts: 1, beltMm: undefined } as const
  test('by its section, as a planning value, with how many the motor wants', () => {
    const figure = figuresOf(told(bears))
    expect(figure('belt1.beltW')?.value).toBeCloseTo(1007.7, 0)
    expect(figure('belt1.beltW')?.restsOnTypical).toBe(true)
    // 1.5 kW and a fifth more over 1.01 kW.
    expect(figure('belt1.beltsWanted')?.value).toBe(2)
  })
  test('by its maker where that was typed, and then nothing rests on a planning value but the fifth', () => {
    const figure = figuresOf(told({ ...bears, ratedBeltW: 1000 }))
    expect([figure('belt1.beltW'), figure('belt1.beltsWanted')?.value]).toEqual([undefined, 2])
  })
  test('too weak: the remedy is the next pair in the same ratio that does bear it', () => {
    const plan = told(bears)
    const finding = findingOf(plan, 'belts.too-weak')
    expect(plain(finding?.says)).toMatch(/One belt bears about 1\.01 kW at rated speed; the motor would want 2/)
    expect(finding?.remedies.map((r) => plain(r.label))).toEqual(['Pulleys of 140 mm and 348 mm, the same ratio'])
    expect(findingOf(applyPatch(plan, finding?.remedies[0]?.patch ?? []), 'belts.too-weak')).toBeUndefined()
  })
  test('behind a back gear it turns slower and pulls harder', () => {
    const plan = applyPatch(told({}), [
      set('survey.positions.1.transmission', [
        { kind: 'gear-pair', driverTeeth: 20, drivenTeeth: 40 },
        { kind: 'v-belt', section: 'a', driverMm: 90, drivenMm: 224, centreMm: 410 },
      ]),
    ])
    const figure = figuresOf(plan)
    expect(figure('belt2.smallRpm')?.value).toBeCloseTo(710, 6)
    expect(figure('belt2.startNm')?.value).toBeCloseTo(2 * 1.5 * 10.087, 2)
  })
})

describe('what a belt holds', () => {
  test('the pull it wants, and how that feels in the middle of the span', () => {
    const figure = figuresOf(told({ centreMm: 410, belts: 2 }))
    const standing = figure('belt1.staticTensionN')?.value ?? 0
    expect(figure('belt1.eachN')?.value).toBeCloseTo(standing / 2, 6)
    expect(figure('belt1.deflectionMm')?.value).toBeCloseTo(404.489 / 64, 3)
    expect(figure('belt1.deflectionForceN')?.value).toBeCloseTo(standing / 32, 6)
  })
  test('what rests on a planning value says so, all the way down', () => {
    const figure = figuresOf(told({ centreMm: 410, belts: 2, deflectionForceN: 9, deflectionMm: 6, ratedBeltW: 900 }))
    const typical = [
      'startNm',
      'staticTensionN',
      'eachN',
      'deflectionForceN',
      'slipsNm',
      'beltsWanted',
      'nearest',
      'farthest',
    ]
    expect(typical.map((id) => [id, figure(`belt1.${id}`)?.restsOnTypical])).toEqual(typical.map((id) => [id, true]))
    // A length, a wrap and a tension that was felt rest on what was measured alone.
    const measured = ['length', 'wrap', 'foundN']
    expect(measured.map((id) => [id, figure(`belt1.${id}`)?.restsOnTypical])).toEqual(measured.map((id) => [id, false]))
  })
  test('pressed with just that force it holds a start and no more', () => {
    const wanted = figuresOf(told({ centreMm: 410, belts: 2 }))
    const figure = figuresOf(
      told({
        centreMm: 410,
        belts: 2,
        deflectionForceN: wanted('belt1.deflectionForceN')?.value,
        deflectionMm: wanted('belt1.deflectionMm')?.value,
      }),
    )
    expect(figure('belt1.slipsNm')?.value).toBeCloseTo(figure('belt1.startNm')?.value ?? 0, 6)
  })
  test('slack, the numbers are said', () => {
    const plan = told({ centreMm: 410, belts: 2, deflectionForceN: 5, deflectionMm: 6 })
    expect(plain(findingOf(plan, 'belts.slips-at-start')?.says)).toMatch(
      /it holds 9\.36 N m on the small pulley; a start can ask 15\.1 N m\. It has 169 N a side at rest and wants 272 N/,
    )
  })
})

describe('a belt in grooves cut for another', () => {
  test('runs on other diameters, and every speed counts that', () => {
    const figure = figuresOf(told({ section: 'a', grooves: 'b', driverMm: 140, drivenMm: 250 }))
    expect(figure('belt1.driverMm')?.value).toBeCloseTo(130.1874, 3)
    // The larger pulley is cut at 38 degrees.
    expect(figure('belt1.drivenMm')?.value).toBeCloseTo(250 - 2 * 4.3563, 3)
    expect(figure('speedRatio')?.value).toBeCloseTo(130.1874 / (250 - 8.7126), 6)
  })
  test('says where it bottoms, and that the right belt mends it', () => {
    const plan = told({ section: 'spz', grooves: 'a', beltMm: undefined })
    const finding = findingOf(plan, 'belts.strange-groove')
    expect(plain(finding?.title)).toBe('The belt of B rests on the bottom of its grooves')
    const mended = applyPatch(plan, finding?.remedies[0]?.patch ?? [])
    expect(mended.survey.positions[1]?.transmission[0]).toMatchObject({ section: 'a' })
    expect(figuresOf(mended)('speedRatio')?.value).toBeCloseTo(90 / 224, 9)
  })
  test('in its own grooves nothing changes', () => {
    expect(figuresOf(told({ section: 'a', grooves: 'a' }))('speedRatio')?.value).toBeCloseTo(90 / 224, 9)
  })
})

describe('timing belts', () => {
  const timing = told({ kind: 'timing-belt', section: 'tooth-l', driverTeeth: 24, drivenTeeth: 60, centreMm: 400 })
  test('lie by the diameters of their teeth, with the stock belt next to them', () => {
    const figure = figuresOf(timing)
    expect(figure('belt1.driverMm')?.value).toBeCloseTo(72.766, 3)
    expect(figure('belt1.drivenMm')?.value).toBeCloseTo((60 * 9.525) / Math.PI, 6)
    expect((figure('belt1.stock')?.value ?? 0) % 9.525).toBeCloseTo(0, 9)
    expect(figure('speedRatio')?.value).toBeCloseTo(24 / 60, 9)
    expect(figure('belt1.inMesh')?.value).toBeGreaterThanOrEqual(6)
  })
  test('bear what their maker says; nothing is made up', () => {
    const figure = figuresOf(timing)
    expect(['beltW', 'staticTensionN', 'deflectionForceN'].map((id) => figure(`belt1.${id}`))).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
  test('a section of another form says nothing of them', () => {
    const figure = figuresOf(told({ kind: 'timing-belt', section: 'a', driverMm: 24, drivenMm: 60, centreMm: 400 }))
    expect([figure('belt1.stock'), figure('belt1.inMesh')]).toEqual([undefined, undefined])
  })
})

describe('the bore of the motor’s pulley', () => {
  test('is held against the shaft of its frame, with its key and the iron that stays', () => {
    const plan = told({ section: 'a', boreMm: 19 })
    expect(plain(findingOf(plan, 'belts.bore')?.says)).toMatch(
      /From 19 mm to 24 mm, with a keyway 8 mm wide and 3\.3 mm deep over the bore; 21 mm of iron stay/,
    )
  })
  test('too large, it wants a sleeve; the same, nothing', () => {
    expect(plain(findingOf(told({ section: 'a', boreMm: 28 }), 'belts.bore')?.says)).toMatch(/a keyed sleeve of 2 mm/)
    expect(findingOf(told({ section: 'a', boreMm: 24 }), 'belts.bore')).toBeUndefined()
  })
})

test('the slot is held against the room a belt wants, to fit it and to tension it', () => {
  const says = (stage: StageFields) =>
    plain(findingOf(told({ centreMm: 412, ...stage }), 'belts.no-room/position-b')?.says)
  expect(says({ slotLeastMm: 385, slotMostMm: 460 })).toBe('')
  expect(says({ slotLeastMm: 385, slotMostMm: 430 })).toMatch(/wants up to 451\.\d mm .* ends at 430 mm/)
  expect(says({ slotLeastMm: 400, slotMostMm: 460 })).toMatch(/wants 392\.\d mm .* begins at 400 mm/)
})

test('of the stock belts next to a length one is named with which the motor stands in its slot', () => {
  const stock = (stage: StageFields) => figuresOf(told({ section: 'a', centreMm: 412, ...stage }))('belt1.stock')?.value
  expect(stock({ slotLeastMm: undefined, slotMostMm: undefined })).toBe(1250)
  expect(stock({ slotLeastMm: 385, slotMostMm: 470 })).toBe(1430)
  // None of the nearest few: the nearest is named all the same, and the figure beside it tells where the motor sits.
  expect(stock({ slotLeastMm: 400, slotMostMm: 430 })).toBe(1250)
})
