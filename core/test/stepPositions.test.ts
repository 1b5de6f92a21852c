import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { stepPositions, type StepTrain } from '../src/speeds/stepPositions'
import { messageText } from '../src/quantities'

const three = { driverMm: [90, 125, 160], drivenMm: [190, 155, 120] }
const train = (more: Partial<StepTrain> = {}): StepTrain => ({ kind: 'v-belt', pairs: [three], gears: [], ...more })
const plain = (said: Parameters<typeof messageText>[0] | undefined) => messageText(said ?? []).replace(/\s/g, ' ')

test('three steps are three positions, fastest first', () => {
  const made = stepPositions(train())
  expect(made.map((c) => [c.name, c.not])).toEqual([
    ['3', undefined],
    ['2', undefined],
    ['1', undefined],
  ])
  expect(made.map((c) => c.speedRatio)).toEqual([160 / 120, 125 / 155, 90 / 190].map((r) => expect.closeTo(r, 9)))
})

test('a countershaft and a back gear multiply them', () => {
  const made = stepPositions(
    train({
      pairs: [three, { driverMm: [100, 140], drivenMm: [140, 100], centreMm: 500 }],
      gears: [
        { driver: 28, driven: 42 },
        { driver: 30, driven: 45 },
      ],
    }),
  )
  expect(made).toHaveLength(12)
  const slowest = made[made.length - 1]
  expect(slowest?.name).toBe('1-1, geared')
  expect(slowest?.speedRatio).toBeCloseTo((90 / 190) * (100 / 140) * (28 / 42) * (30 / 45), 9)
  expect(slowest?.stages).toHaveLength(4)
  expect(slowest?.stages[1]?.centreMm).toBe(500)
})

describe('what cannot be set is named', () => {
  test('a step that wants another belt', () => {
    const made = stepPositions(
      train({ pairs: [{ driverMm: [90, 125, 160], drivenMm: [190, 155, 200], centreMm: 400 }] }),
    )
    // 360 of diameters against 280: about half pi of the 80 mm between them.
    const not = plain(made.find((c) => c.name === '3')?.not)
    expect(not).toMatch(/^step 3 wants a belt 12\d(\.\d)? mm longer than the others$/)
    expect(made.filter((c) => c.not)).toHaveLength(1)
  })
  test('pulleys that would overlap', () => {
    const made = stepPositions(train({ pairs: [{ ...three, centreMm: 130 }] }))
    expect(made.map((c) => plain(c.not))).toEqual(Array(3).fill('its pulleys would overlap'))
  })
  test('a speed that another gives', () => {
    const same = { driverMm: [100, 150], drivenMm: [150, 100], centreMm: 400 }
    const made = stepPositions(train({ pairs: [same, same] }))
    expect(made.map((c) => [c.name, plain(c.not)])).toEqual([
      ['2-2', ''],
      ['1-2', ''],
      ['2-1', 'the same speed as 1-2'],
      ['1-1', ''],
    ])
  })
})

test('faces that do not match give nothing', () => {
  expect(stepPositions(train({ pairs: [{ driverMm: [90, 125], drivenMm: [190] }] }))).toEqual([])
  expect(stepPositions(train({ pairs: [] }))).toEqual([])
})

test('the ladder of positions falls, and those that can be set stand apart', () => {
  const sizes = fc.array(fc.integer({ min: 60, max: 300 }), { minLength: 3, maxLength: 3 })
  fc.assert(
    fc.property(sizes, sizes, sizes, sizes, (a, b, c, d) => {
      const made = stepPositions(
        train({
          pairs: [
            { driverMm: a, drivenMm: b },
            { driverMm: c, drivenMm: d },
          ],
        }),
      )
      expect(made).toHaveLength(9)
      const ratios = made.map((m) => m.speedRatio)
      expect(ratios).toEqual([...ratios].sort((x, y) => y - x))
      const useful = made.filter((m) => !m.not).map((m) => m.speedRatio)
      useful.slice(1).forEach((r, i) => expect((useful[i] ?? 0) / r).toBeGreaterThanOrEqual(1.02))
    }),
  )
})
