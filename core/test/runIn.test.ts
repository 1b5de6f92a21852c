import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evaluate } from '../src/conversion/evaluate'
import { fitMeasurements } from '../src/measurements/fitMeasurements'
import type { Measurement } from '../src/readings/measurement'
import { ofRunIn } from '../src/readings/runInReadings'
import { applyPatch, emptyPlan, set, type Plan, type RampTry } from '../src/plan'
import { messageText } from '../src/quantities'
import { rules } from '../src/rulebook/registry'
import { isExpected, judgeRunIn, shownFigure } from '../src/runIn/reading'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlan, demoPlans } from './demoPlans'
import { soundPlan, spoiled } from './mistakes'
import { measuredBy } from './readings'
import { runInOf, stopMapOf } from './parts'

const stageOf = (plan: Plan, id: string, told: Parameters<typeof measuredBy> = []) => {
  const stage = runInOf(plan, measuredBy(...told)).stages.find((s) => s.id === id)
  if (!stage) throw new Error(`no stage ${id}`)
  return stage
}
const readingOf = (plan: Plan, stage: string, id: string, told: Parameters<typeof measuredBy> = []) => {
  const reading = stageOf(plan, stage, told).readings.find((r) => r.id === id)
  if (!reading) throw new Error(`no reading ${id}`)
  return reading
}
const wanted = (plan: Plan, stage: string, id: string): number => {
  const { expected } = readingOf(plan, stage, id)
  if (!isExpected(expected)) throw new Error(`nothing expected of ${id}`)
  return expected.value
}

/** A reading of a thing of a stage, by the row it asks for. */
const told = (plan: Plan, stage: string, id: string, value: number) => ({ ...readingOf(plan, stage, id).row, value })

describe('the sheet of a machine', () => {
  test('goes from the bare motor over each thing on the spindle to an hour of work', () => {
    expect(runInOf(soundPlan()).stages.map((s) => s.id)).toEqual([
      'bare-low',
      'bare-base',
      'first-belt',
      'empty-b',
      'empty-c',
      'holder-three-jaw',
      'holder-four-jaw',
      'light-cut',
      'rated-cut',
      'warm',
    ])
  })
  test('expects of volts the straight line to base, of speeds the ratio, of ramps their share', () => {
    const plan = soundPlan()
    expect(wanted(plan, 'bare-low', 'volts')).toBeCloseTo((230 * 17) / 50, 6)
    // 120 f / p times 90/224.
    expect(wanted(plan, 'empty-b', 'rpm')).toBeCloseTo(((120 * 50) / 4) * (90 / 224), 6)
    const up = runInOf(plan).stages.find((s) => s.id === 'empty-b')
    expect(up?.readings.map((r) => r.id)).toEqual(['rpm', 'amps-u', 'amps-v', 'amps-w', 'up', 'down', 'coast'])
  })
  test('every expected value has a working whose rule knows its inputs, and whose numbers give it again', () => {
    let ruled = 0
    for (const [name, plan] of [...demoPlans.entries(), ['sound', soundPlan()] as const])
      for (const stage of runInOf(plan).stages)
        for (const { id, label, dimension, expected } of stage.readings) {
          if (!isExpected(expected)) continue
          const { ruleId, citation, from, value } = shownFigure(label, dimension, expected)
          expect([name, stage.id, id, value]).toEqual([name, stage.id, id, expected.value])
          expect((ruleId ?? citation)?.length).toBeGreaterThan(0)
          const rule = ruleId === undefined ? undefined : rules.get(ruleId)
          if (ruleId !== undefined) expect(rule?.id).toBe(ruleId)
          if (!rule) continue
          ruled += 1
          const inputs = Object.fromEntries(from.map((f) => [f.key, f.value]))
          const known = Object.keys(rule.input.shape)
          const beside = from.map((f) => f.key).filter((key) => !known.includes(key))
          // The room is added to what the rule gives.
          expect(beside).toEqual(ruleId === 'motor.temperature-rise' ? ['room'] : [])
          switch (ruleId) {
            case 'drive.output-voltage':
            case 'drivetrain.stop-by-torque': {
              const made = rule.run(inputs)
              if (!made.ok) throw new Error(JSON.stringify(made.faults))
              expect(
                (made.value as Record<string, number>)[ruleId === 'drive.output-voltage' ? 'outputV' : 'seconds'],
              ).toBeCloseTo(expected.value, 9)
              break
            }
            case 'drivetrain.speed':
              expect(
                ((120 * Number(inputs['frequencyHz'])) / Number(inputs['poles'])) *
                  Number(inputs['stages']) *
                  (1 - Number(inputs['slip'] ?? 0)),
              ).toBeCloseTo(expected.value, 6)
          }
        }
    expect(ruled).toBeGreaterThan(100)
  })
  test('no thing turns over its own limit', () => {
    for (const plan of demoPlans.values())
      for (const stage of runInOf(plan).stages) {
        if (stage.holder === undefined) continue
        const limit = plan.survey.holders[stage.holder.index]?.markedRpm
        const speed = stage.readings.find((r) => r.id === 'rpm')
        if (limit !== undefined && speed && isExpected(speed.expected))
          expect(speed.expected.value).toBeLessThanOrEqual(limit)
      }
  })
  test('nor the empty spindle over what it was built for, on any position', () => {
    const plan = applyPatch(soundPlan(), [set('survey.originalTopRpm', 400)])
    expect(wanted(plan, 'empty-b', 'rpm')).toBeLessThanOrEqual(400)
    expect(stageOf(plan, 'empty-b').hz).toBeLessThan(50)
  })
  test('says what is missing where nothing can be expected', () => {
    const plan = applyPatch(soundPlan(), [set('motor.lowVoltageA', undefined), set('motor.highVoltageA', undefined)])
    const { expected } = readingOf(plan, 'rated-cut', 'amps-u')
    expect(isExpected(expected) ? [] : expected.missing).toContain('motor.lowVoltageA')
  })
  test('is made of any plan, and nothing of an empty one is expected out of the air', () => {
    expect(
      runInOf(emptyPlan('x')).stages.flatMap((s) => s.readings.filter((r) => r.row.kind !== 'temperature')),
    ).toEqual([])
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        for (const stage of runInOf(plan).stages)
          for (const { expected } of stage.readings)
            if (isExpected(expected))
              expect([expected.value, expected.least, expected.most].every(Number.isFinite)).toBe(true)
      }),
      { numRuns: 100 },
    )
  })
})

describe('a reading that is off is traced to its cause', () => {
  test('links in star give a third of the amps: the likeliest by the plan’s own number', () => {
    const plan = soundPlan()
    const asked = told(plan, 'bare-base', 'amps-u', wanted(plan, 'bare-base', 'amps-u') / 3)
    const reading = readingOf(plan, 'bare-base', 'amps-u', [asked])
    expect([reading.verdict, reading.causes[0]?.id, reading.causes[0]?.fits]).toEqual(['look', 'star', true])
  })
  test.each([
    [
      'the belt on another position',
      (rpm: number, plan: Plan) => (rpm * wanted(plan, 'empty-c', 'rpm')) / wanted(plan, 'empty-b', 'rpm'),
      'on-c',
    ],
    ['a tachometer that sees two marks', (rpm: number) => rpm * 2, 'two-marks'],
    ['a two-pole motor', (rpm: number) => rpm * 2.02, 'two-marks'],
    ['a six-pole motor', (rpm: number) => (rpm * 4) / 6, 'poles-6'],
    ['a belt that slips', (rpm: number) => rpm * 0.925, 'slip'],
  ] as const)('%s', (_, wrong, id) => {
    const plan = soundPlan()
    const asked = told(plan, 'empty-b', 'rpm', wrong(wanted(plan, 'empty-b', 'rpm'), plan))
    expect(readingOf(plan, 'empty-b', 'rpm', [asked]).causes[0]?.id).toBe(id)
  })
  test('what another chuck would coast is named for a coast that is too long', () => {
    const plan = applyPatch(soundPlan(), [set('survey.coastS', 20), set('survey.coastFromRpm', 600)])
    const empty = readingOf(plan, 'empty-b', 'coast')
    const { expected } = empty
    if (!isExpected(expected)) throw new Error('nothing expected')
    const causes = readingOf(plan, 'empty-b', 'coast', [{ ...empty.row, value: expected.value * 3 }]).causes
    expect(causes.every((c) => c.test !== '' && c.change !== '')).toBe(true)
    expect(causes.map((c) => c.id)).toContain('with-four-jaw')
  })
  test('and stands among the findings, with what was read and what was expected', () => {
    const plan = soundPlan()
    const asked = told(plan, 'bare-base', 'amps-u', 30)
    const found = evaluate(plan, undefined, measuredBy(asked)).findings.find(
      (f) => f.id === 'run-in.amps/bare-base-amps-u',
    )
    expect([found?.severity, messageText(found?.title ?? [])]).toEqual([
      'stop',
      'Bare motor at base: amps, first lead off',
    ])
    expect(messageText(found?.says ?? [])).toMatch(/^30.A was read; .* was expected, .* more than expected\. Likely: /)
  })
  test.each([
    ['run-in.amps', 'bare-base', 'amps-u', 1],
    ['run-in.speed', 'empty-b', 'rpm', 1],
    ['run-in.times', 'empty-b', 'up', 1],
    ['run-in.warmth', 'warm', 'housing-30', 1],
  ] as const)('%s is good where it is as expected, and found where it is not', (id, stage, reading, times) => {
    const plan = soundPlan()
    const value = wanted(plan, stage, reading)
    const answer = (of: number) =>
      evaluate(plan, undefined, measuredBy(told(plan, stage, reading, of))).judged.find(
        (line) => line.id === id || line.id.startsWith(`${id}/`),
      )?.answer
    expect([answer(value * times), answer(value * 3 + 20)]).toEqual(['good', 'found'])
    expect(evaluate(plan).judged.find((line) => line.id === id)?.answer).toBe('does-not-apply')
  })
  test('readings of the run-in are not taken for those of the machine as it works', () => {
    const row = (kind: Measurement['kind'], of: string | undefined) => ({
      id: kind,
      kind,
      value: 7,
      ...(of === undefined ? {} : { of }),
      ...(kind === 'amps' ? { lead: 'u' as const } : { fromRpm: 500 }),
    })
    const fit = (of: string | undefined) => fitMeasurements([row('amps', of), row('coast', of), row('run-up', of)])
    expect(fit(ofRunIn('empty spindle'))).toMatchObject({ amps: {}, positions: {} })
    expect(Object.keys(fit(ofRunIn('empty spindle')).taken ?? {})).toHaveLength(3)
    expect(fit(undefined)).toMatchObject({ amps: { u: 7 }, anywhere: { coast: { fromRpm: 500 } } })
  })
})

describe('emergency stops in steps', () => {
  const lathe = demoPlan('long-bed-lathe')
  test('the bare spindle first, then each thing from its lowest speed up, never over its limit', () => {
    for (const plan of [lathe, soundPlan()]) {
      const { steps } = runInOf(plan).stop
      expect(steps[0]?.of).toBe('The bare spindle')
      steps.forEach((step, i) => {
        const before = steps[i - 1]
        if (before?.of === step.of && before.positionId === step.positionId)
          expect(step.fromRpm).toBeGreaterThan(before.fromRpm)
        const limit = step.holder === undefined ? undefined : plan.survey.holders[step.holder]?.markedRpm
        if (limit !== undefined) expect(step.fromRpm).toBeLessThanOrEqual(limit * 1.0001)
      })
    }
  })
  test('on a threaded nose marks are looked at, and no step pulls over what the thread bears', () => {
    const hard = applyPatch(lathe, [set('controls.emergencyStop', 'ramp-input'), set('controls.quickRampS', 3)])
    for (const plan of [lathe, hard])
      for (const step of runInOf(plan).stop.steps.filter((s) => s.holder !== undefined)) {
        expect(step.witness).toBe(true)
        expect(step.pull?.torqueNm).toBeLessThanOrEqual(step.pull?.permittedNm ?? 0)
      }
    const { left } = runInOf(hard).stop
    expect(left.map((l) => messageText(l.says)).join()).toMatch(/would pull with .* at its thread/)
  })
  test('of an unknown thread nothing is tried', () => {
    const unknown = applyPatch(lathe, [set('survey.noseThreadMm', undefined), set('survey.seatTorqueNm', undefined)])
    const { steps, left } = runInOf(unknown).stop
    expect(steps.filter((s) => s.holder !== undefined)).toEqual([])
    expect(left[0]?.missing).toContain('survey.noseThreadMm')
  })
  test('a ramp that trips the drive is said to become a coast', () => {
    const plan = applyPatch(soundPlan(), [set('controls.emergencyStop', 'ramp-input'), set('controls.quickRampS', 0.5)])
    const step = runInOf(plan).stop.steps.find((s) => s.of.includes('four-jaw'))
    expect(step?.trips?.coastS).toBeGreaterThan(0.5)
  })
  test('a timed stop is found again, and marks that moved are a stop', () => {
    const { steps } = runInOf(lathe).stop
    const [first] = steps
    if (!first || !isExpected(first.seconds)) throw new Error('no step')
    const measured = measuredBy({
      kind: 'emergency-stop',
      value: first.seconds.value,
      of: first.of,
      positionId: first.positionId,
      fromRpm: first.fromRpm,
    })
    const again = runInOf(lathe, measured).stop.steps[0]
    expect(judgeRunIn({ expected: first.seconds }, again?.read?.seconds)).toBe('good')
    expect(evaluate(lathe, undefined, measured).judged.find((l) => l.id === 'run-in.stop')?.answer).toBe('good')
  })
})

describe('the stop map', () => {
  const lathe = demoPlan('long-bed-lathe')
  const map =
    stopMapOf(lathe, measuredBy(), 'open', 0) ?? stopMapOf(lathe, measuredBy(), lathe.survey.positions[0]?.id ?? '', 0)
  test('coasting takes longest, and the thread asks for more than the drive’s ramp of three seconds', () => {
    const end = (id: string) => map?.lines.find((l) => l.id === id)?.seconds.at(-1) ?? NaN
    expect(end('coast')).toBeGreaterThan(end('thread'))
    expect(end('thread')).toBeGreaterThan(end('ramp'))
  })
  test('coasts that were timed correct the friction of the bare spindle, and what a thing weighs', () => {
    const position = lathe.survey.positions[0]?.id ?? ''
    const bare = runInOf(lathe).stop.steps[0]
    if (!bare || !isExpected(bare.seconds)) throw new Error('no step')
    const stop = (times: number) =>
      measuredBy({
        kind: 'emergency-stop',
        value: (isExpected(bare.seconds) ? bare.seconds.value : 0) * times,
        of: bare.of,
        positionId: bare.positionId,
        fromRpm: bare.fromRpm,
      })
    const corrected = stopMapOf(lathe, stop(0.5), position, undefined)
    expect(corrected?.correction).toMatchObject({ of: 'friction', from: 1 })
    expect(corrected?.correction?.factor).toBeCloseTo(2, 6)
    const line = (of: typeof corrected) => of?.lines.find((l) => l.id === 'coast')?.seconds.at(-1) ?? NaN
    expect(line(corrected)).toBeCloseTo(line(stopMapOf(lathe, measuredBy(), position, undefined)) / 2, 6)
  })
})

describe('ramps are shortened by steps', () => {
  const tuned = (tries: RampTry[]) => runInOf(spoiled(set('runIn.tries', tries))).ramps.find((r) => r.ramp === 'up')
  test('from the ramp that is set, a fifth at a time, and back to the last that went clean', () => {
    const begin = tuned([])?.nextS ?? 0
    expect(begin).toBeGreaterThan(0)
    const after = tuned([{ ramp: 'up', seconds: begin, saw: 'good' }])?.nextS ?? 0
    expect(after / begin).toBeCloseTo(0.8, 1)
    expect(
      tuned([
        { ramp: 'up', seconds: begin, saw: 'good' },
        { ramp: 'up', seconds: after, saw: 'squeal' },
      ]),
    ).toMatchObject({ foundS: begin })
  })
  test('whatever it is told, it comes to an end and never goes under its floor', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 20, noNaN: true }),
        fc.constantFrom('trip', 'slip', 'squeal', 'moved'),
        (edge, saw) => {
          const tries: RampTry[] = []
          for (let i = 0; i < 60; i += 1) {
            const step = tuned(tries)
            if (step?.nextS === undefined) {
              const clean = tries.filter((t) => t.saw === 'good').map((t) => t.seconds ?? 0)
              expect(step?.foundS).toBe(Math.min(...clean))
              return
            }
            expect(step.nextS).toBeGreaterThanOrEqual((step.floor?.seconds ?? 0) - 0.06)
            tries.push({ ramp: 'up', seconds: step.nextS, saw: step.nextS >= edge ? 'good' : saw })
          }
          throw new Error('never ends')
        },
      ),
      { numRuns: 40 },
    )
  })
})
