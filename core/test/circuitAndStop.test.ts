import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import type { Evaluation } from '../src/evaluate/evaluation'
import type { FigureId } from '../src/facts/figureId'
import { applyPatch, set, type Patch } from '../src/plan'
import { gaugeArea, messageText } from '../src/quantities'
import { demoPlan } from './demoPlans'

const lathe = (...patch: Patch): Evaluation =>
  evaluate(
    applyPatch(demoPlan('gap-bed-lathe'), [set('motor.connection', 'delta'), set('settings.inDrive', {}), ...patch]),
  )
const value = (e: Evaluation, id: FigureId): number | undefined => e.figures[id]?.value
const finding = (e: Evaluation, id: string) => e.findings.find((f) => f.id === id || f.id.startsWith(`${id}/`))

describe('the circuit', () => {
  const run = [set('supply.cableM', 12), set('supply.laying', 'surface')]
  test('asks for a breaker with a quarter in hand, and the device by how the drive stands', () => {
    const evaluation = lathe()
    expect([value(evaluation, 'supply.protectionA'), evaluation.earthLeakageType]).toEqual([20, 'F'])
    expect(lathe(set('supply.topology', 'line-line')).earthLeakageType).toBe('B')
    expect(evaluate(demoPlan('tool-grinder')).earthLeakageType).toBe('B')
  })
  test('a cable for the breaker that is there, not for the load alone', () => {
    expect(value(lathe(...run, set('supply.breakerA', 16)), 'supply.neededMm2')).toBe(1.5)
    expect(value(lathe(...run), 'supply.neededMm2')).toBe(4)
    expect(value(lathe(...run, set('supply.ambientC', 50)), 'supply.neededMm2')).toBe(6)
    expect(value(lathe(...run, set('supply.ambientC', 55)), 'supply.neededMm2')).toBe(10)
    expect(lathe(...run, set('supply.cableM', 400)).blocked['supply.neededMm2']?.refusal).toMatch(
      /needs a larger cable/,
    )
  })
  test('in an inch shop by gauge, kept in mm²', () => {
    const plan = applyPatch(demoPlan('long-bed-lathe'), [set('supply.cableM', 10), set('supply.laying', 'conduit')])
    expect(value(evaluate(plan), 'supply.neededMm2')).toBeCloseTo(gaugeArea(8), 6)
  })
  test('a long run is judged by what it loses', () => {
    const far = lathe(...run, set('supply.breakerA', 16), set('supply.cableM', 40))
    expect(value(far, 'supply.neededMm2')).toBe(4)
    expect(value(far, 'supply.drop')).toBeCloseTo((2 * 0.0225 * 40 * 14.5) / 4 / 230, 6)
  })
  test('a cord, and an insulated wall, carry less or more than a cable on the surface', () => {
    const laid = (laying: 'cord' | 'insulated' | 'surface') =>
      value(
        lathe(set('supply.cableM', 5), set('supply.laying', laying), set('supply.breakerA', 25)),
        'supply.neededMm2',
      )
    expect([laid('cord'), laid('insulated'), laid('surface')]).toEqual([2.5, 4, 2.5])
  })
})

describe('running up and stopping', () => {
  test('the heaviest thing on the spindle decides, as a steel disc, with pulleys and rotor', () => {
    const evaluation = lathe()
    const disc = (7850 * Math.PI * 0.25 ** 2 * 0.07 * 0.25 ** 2) / 32
    const pulley = (mm: number) => (0.6 * 7200 * Math.PI * (mm / 1000) ** 4 * 0.026) / 32
    const turns = 224 / 90
    expect(value(evaluation, 'stop.inertia')).toBeCloseTo(disc + pulley(224) + (pulley(90) + 0.003) * turns ** 2, 6)
    expect(evaluation.figures['stop.inertia']?.restsOnTypical).toBe(true)
    expect(value(evaluation, 'stop.rampS')).toBeCloseTo(
      ((value(evaluation, 'stop.inertia') ?? 0) * 2 * Math.PI * 1084.8) /
        60 /
        ((value(evaluation, 'stop.leastTorque') ?? 1) - 0.05 * (value(evaluation, 'position.b.torque') ?? 1)),
      2,
    )
  })
  test('what always turns is added to the heaviest thing that is put on, and waits for what is not known of it', () => {
    const alone = value(lathe(), 'stop.inertia') ?? 0
    const with0 = lathe(set('survey.holders.0.alwaysTurns', true))
    expect((value(with0, 'stop.inertia') ?? 0) - alone).toBeCloseTo(value(with0, 'holder.three-jaw.inertia') ?? 0, 9)
    const unknown = lathe(set('survey.holders.0.alwaysTurns', true), set('survey.holders.0.widthMm', undefined))
    expect(unknown.figures['stop.inertia']).toBeUndefined()
    expect(unknown.blocked['stop.inertia']?.missing).toEqual(['survey.holders.0.widthMm'])
  })
  test('timed on a set ramp, it weighs by the torque of the amps that were read', () => {
    const timed = (seconds: number, ...more: Patch) =>
      lathe(set('survey.holders.1.inertiaFrom', 'timing'), set('survey.holders.1.runUpS', seconds), ...more)
    const inertia = (e: Evaluation) => value(e, 'holder.four-jaw.inertia') ?? NaN
    const rated = timed(4)
    // At the plate's own amps that is rated torque; with fewer it is less, by more than in proportion: some only magnetise.
    const atPlate = timed(4, set('survey.holders.1.runUpA', value(rated, 'motor.plateCurrentA')))
    expect(inertia(atPlate)).toBeCloseTo(inertia(rated), 9)
    const half = timed(8, set('survey.holders.1.runUpA', (value(rated, 'motor.plateCurrentA') ?? 0) * 0.7))
    const torque = (value(half, 'holder.four-jaw.runUpTorque') ?? 0) / (value(rated, 'position.b.torque') ?? 1)
    expect(torque).toBeLessThan(0.7)
    expect(torque).toBeGreaterThan(0.3)
    // J = (T - Tf) t / w, so that what both have in common, rotor and pulleys, comes out the same.
    const [all, own] = [inertia(half) + (value(half, 'stop.ownInertia') ?? 0), value(rated, 'stop.ownInertia') ?? 0]
    const speed = (2 * Math.PI * (value(half, 'position.b.unloadedTopRpm') ?? 0)) / 60
    expect(all).toBeCloseTo(
      (((value(half, 'holder.four-jaw.runUpTorque') ?? 0) - (value(half, 'stop.runUpFrictionNm') ?? 0)) * 8) / speed,
      6,
    )
    expect(own).toBeGreaterThan(0)
  })
  test('a thing by its drawing weighs what its steps do, of what it is made of', () => {
    const steps = [
      { outerMm: 250, lengthMm: 60 },
      { outerMm: 120, boreMm: 35, lengthMm: 40 },
    ]
    const drawn = (...more: Patch) =>
      lathe(set('survey.holders.1.inertiaFrom', 'drawing'), set('survey.holders.1.steps', steps), ...more)
    const steel = value(drawn(), 'holder.four-jaw.inertia') ?? 0
    expect(steel).toBeCloseTo(0.186977, 5)
    expect(value(drawn(set('survey.holders.1.material', 'aluminium')), 'holder.four-jaw.inertia')).toBeCloseTo(
      (steel * 2700) / 7850,
      9,
    )
    const wrong = drawn(set('survey.holders.1.steps.1.boreMm', 130))
    expect(wrong.blocked['holder.four-jaw.inertia']?.refusal).toMatch(/step 2 has a bore that is no smaller/)
    const none = lathe(set('survey.holders.1.inertiaFrom', 'drawing'))
    expect(none.blocked['holder.four-jaw.inertia']?.missing).toEqual(['survey.holders.1.steps'])
  })
  test('a ramp the drive cannot swallow is found, with one that it can', () => {
    const trips = finding(lathe(set('settings.chosen.decelerationS', 3)), 'drive.stop-trips')
    expect(messageText(trips?.title ?? []).replace(/\u00a0/g, ' ')).toBe('A stop in 3 s would trip the drive')
    expect(finding(lathe(...(trips?.remedies[0]?.patch ?? [])), 'drive.stop-trips')).toBeUndefined()
  })
  test('a timed coast tells the friction, which shortens the stop', () => {
    const timed = lathe(set('survey.coastS', 20))
    expect(value(timed, 'stop.frictionNm')).toBeCloseTo(
      ((value(timed, 'stop.inertia') ?? 0) * 2 * Math.PI * 1084.8) / 60 / 20,
      3,
    )
    expect(value(timed, 'stop.withoutResistorS')).toBeLessThan(value(lathe(), 'stop.withoutResistorS') ?? 0)
  })
  test('a resistor is offered where the drive has a chopper and one fits', () => {
    const with80 = lathe(
      set('settings.chosen.decelerationS', 2),
      set('drive.brakeChopper', true),
      set('drive.minimumOhm', 60),
    )
    expect(value(with80, 'stop.resistorOhm')).toBeGreaterThanOrEqual(66)
    expect(finding(with80, 'drive.stop-trips')?.remedies).toHaveLength(2)
    const none = lathe(
      set('settings.chosen.decelerationS', 1),
      set('drive.brakeChopper', true),
      set('drive.minimumOhm', 400),
    )
    expect([value(none, 'stop.resistorOhm'), none.blocked['stop.resistorOhm']?.refusal]).toEqual([
      undefined,
      expect.stringMatching(/No standard resistor fits/),
    ])
  })
  test('without the size of anything that spins it is not known', () => {
    const bare = lathe(set('survey.holders', []))
    expect([value(bare, 'stop.withoutResistorS'), bare.blocked['stop.withoutResistorS']?.missing]).toEqual([
      undefined,
      ['survey.holders'],
    ])
  })
})
