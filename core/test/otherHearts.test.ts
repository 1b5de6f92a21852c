import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { rules } from '../src/rulebook/registry'
import { motor, plate, points, set48 } from './otherHeartExamples'

/** Runs a rule that must succeed. */
function out(id: string, input: object): Record<string, number> {
  const result = rules.get(id)?.run(input)
  if (!result?.ok) throw new Error(`${id}: ${JSON.stringify(result)}`)
  return result.value as Record<string, number>
}

/** What a rule refuses an input for: field and words. */
function refused(id: string, input: object): string {
  const result = rules.get(id)?.run(input)
  if (!result || result.ok) throw new Error(`${id} accepted ${JSON.stringify(input)}`)
  return result.faults.map((f) => `${f.field} ${f.message}`).join('; ')
}

describe('a spindle that is commanded', () => {
  test('readings of a spindle on one range: line, dead band, and the one that was read wrong', () => {
    const readings = [
      { commandedRpm: 50, rpm: 0 },
      { commandedRpm: 100, rpm: 0 },
      ...[500, 1000, 1500, 2000, 2500, 3000].map((commandedRpm) => ({ commandedRpm, rpm: 0.96 * commandedRpm - 10 })),
    ]
    const wrong = readings.map((r, i) => (i === 4 ? { ...r, rpm: 2860 } : r))
    expect(rules.get('cnc.command-fit')?.run({ readings: wrong })).toEqual({
      ok: true,
      value: {
        gain: expect.closeTo(0.96, 9),
        offsetRpm: expect.closeTo(-10, 6),
        straight: true,
        maxErrorRpm: expect.closeTo(0, 6),
        deadBandRpm: 100,
        outliers: [4],
      },
    })
    // A curve is told as one.
    const bent = [1, 2, 3, 4, 5, 6, 7, 8].map((n) => ({ commandedRpm: 100 * n, rpm: 30 * n * n }))
    expect(out('cnc.command-fit', { readings: bent })['straight']).toBe(false)
  })
})

describe('what cannot be is refused by its field', () => {
  test.each([
    ['dc.armature', { ...plate, powerW: 2000 }, /^powerW must be under 1890 W.*contradict each other/],
    [
      'dc.operating-point',
      { ...motor, speedRpm: 3600, currentA: 5 },
      /^speedRpm must be at most 3500, the top by field/,
    ],
    ['dc.operating-point', { ...motor, topRpm: undefined, speedRpm: 1800, currentA: 5 }, /no plate says how far/],
    [
      'dc.operating-point',
      { ...motor, armatureOhm: 20, speedRpm: 500, currentA: 5 },
      /^armatureOhm must be under 17.1/,
    ],
    ['dc.operating-point', { ...motor, speedRpm: 500, currentA: 110 }, /^currentA must be under 102/],
    ['dc.bridge-voltage', { supplyV: 230, phases: 1, control: 'diodes', firingDeg: 30 }, /^firingDeg must be 0/],
    ['dc.field-discharge', { fieldV: 200, fieldA: 0.6, mostV: 100 }, /^mostV must be at least fieldV/],
    ['brushless.torque', { ...set48, speedRpm: 4000 }, /^speedRpm must be at most 3840/],
    ['cnc.series-resistor', { supplyV: 5, inputV: 5, currentA: 0.01 }, /^inputV must be under supplyV, 5/],
    ['cnc.series-resistor', { supplyV: 100, inputV: 5, currentA: 0.5 }, /^currentA must be lower/],
    ['cnc.command-for-speed', { wantedRpm: 50, gain: 1, offsetRpm: 80 }, /^wantedRpm must be at least 80/],
    [
      'cnc.command-fit',
      {
        readings: [
          { commandedRpm: 100, rpm: 0 },
          { commandedRpm: 200, rpm: 90 },
        ],
      },
      /^readings must have two/,
    ],
    [
      'control.fieldbus-word',
      { frequencyHz: 70, resolutionHz: 0.001, maximumHz: 80 },
      /^resolutionHz must be at least 0.00107/,
    ],
    ['motor.volts-on-curve', { points: [...points].reverse(), frequencyHz: 50 }, /^points must rise/],
    ['cnc.axis', { pulsesPerTurn: 0.5, turnsPerUnit: 1, maxPulseHz: 1 }, /^pulsesPerTurn/],
  ])('%s', (id, input, says) => {
    expect(refused(id, input)).toMatch(says)
  })
})

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const watts = (torqueNm: number, rpm: number) => (torqueNm * 2 * Math.PI * rpm) / 60

describe('whatever the motor', () => {
  const dcMotor = fc
    .record({
      armatureV: between(12, 600),
      ratedA: between(0.5, 100),
      drop: between(0.01, 0.4),
      baseRpm: between(200, 4000),
      byField: between(1, 4),
    })
    .map(({ drop, byField, ...m }) => ({
      ...m,
      armatureOhm: (drop * m.armatureV) / m.ratedA,
      topRpm: m.baseRpm * byField,
    }))
  test('a DC motor’s power is torque times speed, never over what its armature takes, and its volts never over the plate', () => {
    fc.assert(
      fc.property(dcMotor, between(0.01, 1), between(0.05, 1.5), between(1, 2), (m, share, load, formFactor) => {
        const speedRpm = m.topRpm * share
        const result = rules.get('dc.operating-point')?.run({ ...m, speedRpm, currentA: load * m.ratedA, formFactor })
        // Weak fields and heavy loads are refused, and by words.
        if (!result?.ok) return
        const at = result.value as Record<string, number>
        const [torqueNm = 0, powerW = 0, inputW = 0, heatW = 0] = [
          at['torqueNm'],
          at['powerW'],
          at['inputW'],
          at['heatW'],
        ]
        expect(powerW).toBeCloseTo(watts(torqueNm, speedRpm), 6)
        expect(powerW).toBeLessThanOrEqual(inputW)
        expect(powerW + heatW).toBeCloseTo(inputW, 6)
        expect(at['terminalV']).toBeLessThanOrEqual(m.armatureV * (1 + 1e-9))
        // Smooth current: what goes in is volts times amps.
        if (formFactor === 1) expect(inputW).toBeCloseTo((at['terminalV'] ?? 0) * load * m.ratedA, 6)
      }),
    )
  })
  test('above base a DC motor keeps its power and loses torque as it goes faster', () => {
    fc.assert(
      fc.property(dcMotor, (m) => {
        if (m.topRpm < m.baseRpm * 1.01) return
        const at = (speedRpm: number) => out('dc.operating-point', { ...m, speedRpm, currentA: m.ratedA })
        const [base, top] = [at(m.baseRpm), at(m.topRpm)]
        expect((top['powerW'] ?? 0) / (base['powerW'] ?? 1)).toBeCloseTo(1, 6)
        expect((top['torqueNm'] ?? 0) / (base['torqueNm'] ?? 1)).toBeCloseTo(m.baseRpm / m.topRpm, 6)
      }),
    )
  })
  test('a plate’s resistance gives its own efficiency back, less what is not copper', () => {
    fc.assert(
      fc.property(between(24, 600), between(0.5, 100), between(0.5, 0.95), between(200, 4000), (v, a, eta, rpm) => {
        const {
          armatureOhm = 0,
          torqueNm = 0,
          inputW = 0,
        } = out('dc.armature', {
          armatureV: v,
          armatureA: a,
          powerW: v * a * eta,
          baseRpm: rpm,
        })
        expect(watts(torqueNm, rpm)).toBeCloseTo(v * a * eta, 6)
        expect((2 * a ** 2 * armatureOhm) / (inputW * (1 - eta))).toBeCloseTo(1, 9)
      }),
    )
  })
  test('a brushless motor takes from its bus what it gives and what heats it, and its torque falls beyond the knee', () => {
    const brushless = fc.record({
      busV: between(12, 400),
      rpmPerVolt: between(1, 500),
      resistanceOhm: between(0.005, 20),
      limitA: between(0.5, 100),
    })
    fc.assert(
      fc.property(brushless, between(0, 1), (m, share) => {
        const speedRpm = share * m.rpmPerVolt * m.busV
        const at = out('brushless.torque', { ...m, speedRpm })
        const [torqueNm = 0, currentA = 0, powerW = 0, inputW = 0, kneeRpm = 0] = [
          at['torqueNm'],
          at['currentA'],
          at['powerW'],
          at['inputW'],
          at['kneeRpm'],
        ]
        expect(powerW).toBeCloseTo(watts(torqueNm, speedRpm), 6)
        expect(inputW).toBeLessThanOrEqual(m.busV * currentA * (1 + 1e-9))
        expect(currentA).toBeLessThanOrEqual(m.limitA)
        // Where its volts do not reach the limit even standing there is no knee.
        if (kneeRpm > 0 && speedRpm <= kneeRpm * (1 - 1e-9)) expect(currentA / m.limitA).toBeCloseTo(1, 9)
        if (speedRpm > kneeRpm * (1 + 1e-6) + 1e-6) expect(currentA).toBeLessThan(m.limitA)
      }),
    )
  })
  test('what is commanded for a speed gives that speed on the line', () => {
    fc.assert(
      fc.property(between(0.3, 3), between(-50, 0), between(10, 20_000), (gain, offsetRpm, wantedRpm) => {
        const { commandedRpm = 0 } = out('cnc.command-for-speed', { wantedRpm, gain, offsetRpm })
        expect(gain * commandedRpm + offsetRpm).toBeCloseTo(wantedRpm, 6)
        const readings = [0.2, 0.4, 0.6, 0.8, 1]
          .map((share) => share * 3000)
          .map((c) => ({ commandedRpm: c, rpm: Math.max(0, gain * c + offsetRpm) }))
        const fit = out('cnc.command-fit', { readings })
        expect(fit['gain']).toBeCloseTo(gain, 9)
        expect(fit['offsetRpm']).toBeCloseTo(offsetRpm, 5)
      }),
    )
  })
  test('a register’s word is the nearest step, and never over the highest hertz', () => {
    fc.assert(
      fc.property(
        between(0, 600),
        fc.constantFrom(0.01, 0.05, 0.1, 1),
        between(1, 600),
        (hz, resolutionHz, maximumHz) => {
          const at = out('control.fieldbus-word', { frequencyHz: hz, resolutionHz, maximumHz })
          const wordHz = at['wordHz'] ?? NaN
          expect(wordHz).toBeLessThanOrEqual(maximumHz + 1e-6)
          if (hz <= maximumHz - resolutionHz) expect(Math.abs(wordHz - hz)).toBeLessThanOrEqual(resolutionHz / 2 + 1e-9)
        },
      ),
    )
  })
  test('pulses of an axis run out at the feed that is told, and the motor never turns faster than it may', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 100_000 }),
        between(0.001, 50),
        between(1000, 4e6),
        between(50, 6000),
        (pulsesPerTurn, turnsPerUnit, maxPulseHz, motorMaximumRpm) => {
          const { pulsesPerUnit = 0, maxFeedPerMin = 0 } = out('cnc.axis', {
            pulsesPerTurn,
            turnsPerUnit,
            maxPulseHz,
            motorMaximumRpm,
          })
          const [pulseHz, rpm] = [(maxFeedPerMin * pulsesPerUnit) / 60, maxFeedPerMin * turnsPerUnit]
          expect(pulseHz).toBeLessThanOrEqual(maxPulseHz * (1 + 1e-9))
          expect(rpm).toBeLessThanOrEqual(motorMaximumRpm * (1 + 1e-9))
          expect(Math.max(pulseHz / maxPulseHz, rpm / motorMaximumRpm)).toBeCloseTo(1, 9)
        },
      ),
    )
  })
  test('the capacitance that is told keeps a pumped bus just under its limit', () => {
    fc.assert(
      fc.property(between(1e-4, 1), between(50, 6000), between(12, 400), between(1.05, 2), (j, rpm, busV, over) => {
        const stop = { inertiaKgM2: j, speedRpm: rpm, busV, mostV: busV * over }
        const { wantedF = 0 } = out('brushless.pumped-bus', { ...stop, capacitanceF: 0.001 })
        if (wantedF > 10) return
        expect(
          (out('brushless.pumped-bus', { ...stop, capacitanceF: wantedF })['pumpedV'] ?? 0) / (busV * over),
        ).toBeCloseTo(1, 6)
      }),
    )
  })
})
