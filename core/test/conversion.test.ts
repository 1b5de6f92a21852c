import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { types } from 'node:util'
import { card } from '../src/card/cardOf'
import { steps } from '../src/card/steps'
import { conversion, judgedPart } from '../src/conversion/conversion'
import { mount } from '../src/conversion/mount'
import { runIn } from '../src/conversion/runIn'
import { dial } from '../src/dial/dialOf'
import { sameValue } from '../src/graph/sameValue'
import { applyPatch, emptyPlan, set, type Patch, type Plan } from '../src/plan'
import { sheets } from '../src/schematic/sheets'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlan, demoPlans } from './demoPlans'
import { runs } from './effort'
import { mistakes, soundPlan } from './mistakes'
import { measuredBy, soundReadings } from './readings'

const further = [card, steps, sheets, runIn, mount, dial]
const whole = (of: ReturnType<typeof conversion>): unknown[] => [
  ...(Object.values(of.evaluation) as unknown[]),
  ...further.map((one) => of.of<unknown>(one)),
]
const ran = (before: Plan, patch: Patch) => {
  const was = conversion(before)
  whole(was)
  const now = conversion(applyPatch(before, patch), { before: was })
  whole(now)
  return now.graph.ran
}

describe('a conversion that goes on from another', () => {
  const says = (plan: Plan, before?: ReturnType<typeof conversion>) => {
    const of = conversion(plan, { before })
    return { of, said: { ...of.evaluation }, further: further.map((one) => of.of<unknown>(one)) }
  }
  test('says what one says that is made anew: one mistake after another', () => {
    let last = conversion(soundPlan())
    for (const [, , patch] of mistakes.filter((_, i) => i % 6 === 0)) {
      const anew = says(applyPatch(soundPlan(), patch))
      const { of, said, further: rest } = says(applyPatch(soundPlan(), patch), last)
      expect(said).toEqual(anew.said)
      expect(rest).toEqual(anew.further)
      last = of
    }
  })
  test('whatever plan comes after whatever other', () => {
    fc.assert(
      fc.property(arbitraryPlan, arbitraryPlan, (one, other) => {
        const first = conversion(one)
        whole(first)
        expect({ ...conversion(other, { before: first }).evaluation }).toEqual({ ...conversion(other).evaluation })
      }),
      runs(100),
    )
  })
  test('and when readings come and go', () => {
    const plan = applyPatch(soundPlan(), [set('survey.coastS', undefined), set('survey.coastFromRpm', undefined)])
    const readings = measuredBy(...soundReadings)
    const without = conversion(plan)
    whole(without)
    const read = conversion(plan, { readings, before: without })
    expect({ ...read.evaluation }).toEqual({ ...conversion(plan, { readings }).evaluation })
    expect({ ...read.evaluation }).not.toEqual({ ...without.evaluation })
    expect({ ...conversion(plan, { before: read }).evaluation }).toEqual({ ...without.evaluation })
  })
  test('works out nothing where nothing changed, and nothing that a change cannot reach', () => {
    expect(ran(soundPlan(), [])).toEqual([])
    // What prints the name is made anew, and no figure and no judgement.
    expect(ran(soundPlan(), [set('name', 'Another')]).filter((name) => !['card', 'steps'].includes(name))).toEqual([])
    const power = ran(soundPlan(), [set('motor.powerW', 1490)])
    expect(power).toContain('motor')
    // No wire depends on the motor's power.
    expect(power).not.toContain('wired')
    expect(power).not.toContain('sheets')
    expect(power.filter((name) => name.startsWith('wiring.'))).toEqual([])
    expect(new Set(power).size).toBe(power.length)
  })
  test('keeps what says the same: whoever looks at it sees no change', () => {
    const was = conversion(soundPlan())
    whole(was)
    const now = conversion(applyPatch(soundPlan(), [set('motor.powerW', 1490)]), { before: was })
    expect(now.evaluation.firstSteps).toBe(was.evaluation.firstSteps)
    expect(now.facts.wiring.wiring).toBe(was.facts.wiring.wiring)
    expect(now.evaluation.figures['supply.voltageV']).toBe(was.evaluation.figures['supply.voltageV'])
    expect(now.evaluation.figures['motor.powerW']).not.toBe(was.evaluation.figures['motor.powerW'])
  })
  test('a frozen plan, as the page keeps it, is seen through as any other', () => {
    const frozen = <T>(value: T): T => {
      if (typeof value === 'object' && value !== null) Object.values(Object.freeze(value)).forEach(frozen)
      return value
    }
    const plan = frozen(demoPlan('gap-bed-lathe'))
    expect(whole(conversion(plan))).toEqual(whole(conversion(demoPlan('gap-bed-lathe'))))
  })
})

test('no part holds on to the window through which its maker looked', () => {
  const windows = (value: unknown, at: string, seen = new Set<unknown>()): string[] => {
    if (typeof value !== 'object' || value === null || seen.has(value)) return []
    seen.add(value)
    if (types.isProxy(value)) return [at]
    return Object.entries(value).flatMap(([key, inner]) => windows(inner, `${at}.${key}`, seen))
  }
  for (const plan of [...demoPlans.values(), emptyPlan('x')]) {
    const of = conversion(plan)
    const made = { ...of.evaluation, further: further.map((one) => of.of<unknown>(one)) }
    expect(windows(made, 'evaluation')).toEqual([])
    expect(
      ['motor', 'drive', 'speeds', 'stop', 'settings', 'wiring', 'torque', 'belts', 'jobs'].flatMap((name) =>
        windows(of.facts[name as 'motor'], name),
      ),
    ).toEqual([])
  }
})

test('a part that rests on itself says so', () => {
  const round: ReturnType<typeof judgedPart<number>> = judgedPart('round', (of): number => of.of(round) + 1)
  expect(() => conversion(emptyPlan('x')).of(round)).toThrow('The part round rests on itself')
})

describe('what says the same', () => {
  test('by what is in it, and not by a key that is not there', () => {
    expect(sameValue({ a: [1, { b: NaN }] }, { a: [1, { b: NaN }] })).toBe(true)
    expect(sameValue({ a: undefined }, { b: undefined })).toBe(false)
    expect(sameValue(new Map([['a', 1]]), new Map([['a', 2]]))).toBe(false)
    expect(sameValue(new Set([1]), new Set([1]))).toBe(true)
    expect(sameValue(new Date(0), new Date(0))).toBe(false)
    fc.assert(fc.property(fc.jsonValue(), (value) => expect(sameValue(value, structuredClone(value))).toBe(true)))
  })
})
