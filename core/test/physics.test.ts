import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import { shaftPower, torqueCurves, type TorqueCurves } from '../src/speeds/torqueCurves'
import { applyPatch, emptyPlan, set, type Patch, type Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { demoPlan } from './demoPlans'

const lathe = (...patch: Patch): Plan =>
  applyPatch(demoPlan('gap-bed-lathe'), [set('motor.connection', 'delta'), set('settings.inDrive', {}), ...patch])

describe('the motor’s inside', () => {
  test('no-load amps and winding resistance come from the circuit fitted to the plate', () => {
    const { figures } = evaluate(lathe())
    expect(figures['motor.noLoadA']?.value).toBeGreaterThan(2)
    expect(figures['motor.noLoadA']?.value).toBeLessThan(4)
    expect(figures['motor.noLoadA']).toMatchObject({ ruleId: 'motor.operating-point', restsOnTypical: true })
    expect(figures['motor.statorOhm']?.value).toBeCloseTo(1.82, 2)
  })
  test('plain V/f has no pull at the slow end, with its number', () => {
    const plan = lathe(set('drive.control', 'vf'))
    const weak = evaluate(plan).findings.find((f) => f.id === 'drive.plain-vf-at-low-hertz')
    expect([weak?.severity, messageText(weak?.says ?? []).replace(/\u00a0/g, ' ')]).toEqual([
      'watch',
      expect.stringMatching(/Without boost its most is about \d+(\.\d+)? N m there; rated is 10\.1 N m/),
    ])
  })
  test('lines that no motor could meet together are named', () => {
    const odd = evaluate(lathe(set('motor.powerFactor', 0.62))).findings.find((f) => f.id === 'motor.plate-circuit')
    expect(messageText(odd?.says ?? [])).toMatch(/cos phi contradicts the amps and the speed/)
  })
  test('a spindle that prints synchronous speed has no circuit, and says why', () => {
    const { blocked, findings } = evaluate(demoPlan('gantry-router'))
    expect(blocked['motor.noLoadA']?.refusal).toMatch(/synchronous speed/)
    expect(findings.find((f) => f.id === 'motor.plate-circuit')).toBeUndefined()
  })
})

describe('torque curves', () => {
  const curves = (plan: Plan): TorqueCurves => {
    const made = torqueCurves(plan, evaluate(plan))
    if (!made) throw new Error('no curves')
    return made
  }
  const near = (c: TorqueCurves, hz: number) =>
    c.points.reduce((a, b) => (Math.abs(b.frequencyHz - hz) < Math.abs(a.frequencyHz - hz) ? b : a))
  test('none while the plate is not known', () =>
    expect(torqueCurves(emptyPlan('x'), evaluate(emptyPlan('x')))).toBeUndefined())
  test('continuous never exceeds peak without a drive, falls above base, and is unknown under a tenth of base', () => {
    const c = curves(lathe(set('drive.ratedOutputA', undefined)))
    for (const p of c.points) if (p.continuousNm !== undefined) expect(p.continuousNm).toBeLessThanOrEqual(p.peakNm)
    expect(near(c, 3).continuousNm).toBeUndefined()
    expect(near(c, 90).continuousNm).toBeLessThan(near(c, 50).continuousNm ?? 0)
    expect(near(c, 50).blowerNm).toBeCloseTo(10.087, 1)
  })
  test('the drive’s amps cap the peak: half as much again of its share', () => {
    // The magnetising amps do not turn it: of the drive's amps and of the plate's they are taken off at right angles.
    const noLoadA = evaluate(lathe()).figures['motor.noLoadA']?.value ?? 0
    const turning = (a: number) => Math.sqrt(a ** 2 - noLoadA ** 2)
    const peak = (driveA: number) => (10.087 * turning(1.5 * driveA)) / turning(6)
    expect(noLoadA).toBeGreaterThan(3)
    expect(near(curves(lathe()), 30).peakNm).toBeCloseTo(peak(7), 1)
    expect(near(curves(lathe(set('drive.ratedOutputA', 6))), 30).peakNm).toBeCloseTo(peak(6), 1)
  })
  test('a drive under the motor’s amps limits what it holds all day, too', () => {
    const small = curves(lathe(set('drive.ratedOutputA', 4.5)))
    const noLoadA = evaluate(lathe()).figures['motor.noLoadA']?.value ?? 0
    const expected = (10.087 * Math.sqrt(4.5 ** 2 - noLoadA ** 2)) / Math.sqrt(36 - noLoadA ** 2)
    expect(near(small, 49).blowerNm).toBeCloseTo(expected, 1)
  })
  test('star on a delta drive has a third of its pull and k of its torque; base set lower gives it back up to there', () => {
    const star = lathe(set('motor.connection', 'star'))
    const k = 230 / 400
    expect(near(curves(star), 25).blowerNm).toBeCloseTo(10.087 * Math.min(k, (2.5 * k ** 2) / 1.3), 1)
    expect(near(curves(star), 25).vectorNm).toBeCloseTo(10.087 * 2.5 * k ** 2, 1)
    expect(evaluate(star).figures['position.b.torque']?.value).toBeCloseTo(
      (10.087 * k * (evaluate(lathe()).figures['position.b.torque']?.value ?? 0)) / 10.087,
      1,
    )
    const lower = curves(applyPatch(star, [set('settings.chosen.baseFrequencyHz', 29)]))
    expect(near(lower, 25).blowerNm).toBeGreaterThan(9.8)
    expect(near(lower, 58).blowerNm).toBeLessThan(5.1)
  })
  test('plain V/f loses its peak at the slow end, vector does not', () => {
    expect(near(curves(lathe(set('drive.control', 'vf'))), 4).peakNm).toBeLessThan(
      0.7 * near(curves(lathe()), 4).peakNm,
    )
  })
  test('vector and plain V/f are both told, whatever the drive has now', () => {
    const c = curves(lathe())
    for (const p of c.points) if (p.vfNm !== undefined) expect(p.vfNm).toBeLessThanOrEqual(p.vectorNm)
    expect(near(c, 30).peakNm).toBe(near(c, 30).vectorNm)
    const vf = curves(lathe(set('drive.control', 'vf')))
    expect(near(vf, 4).peakNm).toBe(near(vf, 4).vfNm)
  })
  test('power is the plate’s at rated torque, rises with the speed, and slips more where the field is weak', () => {
    const c = curves(lathe(set('drive.control', 'vf')))
    const rated = { ...near(c, 50), frequencyHz: 50, motorRpm: 1500 }
    expect(shaftPower(c, rated, 10.0871)).toBeCloseTo(1500, 0)
    const half = { ...rated, frequencyHz: 25, motorRpm: 750 }
    expect(shaftPower(c, half, 10.0871)).toBeCloseTo(1500 * (670 / 1420), 0)
    const doubled = { ...rated, frequencyHz: 100, motorRpm: 3000 }
    expect(shaftPower(c, doubled, 5.04355)).toBeCloseTo(1500 * (2840 / 2 / 1420), 0)
    expect(shaftPower(curves(lathe()), rated, 10.0871)).toBeCloseTo(1500 * (1500 / 1420), 0)
  })
  test('limits: field weakening by pull-out, and the safe speed', () => {
    expect(curves(lathe(set('motor.breakdownRatio', 2.6)))).toMatchObject({
      fieldWeakeningHz: 100,
      mechanicalHz: 120,
      baseHz: 50,
      typical: false,
    })
  })
})

describe('links as found and to be', () => {
  test('star on a 230 V drive goes to delta, with the links of both', () => {
    expect(evaluate(demoPlan('gap-bed-lathe')).relinking).toEqual({
      leads: '6',
      choices: ['delta', 'star'],
      part: [['W2', 'U2', 'V2']],
      join: [
        ['U1', 'W2'],
        ['V1', 'U2'],
        ['W1', 'V2'],
      ],
      asFound: { connection: 'star', links: [['W2', 'U2', 'V2']], lines: { L1: 'U1', L2: 'V1', L3: 'W1' } },
      toBe: {
        connection: 'delta',
        links: [
          ['U1', 'W2'],
          ['V1', 'U2'],
          ['W1', 'V2'],
        ],
        lines: { L1: 'U1', L2: 'V1', L3: 'W1' },
      },
    })
  })
  test('nothing to change where the links suit, nothing at all where there is no choice', () => {
    expect(evaluate(lathe()).relinking).toMatchObject({ asFound: { connection: 'delta' } })
    expect(evaluate(lathe()).relinking?.toBe).toBeUndefined()
    expect(evaluate(demoPlan('turret-mill')).relinking).toBeUndefined()
    expect(
      evaluate(applyPatch(demoPlan('long-bed-lathe'), [set('motor.connection', 'high')])).relinking?.toBe?.links,
    ).toEqual([
      ['1', '7'],
      ['2', '8'],
      ['3', '9'],
      ['4', '5', '6'],
    ])
  })
})
