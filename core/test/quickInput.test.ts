import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { z } from 'zod'
import { quickInput } from '../src/rules/quickInput'
import { describeRule } from '../src/rulebook/describeRule'
import { rules } from '../src/rulebook/registry'

/** Values of every kind that a key may be given by mistake, and numbers about every limit. */
const anything = fc.oneof(
  fc.double(),
  fc.integer({ min: -10, max: 400 }),
  fc.constantFrom<unknown>(undefined, null, '', 'a', 'star', true, false, NaN, Infinity, -0, [], {}, [1]),
)

describe('the quick way past a schema', () => {
  test.each([...rules.values()].map((r) => [r.id, r] as const))(
    '%s: takes what the schema takes, and as it does',
    (_, r) => {
      const quick = quickInput(r.input)
      const keys = Object.keys(r.input.shape)
      const { example } = describeRule(r)
      expect(quick(example)).toEqual(r.input.parse(example))
      const spoiled = fc.dictionary(fc.constantFrom(...keys, 'strange'), anything, { maxKeys: 3 })
      fc.assert(
        fc.property(spoiled, (spoil) => {
          const given = { ...example, ...spoil }
          const read = quick(given)
          if (read === undefined) return
          const parsed = r.input.safeParse(given)
          expect(parsed.success).toBe(true)
          expect(parsed.data).toEqual(read)
        }),
      )
    },
  )
  test('most rules go by it, whole', () => {
    const past = [...rules.values()].filter((r) => quickInput(r.input)(describeRule(r).example) !== undefined)
    expect(past.length / rules.size).toBeGreaterThan(0.9)
  })
  test('an object judged as a whole is left to its schema, and so is a check it does not know', () => {
    const whole = z.strictObject({ a: z.number() }).refine(({ a }) => a > 1)
    expect(quickInput(whole)({ a: 2 })).toBeUndefined()
    const even = z.strictObject({ a: z.number().refine((a) => a % 2 === 0) })
    expect([quickInput(even)({ a: 2 }), quickInput(even)({ a: 3 })]).toEqual([{ a: 2 }, undefined])
    const few = z.strictObject({ a: z.array(z.number()).min(2) })
    expect(quickInput(few)({ a: [1] })).toBeUndefined()
  })
  test('a key that no schema knows is not passed over', () => {
    expect(quickInput(z.strictObject({ a: z.number() }))({ a: 1, b: 2 })).toBeUndefined()
  })
})
