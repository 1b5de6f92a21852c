import { describe, expect, test } from '@jest/globals'
import type { UnitSystem } from '@zesty/core'
import fc from 'fast-check'
import { printTurned, readTurned, type TurnedStep } from '../src/stages/survey/readTurned'

const read = (text: string, units: UnitSystem = 'metric') => {
  const result = readTurned(text, units)
  return result.ok ? result.value.map(({ outerMm, lengthMm, boreMm }) => [outerMm, lengthMm, boreMm]) : result.message
}

describe('something turned, typed step by step', () => {
  test.each([
    [
      '250 x 60, 120 x 40 bore 35',
      [
        [250, 60, undefined],
        [120, 40, 35],
      ],
    ],
    [
      '250x60+120x40',
      [
        [250, 60, undefined],
        [120, 40, undefined],
      ],
    ],
    [
      'Ø250 × 60; ø120 × 40, bore of 35 mm',
      [
        [250, 60, undefined],
        [120, 40, 35],
      ],
    ],
    [
      '250x60,120x40',
      [
        [250, 60, undefined],
        [120, 40, undefined],
      ],
    ],
    ['62,5 x 20', [[62.5, 20, undefined]]],
    ['25 cm x 6 cm', [[250, 60, undefined]]],
    [
      '10 x 2 1/2, 4 x 1 bore 1 1/4 in',
      [
        [254, 63.5, undefined],
        [101.6, 25.4, 31.75],
      ],
    ],
    ['', []],
  ])('%s', (text, steps) => {
    const found = read(text)
    expect(Array.isArray(found) ? found.map((step) => step.map((n) => n && Math.round(n * 1e6) / 1e6)) : found).toEqual(
      steps,
    )
  })
  test.each([
    ['250', /"250" is no step: outside x length, such as 250 x 60/],
    ['250 x wide', /"wide" in "250 x wide" is no size/],
    ['100 x 20 bore 100', /the bore is no smaller than the outside/],
    ['9000 x 20', /beyond 0\.1 to 3000 mm/],
    [Array.from({ length: 13 }, () => '10 x 10').join(', '), /At most 12/],
  ])('%s is refused with what would work', (text, message) => expect(read(text)).toMatch(message))
  test('what is printed reads as the same, in both systems', () => {
    const steps = fc.array(
      fc
        .tuple(
          fc.integer({ min: 20, max: 3000 }),
          fc.integer({ min: 1, max: 3000 }),
          fc.option(fc.integer({ min: 1, max: 19 })),
        )
        .map(([outerMm, lengthMm, boreMm]): TurnedStep => ({
          outerMm,
          lengthMm,
          ...(boreMm === null ? {} : { boreMm }),
        })),
      { maxLength: 12 },
    )
    fc.assert(
      fc.property(steps, fc.constantFrom<UnitSystem>('metric', 'imperial'), (typed, units) => {
        const again = readTurned(printTurned(typed, units), units)
        expect(again.ok && printTurned(again.value, units)).toBe(printTurned(typed, units))
      }),
    )
  })
})
