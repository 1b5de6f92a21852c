import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { conversion } from '../src/conversion/conversion'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, inversePatch, planDifference, readPlan, replacePlan, set, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { report } from '../src/report/report'
import { runs } from './effort'
import { arbitraryPlan } from './arbitraryPlan'
import { demoPlans } from './demoPlans'
import { soundPlan, spoiled } from './mistakes'

const effort = runs(150)
const of = (plan: Plan, id: string) => evaluate(plan).figures[id as 'motor.torque']?.value
const asJson = (value: unknown): unknown => JSON.parse(JSON.stringify(value))

describe('of any plan', () => {
  test('the same is said twice, and by one who goes on from another plan as by one who does not', () => {
    let last = conversion(soundPlan())
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        const once = evaluate(plan)
        expect(evaluate(structuredClone(plan))).toEqual(once)
        last = conversion(plan, { before: last })
        expect(last.evaluation).toEqual(once)
      }),
      effort,
    )
  })
  test('judging it changes nothing in it', () => {
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        const before = structuredClone(plan)
        evaluate(plan)
        report(plan, evaluate(plan), 'imperial')
        expect(plan).toEqual(before)
      }),
      effort,
    )
  })
  test('what is said survives the wire, and has only numbers in it', () => {
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        const evaluation = evaluate(plan)
        expect(asJson(evaluation)).toEqual(asJson(asJson(evaluation)))
        for (const figure of Object.values(evaluation.figures))
          expect([figure?.id, Number.isFinite(figure?.value)]).toEqual([figure?.id, true])
      }),
      effort,
    )
  })
  test('a change that is taken back leaves no trace', () => {
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        const patch = evaluate(plan).findings.flatMap((f) => f.remedies)[0]?.patch ?? [set('motor.powerW', 1234)]
        const there = applyPatch(plan, patch)
        const back = applyPatch(there, inversePatch(plan, patch))
        expect(planDifference(plan, back)).toEqual([])
        expect(evaluate(back)).toEqual(evaluate(plan))
      }),
      effort,
    )
  })
  test('one becomes any other in one step, and itself again', () => {
    fc.assert(
      fc.property(arbitraryPlan, arbitraryPlan, (one, other) => {
        const became = applyPatch(one, replacePlan(other))
        expect(became).toEqual(other)
        expect(applyPatch(became, inversePatch(one, replacePlan(other)))).toEqual(one)
      }),
      effort,
    )
  })
  test('every remedy leaves a plan that can be kept', () => {
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        for (const { id, remedies } of evaluate(plan).findings)
          for (const { label, patch } of remedies)
            expect([id, messageText(label), readPlan(applyPatch(plan, patch)).ok]).toEqual([
              id,
              messageText(label),
              true,
            ])
      }),
      effort,
    )
  })
  test('what a machine or a job is called changes no number', () => {
    const numbers = (plan: Plan) =>
      Object.fromEntries(Object.entries(evaluate(plan).figures).map(([id, figure]) => [id, figure?.value]))
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        const renamed: Plan = {
          ...plan,
          name: 'Another name',
          survey: {
            ...plan.survey,
            positions: plan.survey.positions.map((p) => ({ ...p, name: 'P' })),
            jobs: plan.survey.jobs.map((j) => ({ ...j, name: 'J' })),
          },
        }
        expect(numbers(renamed)).toEqual(numbers(plan))
      }),
      effort,
    )
  })
})

describe('of a plan that is known, one thing moves another the right way', () => {
  const moves: [what: string, path: Parameters<typeof set>[0], less: number, more: number, id: string, up: boolean][] =
    [
      ['more volts at the wall want fewer amps', 'supply.voltageV', 225, 240, 'drive.computedInputA', false],
      ['more power is more torque', 'motor.powerW', 1100, 1500, 'motor.torque', true],
      [
        'a better motor wants less from the wall',
        'overrides.motorEfficiency',
        0.75,
        0.85,
        'drive.computedInputA',
        false,
      ],
      ['a truer power factor wants fewer amps', 'overrides.truePowerFactor', 0.6, 0.8, 'drive.computedInputA', false],
      ['a longer cable loses more', 'supply.cableM', 10, 20, 'supply.drop', true],
      [
        'a higher highest hertz turns it faster',
        'settings.chosen.maximumHz',
        60,
        80,
        'position.b.unloadedTopRpm',
        true,
      ],
      ['a lower lowest hertz turns it slower', 'settings.chosen.minimumHz', 10, 5, 'position.b.bottomRpm', false],
      ['a larger bus swallows a quicker stop', 'drive.busFarad', 0.0003, 0.003, 'stop.withoutResistorS', false],
      ['a higher trip swallows a quicker stop', 'drive.tripV', 390, 420, 'stop.withoutResistorS', false],
      ['a larger chuck runs up slower', 'survey.holders.0.diameterMm', 200, 300, 'stop.rampS', true],
      ['a longer cable to the motor swings higher', 'installation.motorCableM', 2, 30, 'motor.peakV', true],
      ['a lower base gives more flux', 'settings.chosen.baseFrequencyHz', 50, 45, 'motor.fluxFraction', true],
      ['height takes output away', 'installation.altitudeM', 500, 2500, 'drive.outputA', false],
    ]
  test.each(moves)('%s', (_, path, less, more, id, up) => {
    const [before, after] = [of(spoiled({ path, value: less }), id), of(spoiled({ path, value: more }), id)]
    expect([typeof before, typeof after]).toEqual(['number', 'number'])
    expect([id, up ? (after ?? 0) > (before ?? 0) : (after ?? 0) < (before ?? 0)]).toEqual([id, true])
  })
  test('positions told in another order come to the same, each under its own name', () => {
    for (const plan of demoPlans.values()) {
      const turned = { ...plan, survey: { ...plan.survey, positions: [...plan.survey.positions].reverse() } }
      if (plan.survey.mainPositionId === undefined) continue
      for (const { id } of plan.survey.positions)
        for (const key of ['speedRatio', 'bottomRpm', 'topRpm', 'torque'])
          expect([id, key, of(turned, `position.${id}.${key}`)]).toEqual([id, key, of(plan, `position.${id}.${key}`)])
    }
  })
  test('a motor linked in star wants the other pair of its plate', () => {
    const [delta, star] = [spoiled(), spoiled(set('motor.connection', 'star'))]
    expect((of(delta, 'motor.plateCurrentA') ?? 0) / (of(star, 'motor.plateCurrentA') ?? 1)).toBeCloseTo(6 / 3.5, 6)
    expect((of(star, 'motor.plateVoltageV') ?? 0) / (of(delta, 'motor.plateVoltageV') ?? 1)).toBeCloseTo(400 / 230, 6)
  })
})
