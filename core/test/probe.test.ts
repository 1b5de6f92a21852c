import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { nextQuestion, remaining } from '../src/card/probe/narrow'
import { nothingOnRun } from '../src/card/probe/nothingOnRun'
import { deductions } from '../src/card/probe/deductions'
import { nextTest, probeTests } from '../src/card/probe/probeTests'
import { applyPatch, emptyPlan, readPlan, set, type Plan } from '../src/plan'
import { demoPlan, demoPlans } from './demoPlans'

const told = (plan: Plan, answers: Record<string, string>) =>
  Object.fromEntries(deductions(plan, answers).map((d) => [d.id, d]))

const after = (plan: Plan, answers: Record<string, string>): Plan => {
  const next = deductions(plan, answers).reduce((p, { patch }) => applyPatch(p, patch), plan)
  const read = readPlan(next)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return next
}

describe('what is tried on a drive', () => {
  const plan = applyPatch(emptyPlan('x'), [set('supply.frequencyHz', 50)])

  test('tells what it listens to, and a key that holds it from a setting', () => {
    expect(after(plan, { switch: 'runs', key: 'nothing' }).settings).toMatchObject({
      inDrive: { commandSource: 'terminals' },
      keyState: 'terminals',
    })
    // By these alone it may be either: a key, or the setting.
    expect(told(plan, { switch: 'nothing', key: 'runs' })['source']).toBeUndefined()
    expect(nextTest({ switch: 'nothing', key: 'runs' })?.id).toBe('local')
    const held = after(plan, { switch: 'nothing', key: 'runs', local: 'runs' })
    expect(held.settings).toMatchObject({ inDrive: { commandSource: 'terminals' }, keyState: 'keypad' })
    const none = after(plan, { switch: 'nothing', key: 'runs', local: 'no-key' })
    expect(none.settings.inDrive.commandSource).toBe('keypad')
    expect(told(plan, { switch: 'nothing', key: 'nothing' })['neither']).toBeDefined()
  })

  test('tells of answers that go together on no drive', () =>
    expect(told(plan, { switch: 'runs', key: 'runs' })['contradiction']).toBeDefined())

  test('tells the ends of the knob, how it is read, and the other half of the world', () => {
    const made = after(plan, { knob: 'follows', 'knob-low': '10', 'knob-mid': '35 Hz', 'knob-high': '60,0' })
    expect(made.settings.inDrive).toMatchObject({
      referenceSource: 'analogue-input',
      minimumHz: 10,
      maximumHz: 60,
      knobMode: 'scaled',
      mainsHertz: '60',
    })
    const zero = after(plan, { knob: 'follows', 'knob-low': '10', 'knob-mid': '25', 'knob-high': '50' })
    expect(zero.settings.inDrive).toMatchObject({ knobMode: 'clamped' })
    expect(zero.settings.inDrive.mainsHertz).toBeUndefined()
    expect(told(plan, { knob: 'follows', 'knob-low': '50', 'knob-high': '0' })['backwards']).toBeDefined()
    expect(after(plan, { knob: 'stays' }).settings.inDrive.referenceSource).toBe('keypad')
  })

  test('finds a printed default that is false, and corrects the manual', () => {
    const drive = applyPatch(demoPlan('surface-grinder'), [set('settings.state', 'reset'), set('settings.inDrive', {})])
    const made = after(drive, { knob: 'follows', 'knob-low': '0', 'knob-high': '75' })
    expect(made.manual?.codes.find((c) => c.sets === 'maximumHz')).toMatchObject({
      comesWith: '50.0',
      foundWith: '75.0',
    })
    expect(told(drive, { knob: 'follows', 'knob-low': '0', 'knob-high': '50' })['default']).toBeUndefined()
  })

  const ways = {
    'to-maximum': (x: number, _base: number, top: number) => top / x,
    'to-base': (x: number, base: number) => base / x,
    'per-10-hz': (x: number) => 10 / x,
    'hz-per-s': (x: number) => x,
  }
  test.each(Object.entries(ways))('times two ramps that count %s', (meaning, rate) => {
    const drive = applyPatch(plan, [
      set('settings.inDrive.baseFrequencyHz', 50),
      set('settings.inDrive.maximumHz', 100),
    ])
    const perS = rate(4, 50, 100)
    const made = after(drive, {
      'ramp-set': '4.0',
      'ramp-hz-1': '40',
      'ramp-s-1': (40 / perS).toFixed(1),
      'ramp-hz-2': '90',
      'ramp-s-2': (90 / perS).toFixed(1),
    })
    expect(made.settings.rampMeans).toBe(meaning)
  })
  test('does not say which of two where both come to the same, nor any where none does', () => {
    const same = applyPatch(plan, [set('settings.inDrive.baseFrequencyHz', 50), set('settings.inDrive.maximumHz', 50)])
    const timed = { 'ramp-set': '5', 'ramp-hz-1': '25', 'ramp-s-1': '2.5', 'ramp-hz-2': '45', 'ramp-s-2': '4.5' }
    expect(after(same, timed).settings.rampMeans).toBeUndefined()
    expect(told(same, timed)['ramp']).toBeDefined()
    const grade = { ...timed, 'ramp-set': '31' }
    expect(after(same, grade).settings.rampMeans).toBeUndefined()
    expect(told(same, { ...timed, 'ramp-s-2': '7.5' })['shape']).toBeDefined()
  })
  test('goes from test to test, and ends', () => {
    const answers: Record<string, string> = {}
    for (let i = 0; i < 20; i += 1) {
      const test = nextTest(answers)
      if (!test) break
      for (const { id, answers: few } of test.notes) answers[id] ??= few ? (Object.keys(few)[0] ?? '') : '5'
    }
    expect(nextTest(answers)).toBeUndefined()
    expect(probeTests.every(({ do: steps }) => steps.length > 0)).toBe(true)
  })
})

describe('it does nothing on RUN', () => {
  const plans = [...demoPlans.values(), emptyPlan('x')]
  test('whatever it is, the questions end at it, and few are asked', () => {
    const cases = fc
      .constantFrom(...plans)
      .chain((plan) =>
        fc.tuple(
          fc.constant(plan),
          fc.constantFrom(...nothingOnRun(plan, {}).left),
          fc.array(fc.nat(99), { minLength: 8, maxLength: 8 }),
        ),
      )
    let most = 0
    fc.assert(
      fc.property(cases, ([plan, truth, dice]) => {
        const answers: Record<string, string> = {}
        for (let asked = 0; ; asked += 1) {
          const { next, left } = nothingOnRun(plan, answers)
          expect(left.map(({ id }) => id)).toContain(truth.id)
          if (!next) break
          expect(asked).toBeLessThan(7)
          const allowed = truth.allows[next.id] ?? next.answers
          answers[next.id] = allowed[(dice[asked] ?? 0) % allowed.length] ?? ''
          most = Math.max(most, asked + 1)
          // Every question takes something away, or its answer tells nothing and the next is asked.
          expect(next.answers).toContain(answers[next.id])
        }
      }),
      { numRuns: 800 },
    )
    expect(most).toBeGreaterThan(2)
  })
  test('plan and manual rule out what cannot be', () => {
    const ids = (plan: Plan) => nothingOnRun(plan, {}).left.map(({ id }) => id)
    const mill = demoPlan('turret-mill')
    // The wall-box drive has no enable, no serial line; the mill is run by a switch that stays.
    expect(ids(mill)).not.toContain('serial-source')
    expect(ids(mill)).not.toContain('two-wire')
    expect(ids(emptyPlan('x'))).toContain('serial-source')
  })
  test('shows what this drive itself shows', () => {
    const { next } = nothingOnRun(demoPlan('surface-grinder'), {})
    expect(next?.id).toBe('display')
    expect(next?.words['open']).toContain('E--')
  })
  test('the cheapest question is the one that tells most', () => {
    const all = ['a', 'b', 'c', 'd'].map((id, i) => ({
      id,
      weight: 1,
      allows: { half: [i < 2 ? 'yes' : 'no'], one: [i < 1 ? 'yes' : 'no'] },
    }))
    const questions = [
      { id: 'one', answers: ['yes', 'no'] },
      { id: 'half', answers: ['yes', 'no'] },
    ]
    expect(nextQuestion(all, questions, {})?.id).toBe('half')
    expect(
      nextQuestion(
        all,
        questions.map((q) => ({ ...q, cost: q.id === 'half' ? 9 : 1 })),
        {},
      )?.id,
    ).toBe('one')
    expect(remaining(all, { half: 'yes', one: 'no' }).map(({ id }) => id)).toEqual(['b'])
  })
})
