import { describe, expect, test } from '@jest/globals'
import { rules } from '../src/rules/registry'

/** Runs a rule that must succeed. */
function run(id: string, input: Record<string, unknown>): Record<string, number | string | boolean> {
  const result = rules.get(id)?.run(input)
  if (!result?.ok) throw new Error(`${id} refused: ${JSON.stringify(result)}`)
  return result.value as Record<string, number | string | boolean>
}

function faults(id: string, input: unknown): string[] {
  const result = rules.get(id)?.run(input)
  if (!result || result.ok) throw new Error(`${id} accepted ${JSON.stringify(input)}`)
  return result.faults.map((f) => `${f.field} ${f.message}`)
}

describe('examples from the engineering sheet', () => {
  const examples: [string, Record<string, unknown>, Record<string, number | boolean>, number][] = [
    ['motor.poles-from-nameplate', { ratedSpeedRpm: 1420, ratedFrequencyHz: 50 }, { poles: 4, synchronousRpm: 1500, slip: 0.05333 }, 5],
    ['motor.rated-torque', { powerW: 1500, speedRpm: 1420 }, { torqueNm: 10.087 }, 3],
    ['motor.full-load-current', { powerW: 1500, voltageV: 230, efficiency: 0.79, powerFactor: 0.8 }, { currentA: 5.958 }, 3],
    ['motor.service-factor-current', { currentA: 6, serviceFactor: 1.15 }, { currentA: 6.9 }, 6],
    ['motor.flux', { setVoltageV: 230, baseFrequencyHz: 50, plateVoltageV: 400, plateFrequencyHz: 50 }, { fluxFraction: 0.575 }, 6],
    ['drive.bus-voltage', { supplyV: 230 }, { busV: 325.27 }, 2],
    ['drive.bus-voltage', { supplyV: 120, doubler: true }, { busV: 339.41 }, 2],
    ['drive.input-current', { shaftW: 1500, motorEfficiency: 0.79, driveEfficiency: 0.96, supplyV: 230, phases: 1, powerFactor: 0.65 }, { currentA: 13.23 }, 2],
    ['drive.single-phase-rating', { ratedOutputA: 17, factor: 0.43, permitted: true }, { outputA: 7.31 }, 6],
    ['belt.length', { largeMm: 224, smallMm: 90, centreMm: 410 }, { lengthMm: 1324.2, wrapSmallDeg: 161.19, wrapLargeDeg: 198.81 }, 2],
    ['belt.length', { largeMm: 224, smallMm: 90, centreMm: 410, crossed: true }, { lengthMm: 1374.12, wrapSmallDeg: 225.03, wrapLargeDeg: 225.03 }, 2],
    ['belt.centre-distance', { largeMm: 224, smallMm: 90, lengthMm: 1330 }, { centreMm: 412.94 }, 2],
    ['drivetrain.speed', { frequencyHz: 50, poles: 4, slip: 0.05, stages: [{ kind: 'v-belt', driverMm: 90, drivenMm: 224 }] }, { spindleRpm: 572.5, speedRatio: 0.4018, reversed: false }, 1],
    ['inertia.cylinder', { outerMm: 250, lengthMm: 60 }, { massKg: 23.12, inertiaKgM2: 0.18063 }, 2],
    ['workholding.wheel-speed', { diameterMm: 200, speedRpm: 3600, markedMPerS: 35 }, { speedMPerS: 37.699, permitted: false }, 3],
    ['cutting.speed', { surfaceSpeedMPerMin: 30, diameterMm: 25 }, { speedRpm: 381.97 }, 2],
  ]
  test.each(examples)('%s %j', (id, input, expected, digits) => {
    const output = run(id, input)
    for (const [key, value] of Object.entries(expected)) {
      if (typeof value === 'number') expect(output[key]).toBeCloseTo(value, digits)
      else expect(output[key]).toBe(value)
    }
  })

  test('every rule computes its own example', () => {
    for (const rule of rules.values()) expect([rule.id, rule.run(rule.example).ok]).toEqual([rule.id, true])
  })
})

describe('poles from the plate', () => {
  test('a synchronous plate leaves the slip unknown', () => {
    expect(run('motor.poles-from-nameplate', { ratedSpeedRpm: 24000, ratedFrequencyHz: 400 })).toEqual({ poles: 2, synchronousRpm: 24000, slip: 0, slipUnknown: true })
    expect(run('motor.poles-from-nameplate', { ratedSpeedRpm: 1200, ratedFrequencyHz: 60 })).toMatchObject({ poles: 6, slipUnknown: true })
  })
  test('refuses faster than two poles, and slip over a quarter', () => {
    expect(faults('motor.poles-from-nameplate', { ratedSpeedRpm: 3001, ratedFrequencyHz: 50 })).toEqual([expect.stringMatching(/^ratedSpeedRpm must be at most 3000/)])
    expect(faults('motor.poles-from-nameplate', { ratedSpeedRpm: 2249, ratedFrequencyHz: 50 })[0]).toMatch(/slip of 25.0 %/)
    expect(run('motor.poles-from-nameplate', { ratedSpeedRpm: 2250, ratedFrequencyHz: 50 })).toMatchObject({ poles: 2, slip: 0.25 })
  })
})

describe('safe speed', () => {
  test('plate first, then frame and poles, never under the rated speed', () => {
    const at = (poles: number, frameMm: number, extra = {}) => run('motor.safe-speed', { poles, frameMm, ratedSpeedRpm: 60, ...extra })
    expect(at(2, 112)).toEqual({ maximumRpm: 5200, basis: 'typical' })
    expect(at(4, 90)).toEqual({ maximumRpm: 3600, basis: 'typical' })
    expect(at(6, 100)).toEqual({ maximumRpm: 2400, basis: 'typical' })
    expect(at(2, 132)).toEqual({ maximumRpm: 4500, basis: 'typical' })
    expect(at(4, 180)).toEqual({ maximumRpm: 2700, basis: 'typical' })
    expect(at(4, 90, { plateMaximumRpm: 2500 })).toEqual({ maximumRpm: 2500, basis: 'given' })
    expect(at(8, 90)).toEqual({ maximumRpm: 60, basis: 'given' })
    expect(run('motor.safe-speed', { poles: 2, frameMm: 80, ratedSpeedRpm: 24000 })).toEqual({ maximumRpm: 24000, basis: 'given' })
  })
})

describe('output voltage', () => {
  const at = (frequencyHz: number, extra = {}) => run('drive.output-voltage', { frequencyHz, baseFrequencyHz: 50, ratedVoltageV: 230, supplyV: 230, ...extra })
  test('rises on a straight line with boost, then holds', () => {
    expect(at(0, { boostV: 10 })).toEqual({ outputV: 10, limited: false })
    expect(at(25)).toEqual({ outputV: 115, limited: false })
    expect(at(90)).toEqual({ outputV: 230, limited: false })
  })
  test('is limited only where the supply clamps it', () => {
    expect(at(50, { ratedVoltageV: 400 })).toEqual({ outputV: 230, limited: true })
    expect(at(20, { ratedVoltageV: 400 })).toEqual({ outputV: 160, limited: false })
    expect(at(50, { supplyV: 120, doubler: true })).toEqual({ outputV: 230, limited: false })
  })
})

describe('drive train', () => {
  const stages = (...kinds: string[]) => kinds.map((kind) => ({ kind, driverMm: 100, drivenMm: 100 }))
  test('crossed belts and gear pairs flip the sense, twice gives it back', () => {
    const reversed = (...kinds: string[]) => run('drivetrain.ratio', { stages: stages(...kinds) })['reversed']
    expect(reversed('v-belt', 'timing-belt')).toBe(false)
    expect(reversed('crossed-belt')).toBe(true)
    expect(reversed('v-belt', 'gear-pair')).toBe(true)
    expect(reversed('gear-pair', 'crossed-belt')).toBe(false)
  })
  test('names the stage that lacks a size', () => {
    expect(faults('drivetrain.speed', { frequencyHz: 50, poles: 4, slip: 0, stages: [{ kind: 'direct' }, { kind: 'v-belt', driverMm: 90 }] })).toEqual([expect.stringMatching(/^stages\[1\]\.drivenMm is missing/)])
  })
})

describe('knob', () => {
  test('scaled and clamped', () => {
    const at = (dial: number, mode?: string) => run('control.reference', { dial, minHz: 6, maxHz: 90, mode })['frequencyHz']
    expect([at(0), at(0.5), at(1)]).toEqual([6, 48, 90])
    expect([at(0, 'clamped'), at(0.05, 'clamped'), at(0.5, 'clamped')]).toEqual([6, 6, 45])
  })
  test('lowest above highest is refused', () => {
    expect(faults('control.reference', { dial: 0, minHz: 60, maxHz: 50 })).toEqual(['minHz must be at most maxHz, 50'])
  })
})

describe('wheel without a mark', () => {
  test('may run its original speed and no faster; with nothing known, not at all', () => {
    const at = (extra: object) => run('workholding.wheel-speed', { diameterMm: 200, speedRpm: 2850, ...extra })['permitted']
    expect([at({ originalSpeedRpm: 2850 }), at({ originalSpeedRpm: 2800 }), at({})]).toEqual([true, false, false])
  })
})

describe('bad input', () => {
  test.each([
    ['motor.rated-torque', { powerW: 0, speedRpm: 1420 }, /^powerW must be: number above 0 to 100000000; not 0$/],
    ['motor.rated-torque', { powerW: 'x', speedRpm: 1420 }, /^powerW must be: number/],
    ['motor.rated-torque', { speedRpm: 1420 }, /^powerW is missing/],
    ['motor.rated-torque', { powerW: 1, speedRpm: 2, watts: 3 }, /^watts is not a key known here$/],
    ['motor.rated-torque', { powerW: Infinity, speedRpm: 2 }, /^powerW must be/],
    ['motor.rated-torque', { powerW: NaN, speedRpm: 2 }, /^powerW must be/],
    ['drive.input-current', { shaftW: 1500, motorEfficiency: 0.79, driveEfficiency: 0.96, supplyV: 230, phases: 2, powerFactor: 0.65 }, /^phases must be 1 or 3/],
    ['drivetrain.speed', { frequencyHz: 50, poles: 3, stages: [] }, /^poles must be an even number/],
    ['belt.length', { largeMm: 224, smallMm: 90, centreMm: 100 }, /^centreMm must be at least 157/],
    ['belt.length', { largeMm: 90, smallMm: 224, centreMm: 500 }, /^smallMm must be at most largeMm/],
    ['belt.centre-distance', { largeMm: 224, smallMm: 90, lengthMm: 500 }, /^lengthMm must be at least/],
  ])('%s %j', (id, input, message) => {
    expect(faults(id, input)[0]).toMatch(message)
  })
  test('an input that is not an object', () => {
    expect(faults('motor.rated-torque', null)).toHaveLength(1)
    expect(faults('motor.rated-torque', [1])).toHaveLength(1)
  })
})
