import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  codeNamed,
  decode,
  emptyManual,
  encode,
  isNumber,
  manualSchema,
  sameCode,
  sameValue,
  settingsOf,
  type ManualCode,
  type ShareOf,
} from '../src/manual'
import { shippedManuals } from './shippedManuals'

const code = (c: Record<string, unknown>): ManualCode => {
  const [made] = manualSchema.parse({ ...emptyManual('x'), codes: [{ code: 'c', words: 'c', ...c }] }).codes
  if (!made) throw new Error('no code')
  return made
}

const of: ShareOf = { baseHz: 50, maximumHz: 90, motorA: 6, motorV: 230, driveA: 8 }

describe('a value in the drive’s writing', () => {
  test('tenths, thousands and shares', () => {
    const tenths = code({ sets: 'accelerationS', counts: { each: 0.1 } })
    expect(encode(tenths, { accelerationS: 5 }, of)).toBe('50')
    expect(decode(tenths, '50', of)).toEqual({ accelerationS: 5 })
    const kilo = code({ sets: 'ratedPowerW', counts: { each: 1000, decimals: 2 } })
    expect(encode(kilo, { ratedPowerW: 1500 }, of)).toBe('1.50')
    const share = code({ sets: 'currentLimitA', counts: { each: 0.01, shareOf: 'motor-amps' } })
    expect(encode(share, { currentLimitA: 9 }, of)).toBe('150')
    expect(decode(share, '150 %', of)).toEqual({ currentLimitA: 9 })
    expect(encode(share, { currentLimitA: 9 }, {})).toEqual({ why: 'share-unknown' })
  })
  test('limits are never passed by rounding, ramps never cut short by it', () => {
    const amps = code({ sets: 'overloadA', counts: { decimals: 1 } })
    expect(encode(amps, { overloadA: 5.96 }, of)).toBe('5.9')
    const ramp = code({ sets: 'decelerationS', counts: { decimals: 1 } })
    expect(encode(ramp, { decelerationS: 4.51 }, of)).toBe('4.6')
    expect(encode(ramp, { decelerationS: 0.1 + 0.2 }, of)).toBe('0.3')
    const coarse = code({ sets: 'carrierHz', counts: { each: 1000, decimals: 1 }, step: 0.5 })
    expect(encode(coarse, { carrierHz: 4200 }, of)).toBe('4.0')
  })
  test('what it does not take says at which end', () => {
    const top = code({ sets: 'maximumHz', counts: { decimals: 1 }, least: 20, most: 60 })
    expect(encode(top, { maximumHz: 90 }, of)).toEqual({ why: 'above-most', nearest: '60.0' })
    expect(encode(top, { maximumHz: 10 }, of)).toEqual({ why: 'below-least', nearest: '20.0' })
    const list = code({ sets: 'stopMode', values: [{ value: '1', means: 'Ramps', is: { stopMode: 'ramp' } }] })
    expect(encode(list, { stopMode: 'coast' }, of)).toEqual({ why: 'no-such-value' })
  })
  test('digits of which nothing is wanted stay', () => {
    const digits = code({
      digits: [
        {
          name: 'start',
          values: [
            { digit: '0', means: 'x' },
            { digit: '7', means: 'y' },
          ],
        },
        {
          name: 'stop',
          values: [
            { digit: '0', means: 'ramp', is: { stopMode: 'ramp' } },
            { digit: '1', means: 'coast', is: { stopMode: 'coast' } },
          ],
        },
      ],
    })
    expect(encode(digits, { stopMode: 'coast' }, of, '70')).toBe('71')
    expect(decode(digits, '71', of)).toEqual({ stopMode: 'coast' })
    expect([decode(digits, '7', of), decode(digits, '79', of)]).toEqual([undefined, undefined])
  })
  test('one code that selects the motor', () => {
    const motors = code({
      values: [
        { value: 'a', means: 'small', is: { ratedPowerW: 370, motorPoles: 4 } },
        { value: 'b', means: 'quick', is: { ratedPowerW: 370, motorPoles: 2 } },
      ],
    })
    expect(settingsOf(motors)).toEqual(['ratedPowerW', 'motorPoles'])
    expect(encode(motors, { ratedPowerW: 370, motorPoles: 2 }, of)).toBe('b')
    expect(encode(motors, { ratedPowerW: 1500, motorPoles: 4 }, of)).toEqual({ why: 'no-such-value' })
  })
})

describe('writing and reading are inverse', () => {
  const written = (c: ManualCode): fc.Arbitrary<string> => {
    if (c.digits)
      return fc.tuple(...c.digits.map((d) => fc.constantFrom(...d.values.map((v) => v.digit)))).map((d) => d.join(''))
    if (!isNumber(c)) return fc.constantFrom(...c.values.map((v) => v.value))
    const decimals = c.counts?.decimals ?? 0
    const step = c.step ?? 10 ** -decimals
    const [least, most] = [Math.ceil((c.least ?? 0) / step), Math.floor((c.most ?? 1000) / step)]
    return fc.integer({ min: least, max: most }).map((n) => (n * step).toFixed(decimals))
  }
  for (const [name, manual] of shippedManuals)
    if (manual.codes.length > 0)
      test(`${name}: every value that it may show, read and written again, is that value`, () => {
        const decided = manual.codes.filter((c) => settingsOf(c).length > 0)
        fc.assert(
          fc.property(
            fc.constantFrom(...decided).chain((c) => fc.tuple(fc.constant(c), written(c))),
            ([c, text]) => {
              const meant = decode(c, text, of)
              // A place that means nothing to the product stays as it was.
              expect(meant).toBeDefined()
              const again = encode(c, meant ?? {}, of, text)
              expect(typeof again === 'string' && sameValue(c, again, text)).toBe(true)
            },
          ),
        )
      })
  test('what is wanted comes back to a step', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0.01, 0.1, 1, 10, 1000),
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: 0.5, max: 5000, noNaN: true }),
        (each, decimals, value) => {
          const c = code({ sets: 'ratedSpeedRpm', counts: { each, decimals } })
          const text = encode(c, { ratedSpeedRpm: value }, of)
          const back = typeof text === 'string' ? decode(c, text, of)?.ratedSpeedRpm : undefined
          expect(Math.abs(Number(back) - value)).toBeLessThanOrEqual((each * 10 ** -decimals) / 2 + 1e-6)
        },
      ),
    )
  })
})

describe('a code as somebody writes it', () => {
  test.each([
    ['plain', 'h02', 'H2', true],
    ['plain', 'h02', 'h 02', true],
    ['plain', 'h02', '2', true],
    ['plain', 'h02', 'h20', false],
    ['groups', 'set 2/1', '2-1', true],
    ['groups', 'set 2/1', 'SET2.1', true],
    ['groups', 'set 2/1', 'set 2/10', false],
    ['decimals', '1.10', '1.1', true],
    ['decimals', '1.05', '1.5', false],
    ['words', 'top', 'Top', true],
    ['words', 'top', 'up', false],
  ] as const)('%s: %s and %s', (scheme, a, b, same) => expect(sameCode(scheme, a, b)).toBe(same))
  test('is the only one that it can be', () => {
    const manual = manualSchema.parse({
      ...emptyManual('x'),
      scheme: 'plain',
      codes: [
        { code: 'a1', words: 'a' },
        { code: 'b1', words: 'b' },
        { code: 'b2', words: 'c' },
      ],
    })
    expect(codeNamed(manual, 'B1')?.code).toBe('b1')
    expect(codeNamed(manual, '2')?.code).toBe('b2')
    expect(codeNamed(manual, '1')).toBeUndefined()
  })
})
