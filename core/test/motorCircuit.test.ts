import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fieldSpeed, pullOut, solveCircuit, type EquivalentCircuit } from '../src/motor/circuit'
import { equivalentCircuit, operatingPoint } from '../src/motor'

const circuit: EquivalentCircuit = {
  r1Ohm: 1.35,
  x1Ohm: 1.9,
  r2Ohm: 1.25,
  x2Ohm: 1.9,
  xmOhm: 38,
  ratedFrequencyHz: 50,
  poles: 4,
}
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const anyCircuit = fc.record({
  r1Ohm: between(0.05, 20),
  x1Ohm: between(0.1, 20),
  r2Ohm: between(0.05, 20),
  x2Ohm: between(0.1, 20),
  xmOhm: between(20, 400),
  ratedFrequencyHz: fc.constantFrom(50, 60),
  poles: fc.constantFrom(2, 4, 6, 8),
})

describe('operating point', () => {
  test('power in is power across the gap and the stator’s copper, at any slip', () => {
    fc.assert(
      fc.property(anyCircuit, between(20, 500), between(2, 120), between(-1, 2), (c, v, f, s) => {
        const p = solveCircuit(c, v, f, s)
        const copper = 3 * p.currentA ** 2 * c.r1Ohm
        expect(Math.abs(p.inputW - p.airGapW - copper)).toBeLessThan(1e-7 * (Math.abs(p.inputW) + copper) + 1e-9)
        expect(Math.abs(p.inputW - Math.sqrt(3) * v * p.currentA * p.powerFactor)).toBeLessThan(
          1e-7 * Math.sqrt(3) * v * p.currentA,
        )
      }),
    )
  })
  test('an open rotor turns no torque, a generating one gives power back', () => {
    expect(solveCircuit(circuit, 230, 50, 0)).toMatchObject({ torqueNm: 0, speedRpm: 1500 })
    const generating = solveCircuit(circuit, 230, 50, -0.05)
    expect([generating.torqueNm < 0, generating.inputW < 0, generating.powerFactor < 0, generating.speedRpm]).toEqual([
      true,
      true,
      true,
      1575,
    ])
  })
  test('an exact zero and a slip next to it agree', () => {
    expect(solveCircuit(circuit, 230, 50, 1e-9).currentA).toBeCloseTo(solveCircuit(circuit, 230, 50, 0).currentA, 6)
  })
  test('pull-out is the most torque of any slip', () => {
    fc.assert(
      fc.property(anyCircuit, between(20, 500), between(2, 120), between(0.001, 1), (c, v, f, s) => {
        const { torqueNm, slip } = pullOut(c, v, f)
        expect(solveCircuit(c, v, f, s).torqueNm).toBeLessThanOrEqual(torqueNm * (1 + 1e-9))
        expect(solveCircuit(c, v, f, slip).torqueNm).toBeCloseTo(torqueNm, 6)
      }),
    )
  })
})

/** Plates as makers print them: size, poles and mains, with the slip, efficiency and cos phi of that size. */
const plate = fc
  .record({
    kw: between(0.18, 15),
    poles: fc.constantFrom(2, 4, 6, 8),
    hz: fc.constantFrom(50, 60),
    volts: fc.constantFrom(230, 400, 460),
    slack: between(-1, 1),
    printPf: fc.boolean(),
    printEta: fc.boolean(),
    breakdown: fc.option(between(2, 2.9), { nil: undefined }),
  })
  .map(({ kw, poles, hz, volts, slack, printPf, printEta, breakdown }) => {
    const big = Math.log(kw / 0.18) / Math.log(15 / 0.18)
    const slip = 0.085 - 0.06 * big + 0.008 * slack
    const efficiency = 0.6 + 0.3 * big - 0.01 * (poles - 2) + 0.02 * slack
    const powerFactor = 0.68 + 0.18 * big - 0.025 * (poles - 2) - 0.02 * slack
    return {
      powerW: kw * 1000,
      voltageV: volts,
      ratedFrequencyHz: hz,
      poles,
      ratedSpeedRpm: ((120 * hz) / poles) * (1 - slip),
      currentA: (kw * 1000) / (Math.sqrt(3) * volts * efficiency * powerFactor),
      ...(printPf ? { powerFactor } : {}),
      ...(printEta ? { efficiency } : {}),
      ...(breakdown === undefined ? {} : { breakdownRatio: breakdown }),
    }
  })

describe('equivalent circuit from the plate', () => {
  test('meets its plate, or says which line is impossible, over 600 plates', () => {
    let fitted = 0
    fc.assert(
      fc.property(plate, (p) => {
        const result = equivalentCircuit.run(p)
        if (!result.ok) {
          expect(result.faults[0]).toMatchObject({
            field: expect.stringMatching(/currentA|powerFactor|efficiency|ratedSpeedRpm|breakdownRatio/),
            message: expect.stringContaining('contradicts'),
          })
          return
        }
        fitted += 1
        const { circuit: c, rotationalLossW, residuals, breakdownRatio } = result.value
        const slip = 1 - p.ratedSpeedRpm / ((120 * p.ratedFrequencyHz) / p.poles)
        const point = operatingPoint.run({ circuit: c, voltageV: p.voltageV, frequencyHz: p.ratedFrequencyHz, slip })
        if (!point.ok) throw new Error('the circuit does not solve')
        const w = fieldSpeed(p.ratedFrequencyHz, p.poles) * (1 - slip)
        const shaftNm = point.value.torqueNm - rotationalLossW / w
        expect(Math.abs(shaftNm / (p.powerW / w) - 1)).toBeLessThan(0.02)
        expect(Math.abs(point.value.currentA / p.currentA - 1)).toBeLessThan(0.03)
        if ('breakdownRatio' in p) expect(Math.abs(breakdownRatio / (p.breakdownRatio ?? 1) - 1)).toBeLessThan(0.05)
        expect(Math.abs(residuals.torque)).toBeLessThan(0.02)
      }),
      { numRuns: 600 },
    )
    // Plates of ordinary motors are not refused by the dozen.
    expect(fitted).toBeGreaterThan(500)
  })
  test.each([
    ['ratedSpeedRpm', { ratedSpeedRpm: 1500 }],
    ['ratedSpeedRpm', { ratedSpeedRpm: 1000 }],
    ['currentA', { currentA: 3 }],
    ['currentA', { currentA: 6, powerFactor: 0.8, efficiency: 0.6 }],
    ['efficiency', { efficiency: 0.96 }],
    ['breakdownRatio', { breakdownRatio: 9 }],
  ])('names %s where the plate contradicts itself: %j', (field, change) => {
    const result = equivalentCircuit.run({
      powerW: 1500,
      voltageV: 230,
      ratedFrequencyHz: 50,
      poles: 4,
      ratedSpeedRpm: 1420,
      currentA: 6,
      ...change,
    })
    expect(result.ok ? 'accepted' : result.faults[0]?.field).toBe(field)
  })
  test('a starting current printed on the plate is aimed at', () => {
    const result = equivalentCircuit.run({
      powerW: 1500,
      voltageV: 230,
      ratedFrequencyHz: 50,
      poles: 4,
      ratedSpeedRpm: 1420,
      currentA: 6,
      powerFactor: 0.8,
      lockedRotorCurrentRatio: 5,
    })
    expect(result.ok ? Math.abs(result.value.residuals.lockedRotorCurrent ?? 1) : 1).toBeLessThan(0.05)
  })
})
