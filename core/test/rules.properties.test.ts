import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { rules } from '../src/rulebook/registry'

const out = (id: string, input: object): Record<string, number> => {
  const result = rules.get(id)?.run(input)
  if (!result?.ok) throw new Error(`${id}: ${JSON.stringify(result)}`)
  return result.value as Record<string, number>
}
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const pulley = between(20, 600)

test('belt length and centre distance are inverses', () => {
  fc.assert(
    fc.property(pulley, pulley, between(1.001, 6), fc.boolean(), (a, b, far, crossed) => {
      const [largeMm, smallMm] = a > b ? [a, b] : [b, a]
      const centreMm = ((largeMm + smallMm) / 2) * far
      const { lengthMm } = out('belt.length', { largeMm, smallMm, centreMm, crossed })
      expect(out('belt.centre-distance', { largeMm, smallMm, lengthMm, crossed })['centreMm']).toBeCloseTo(centreMm, 5)
    }),
  )
})

test('an open belt wraps the two pulleys by a whole turn together, and grows with the centre distance', () => {
  fc.assert(
    fc.property(pulley, pulley, between(1.01, 6), (a, b, far) => {
      const [largeMm, smallMm] = a > b ? [a, b] : [b, a]
      const centreMm = ((largeMm + smallMm) / 2) * far
      const near = out('belt.length', { largeMm, smallMm, centreMm })
      expect((near['wrapSmallDeg'] ?? 0) + (near['wrapLargeDeg'] ?? 0)).toBeCloseTo(360, 8)
      expect(out('belt.length', { largeMm, smallMm, centreMm: centreMm * 1.01 })['lengthMm']).toBeGreaterThan(
        near['lengthMm'] ?? Infinity,
      )
    }),
  )
})

/** A belt and the torque it passes on: pulley, wrap, torque, mass and speed. */
const pulling = [pulley, between(90, 270), between(0.1, 200), between(0, 0.4), between(0.1, 30)] as const

test('belt tension, grip and the torque at which it slips are inverses, whatever the wrap and speed', () => {
  fc.assert(
    fc.property(...pulling, (diameterMm, wrapSmallDeg, torqueNm, massKgPerM, speedMPerS) => {
      const belt = { diameterMm, wrapSmallDeg, massKgPerM, speedMPerS }
      const { tightN, slackN, staticTensionN } = out('belt.tension', { ...belt, torqueNm })
      const grip = out('belt.grip', { ...belt, tightN })
      expect((grip['torqueNm'] ?? 0) / torqueNm).toBeCloseTo(1, 6)
      expect((grip['slackN'] ?? 0) / (slackN ?? 1)).toBeCloseTo(1, 6)
      expect((out('belt.slip-torque', { ...belt, staticTensionN })['torqueNm'] ?? 0) / torqueNm).toBeCloseTo(1, 6)
    }),
  )
})

test('pressing a belt tells the tension for which the force was worked out', () => {
  fc.assert(
    fc.property(
      pulley,
      pulley,
      between(1.05, 8),
      between(5, 2000),
      fc.boolean(),
      (a, b, apart, staticTensionN, crossed) => {
        const [largeMm, smallMm] = [Math.max(a, b), Math.min(a, b)]
        const lies = { largeMm, smallMm, centreMm: (apart * (a + b)) / 2, crossed }
        const { deflectionMm, forceN } = out('belt.span-deflection', { ...lies, staticTensionN })
        expect(
          (out('belt.span-tension', { ...lies, forceN, deflectionMm })['staticTensionN'] ?? 0) / staticTensionN,
        ).toBeCloseTo(1, 6)
      },
    ),
  )
})

const sections = fc.constantFrom('z', 'a', 'b', 'c', 'spz', 'spa')

test('a belt in its own grooves lies where it should, and never on the bottom', () => {
  fc.assert(
    fc.property(sections, between(60, 400), (section, diameterMm) => {
      const result = rules.get('belt.in-groove')?.run({ section, grooves: section, diameterMm })
      expect(result).toMatchObject({ ok: true, value: { liftMm: 0, effectiveMm: diameterMm, bottoms: false } })
    }),
  )
})

test('a V-belt bears more on a larger pulley and with more wrap, and twice as much when there are two', () => {
  fc.assert(
    fc.property(sections, between(100, 1500), between(120, 200), (section, speedRpm, wrapSmallDeg) => {
      const powers = [120, 160, 200, 250].map((diameterMm) => {
        const result = rules.get('belt.power')?.run({ section, diameterMm, speedRpm, wrapSmallDeg })
        return result?.ok ? Number(result.value['powerW']) : 0
      })
      expect(powers).toEqual([...powers].sort((a, b) => a - b))
      const at = { section, diameterMm: 250, speedRpm }
      const one = out('belt.power', { ...at, wrapSmallDeg })['powerW'] ?? 0
      expect(out('belt.power', { ...at, wrapSmallDeg, belts: 2 })['powerW']).toBeCloseTo(2 * one, 6)
      expect(out('belt.power', { ...at, wrapSmallDeg: wrapSmallDeg + 20 })['powerW']).toBeGreaterThan(one)
    }),
  )
})

test('poles: the plate speed lies within a quarter under the synchronous speed of those poles', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(50, 60, 100, 400),
      fc.integer({ min: 1, max: 6 }),
      between(0, 0.15),
      (ratedFrequencyHz, pairs, slip) => {
        const synchronous = (60 * ratedFrequencyHz) / pairs
        const result = rules
          .get('motor.poles-from-nameplate')
          ?.run({ ratedSpeedRpm: synchronous * (1 - slip), ratedFrequencyHz })
        // Slip may carry a plate past the next pole count; what comes back must still explain the speed.
        if (!result?.ok) return
        const { synchronousRpm, slip: found, poles } = result.value as Record<string, number>
        expect(synchronousRpm).toBeCloseTo((120 * ratedFrequencyHz) / (poles ?? 0), 6)
        expect((synchronousRpm ?? 0) * (1 - (found ?? 0))).toBeCloseTo(synchronous * (1 - slip), 4)
      },
    ),
  )
})

test('spindle speed is the product of its stages whatever their order', () => {
  const stage = fc.record({
    kind: fc.constantFrom('v-belt', 'gear-pair', 'crossed-belt'),
    driverMm: pulley,
    drivenMm: pulley,
  })
  fc.assert(
    fc.property(fc.array(stage, { minLength: 1, maxLength: 6 }), between(1, 200), (stages, frequencyHz) => {
      const there = out('drivetrain.speed', { frequencyHz, poles: 4, stages })
      const back = out('drivetrain.speed', { frequencyHz, poles: 4, stages: [...stages].reverse() })
      expect(back['spindleRpm']).toBeCloseTo(there['spindleRpm'] ?? 0, 6)
      expect(back['reversed']).toBe(there['reversed'])
    }),
  )
})

test('flux times set volts per hertz is symmetric: swapping set and plate inverts it', () => {
  fc.assert(
    fc.property(between(20, 700), between(5, 500), between(20, 700), between(5, 500), (a, fa, b, fb) => {
      const k =
        out('motor.flux', { setVoltageV: a, baseFrequencyHz: fa, plateVoltageV: b, plateFrequencyHz: fb })[
          'fluxFraction'
        ] ?? 0
      const inverse =
        out('motor.flux', { setVoltageV: b, baseFrequencyHz: fb, plateVoltageV: a, plateFrequencyHz: fa })[
          'fluxFraction'
        ] ?? 0
      expect(k * inverse).toBeCloseTo(1, 9)
    }),
  )
})

test('fan cooling never falls as the hertz rise', () => {
  fc.assert(
    fc.property(between(0.1, 1), between(0.1, 1), (a, b) => {
      const at = (f: number) => out('motor.fan-cooling', { frequencyFraction: f })['torqueFraction'] ?? 0
      expect(at(Math.max(a, b))).toBeGreaterThanOrEqual(at(Math.min(a, b)))
    }),
  )
})
