import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { axisCard } from '../src/axes/axisCard'
import { switchRows } from '../src/axes/switchRows'
import { trimSlots } from '../src/card/trimSlots'
import { registersOf } from '../src/commanded/registersOf'
import { angularSpeed } from '../src/drivetrain/angularSpeed'
import { evaluate } from '../src/conversion/evaluate'
import type { DcTorque, MagnetTorque } from '../src/facts/hearts/rpmTorque'
import { torqueCurve } from '../src/facts/motor/torqueCurve'
import { applyPatch, heartOf, isThere, readPlan, set, type Patch, type Plan, type PlanPath } from '../src/plan'
import { ofMachine } from '../src/measurements/ofMachine'
import { messageText } from '../src/quantities'
import { settingHearts } from '../src/stages/settingTable'
import { wiringOf } from '../src/wiring/wiringOf'
import { arbitraryPlan } from './arbitraryPlan'
import { soundAxis } from './axisMistakes'
import { demoPlan } from './demoPlans'
import { asDc, asDriver, soundDcDrive } from './heartMistakes'
import { soundPlan, spoiled } from './mistakes'
import { measuredBy } from './readings'
import { shippedManuals } from './shippedManuals'
import { soundManual } from './soundManual'
import { cardOf, commandedOf, runInOf } from './parts'

const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ')
const dc = (...more: Patch): Plan => spoiled(...asDc(), ...more)
const magnets = (...more: Patch): Plan => spoiled(...asDriver(), ...more)

describe('what turns a machine', () => {
  test('is said by the kind of its motor alone; one that is not told is taken for a three-phase one', () => {
    expect(heartOf({ motor: {} })).toBe('inverter')
    expect(heartOf(dc())).toBe('dc')
    expect(heartOf(magnets())).toBe('driver')
    expect(heartOf({ motor: { kind: 'high-frequency' } })).toBe('inverter')
  })
  test('decides what is asked: no motor without hertz is asked for hertz, links or a V/f line', () => {
    const ofHertz = /Hz\b|ratedFrequencyHz|motor\.(leads|connection)|drive\.control|knobTopHz/
    const asked = (plan: Plan): PlanPath[] => {
      const { missing, judged } = evaluate(plan)
      return [...missing.map((m) => m.path), ...judged.flatMap((line) => line.missing)]
    }
    for (const plan of [dc(), magnets(), demoPlan('long-bed-lathe-dc'), demoPlan('small-bench-lathe')])
      expect(
        asked(plan).filter((path) => ofHertz.test(path) && path !== 'supply.frequencyHz' && path !== 'driver.topHz'),
      ).toEqual([])
    fc.assert(
      fc.property(arbitraryPlan, (plan) => {
        expect(asked(plan).filter((path) => !isThere(plan, path))).toEqual([])
        const own = evaluate(plan).settings.filter(({ id }) => !settingHearts(id).includes(heartOf(plan)))
        expect(own).toEqual([])
      }),
      { numRuns: 100 },
    )
  })
  test('was told with hertz before: a stored DC motor comes without them, and nothing else of it is lost', () => {
    const old = {
      ...structuredClone(soundPlan()),
      schemaVersion: 5,
      motor: {
        kind: 'dc',
        powerW: 1500,
        lowVoltageV: 180,
        highVoltageV: 240,
        ratedFrequencyHz: 60,
        fieldVoltageV: 200,
      },
    } as Record<string, unknown>
    for (const key of ['dcDrive', 'driver', 'highFrequency', 'commanded']) Reflect.deleteProperty(old, key)
    const read = readPlan(old)
    expect(read).toMatchObject({
      ok: true,
      value: {
        schemaVersion: 6,
        motor: { kind: 'dc', powerW: 1500, lowVoltageV: 180, fieldVoltageV: 200 },
        dcDrive: {},
      },
    })
    expect(read.ok && read.value.motor.ratedFrequencyHz).toBe(undefined)
  })
})

describe('torque over speed', () => {
  const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  test('of a DC motor is whole to base, falls with its field, and is never more power than its armature takes', () => {
    const inputs: fc.Arbitrary<DcTorque> = fc
      .record({
        armatureV: between(60, 400),
        ratedA: between(1, 60),
        eta: between(0.6, 0.95),
        baseRpm: between(300, 2500),
        by: between(1, 4),
        form: between(1, 1.6),
      })
      .map(({ armatureV, ratedA, eta, baseRpm, by, form }) => ({
        of: 'dc',
        ratedTorqueNm: (armatureV * ratedA * eta) / angularSpeed(baseRpm),
        baseRpm,
        topRpm: baseRpm * by,
        lowestRpm: baseRpm / 20,
        highestRpm: baseRpm * by,
        armatureV,
        ratedA,
        armatureOhm: (0.5 * armatureV * (1 - eta)) / ratedA,
        continuousA: ratedA / form,
        overload: 1.5,
        shaftFan: false,
      }))
    fc.assert(
      fc.property(inputs, between(0.05, 1), (of, share) => {
        const curve = torqueCurve(of)
        const rpm = share * of.topRpm
        const { continuousNm = 0, peakNm } = curve.at(rpm)
        expect(continuousNm).toBeLessThanOrEqual(peakNm + 1e-9)
        expect(continuousNm * angularSpeed(rpm)).toBeLessThanOrEqual(of.armatureV * of.continuousA * (1 + 1e-6))
        if (rpm <= of.baseRpm)
          expect(continuousNm / ((of.ratedTorqueNm * of.continuousA) / of.ratedA)).toBeCloseTo(1, 6)
        if (rpm < of.topRpm * 0.9 && rpm > of.baseRpm)
          expect(curve.at(rpm * 1.1).continuousNm ?? 0).toBeLessThan(continuousNm)
        expect(curve.at(of.topRpm * 1.01).peakNm).toBe(0)
      }),
    )
  })
  test('of a motor with magnets ends where its volts do, and is never over its plate all day', () => {
    const of: MagnetTorque = {
      of: 'driver',
      ratedTorqueNm: 1.27,
      ratedRpm: 3000,
      lowestRpm: 300,
      highestRpm: 2600,
      plateA: 10.5,
      shaftFan: false,
      onVolts: { busV: 40, rpmPerVolt: 75, resistanceOhm: 0.22, limitA: 15 },
    }
    const curve = torqueCurve(of)
    for (const rpm of [0, 500, 1500, 2500, 2999]) {
      const { continuousNm = 0, peakNm } = curve.at(rpm)
      expect(continuousNm).toBeLessThanOrEqual(1.27)
      expect(continuousNm).toBeLessThanOrEqual(peakNm)
    }
    expect(curve.at(2999).peakNm).toBeLessThan(curve.at(1000).peakNm)
    expect(curve.at(3100).peakNm).toBe(0)
    // Without its volts it is kept at its plate: nothing is known beyond.
    const alone: MagnetTorque = { ...of }
    delete alone.onVolts
    expect(torqueCurve(alone).at(2999).continuousNm).toBe(1.27)
    expect(torqueCurve(alone).at(3100).peakNm).toBe(0)
  })
})

describe('speeds of a motor without hertz', () => {
  test('go from the least that is set to the most, through the same trains', () => {
    const { positions, figures } = evaluate(dc())
    const b = positions.find((p) => p.id === 'b')
    // 90 on 224 mm, from a twentieth of 1150 to twice it, or where the machine as built ends.
    expect(figures[b?.bottomRpm ?? 'motor.torque']?.value).toBeCloseTo((58 * 90) / 224, 6)
    expect(figures['settings.mostSpeedRpm']?.ruleId).toBe('motor.most-speed')
    expect(figures[b?.topRpm ?? 'motor.torque']?.value).toBeLessThanOrEqual((2300 * 90) / 224)
  })
  test('a smoother current gives more torque all day', () => {
    const torque = (rectifier: 'one-phase' | 'three-phase' | 'smooth') =>
      evaluate(dc(set('dcDrive', { ...soundDcDrive, rectifier }))).figures['dc.continuousNm']?.value ?? 0
    expect(torque('one-phase')).toBeLessThan(torque('three-phase'))
    expect(torque('three-phase')).toBeLessThan(torque('smooth'))
    expect(torque('smooth')).toBeCloseTo(1500 / angularSpeed(1150), 9)
  })
})

describe('wires', () => {
  const ids = (plan: Plan) => wiringOf(plan).devices.map(({ id }) => id)
  const joins = (plan: Plan, from: string, to: string) =>
    wiringOf(plan).wires.some((w) => [w.from, w.to].sort().join() === [from, to].sort().join())
  test('of a DC motor: a relay in the field whose contact lets it run, and what takes the field’s energy', () => {
    const plan = dc(set('manual', undefined))
    expect(ids(plan)).toEqual(expect.arrayContaining(['field-relay', 'suppressor', 'motor']))
    expect(joins(plan, 'drive.field-1', 'field-relay.in')).toBe(true)
    expect(joins(plan, 'field-relay.out', 'motor.F1')).toBe(true)
    expect(wiringOf(plan).wires.some((w) => [w.from, w.to].some((end) => end.startsWith('field-relay.a')))).toBe(true)
    expect(ids(dc(set('manual', undefined), set('dcDrive', { ...soundDcDrive, fieldLossTrip: false })))).not.toContain(
      'field-relay',
    )
  })
  test('a drive that turns its own armature over gets no reversing switch beside it', () => {
    const lathe = demoPlan('long-bed-lathe-dc')
    expect(ids(lathe)).not.toContain('reverser')
    const without = structuredClone(lathe)
    if (without.manual) without.manual.terminals = without.manual.terminals.filter((t) => t.does !== 'direction')
    expect(ids(without)).toContain('reverser')
  })
  test('a DC motor on a drive for hertz lacks its screws, and says so', () => {
    const { lacks } = wiringOf(dc(set('manual', soundManual())))
    expect(lacks.map((l) => l.does)).toEqual(expect.arrayContaining(['armature-1', 'armature-2', 'field-1', 'field-2']))
  })
  test('of a motor with magnets: its leads in the order that was found, its sensors one to one', () => {
    const lathe = demoPlan('small-bench-lathe')
    expect(
      joins(lathe, 'drive.a', 'motor.V') && joins(lathe, 'drive.b', 'motor.W') && joins(lathe, 'drive.c', 'motor.U'),
    ).toBe(true)
    expect(joins(lathe, 'drive.h1', 'motor.h-a')).toBe(true)
    expect(joins(lathe, 'direct.plus', 'drive.dp')).toBe(true)
    const turned = applyPatch(lathe, [set('driver.chosenOrder', 'vuw')])
    expect(joins(turned, 'drive.a', 'motor.V') && joins(turned, 'drive.b', 'motor.U')).toBe(true)
  })
})

describe('the card and the run-in', () => {
  test('of a DC board: volts by their trim, amps by theirs, and no word of hertz', () => {
    const plan = demoPlan('long-bed-lathe-dc')
    const { settings } = evaluate(plan)
    const slots = trimSlots(plan, settings)
    expect(slots.map((s) => [s.trim.prints, plain(messageText(s.wants))])).toEqual(
      expect.arrayContaining([
        ['FAST', '180 V at the armature'],
        ['FIELD OK', '0.22 A of the field'],
      ]),
    )
    const card = cardOf(plan)
    const words = [...card.lines, ...card.leave].map((l) => ('says' in l ? messageText(l.says) : l.words)).join(' ')
    expect(words).not.toMatch(/hertz/i)
  })
  test('a lost field is proved before the motor goes faster than a third', () => {
    const ids = runInOf(demoPlan('long-bed-lathe-dc')).stages.map(({ id }) => id)
    expect(ids.slice(0, 3)).toEqual(['bare-low', 'field-trip', 'bare-base'])
    expect(runInOf(demoPlan('small-bench-lathe')).stages.map(({ id }) => id)).not.toContain('field-trip')
  })
  test('the armature’s volts are expected by the plate and the speed', () => {
    const [slow] = runInOf(demoPlan('long-bed-lathe-dc')).stages
    const volts = slow?.readings.find(({ id }) => id === 'armature-volts')?.expected
    // (180 - 15.2 x 0.9) / 1150 x 383 + 0.12 x 15.2 x 0.9
    expect(volts && 'value' in volts ? volts.value : 0).toBeCloseTo(57.03, 2)
  })
})

describe('a compound motor', () => {
  const compound = (seriesWinding: 'used' | 'out', manual = demoPlan('long-bed-lathe-dc').manual) =>
    wiringOf(
      applyPatch(demoPlan('long-bed-lathe-dc'), [
        set('motor.fieldKind', 'compound'),
        set('dcDrive.seriesWinding', seriesWinding),
        set('manual', manual),
      ]),
    )
  const at = (wiring: ReturnType<typeof compound>, ...names: string[]) =>
    wiring.wires.flatMap(({ from, to }) =>
      [from, to].some((end) => names.some((name) => end === `motor.${name}`)) ? [`${from} ${to}`] : [],
    )
  test('has its series winding before whatever turns the armature over, or left out', () => {
    const used = compound('used')
    const [second, rest] = [at(used, 'S2'), at(used, 'S1')]
    expect([second.length, rest.length]).toEqual([1, 1])
    // From the drive to S2; from S1 on to the reversing switch, or to the armature where there is none.
    expect(second[0]).toMatch(/drive\./)
    expect(rest[0]).not.toMatch(/drive\./)
    expect(at(compound('out'), 'S1', 'S2')).toEqual([])
    expect(at(compound('out'), 'A2')).toHaveLength(1)
  })
})

describe('what a controller commands', () => {
  test('each range has its own line, and a command for the program’s speed', () => {
    const { ranges } = commandedOf(demoPlan('gantry-router'))
    const [direct] = ranges
    expect(direct?.fit?.gain).toBeCloseTo(1.0125, 2)
    expect((direct?.fit?.gain ?? 0) * (direct?.commandRpm ?? 0) + (direct?.fit?.offsetRpm ?? 0)).toBeCloseTo(18_000, 6)
  })
  test('readings of the machine that say the command count where the plan lists none, and not beside those it lists', () => {
    const open = applyPatch(demoPlan('gantry-router'), [set('commanded.readings', undefined)])
    const read = ([commandedRpm, value]: readonly [number, number]) =>
      ({ kind: 'spindle-speed', positionId: 'direct', commandedRpm, value }) as const
    const measured = measuredBy(
      ...(
        [
          [8000, 7600],
          [12_000, 1],
          [16_000, 15_200],
          [12_000, 11_400],
        ] as const
      ).map(read),
    )
    const [direct] = commandedOf(open, measured).ranges
    // Of two at one command the newer counts.
    expect([direct?.count, direct?.fit?.gain.toFixed(3), direct?.fit?.straight]).toEqual([3, '0.950', true])
    const said = evaluate(open, undefined, measured).findings.find((f) => f.id === 'commanded.true/direct')
    expect(messageText(said?.says ?? [])).toMatch(/turns 95.% of the command.*by 3 readings/)
    const [typed] = commandedOf(demoPlan('gantry-router'), measured).ranges
    expect(typed?.count).toBe(5)
    // With another motor they are read anew.
    expect(ofMachine(measured).commands).toBeUndefined()
  })
  test('hours of the spindle that were read are held against its bearings’', () => {
    const plan = applyPatch(demoPlan('gantry-router'), [
      set('highFrequency.hours', undefined),
      set('highFrequency.bearingLifeHours', 1000),
    ])
    const of = (hours: number) =>
      evaluate(
        plan,
        undefined,
        measuredBy({ kind: 'spindle-hours', value: 20 }, { kind: 'spindle-hours', value: hours }),
      ).findings.find((f) => f.id === 'high-frequency.bearing-hours')?.severity
    expect([of(500), of(850), of(1000)]).toEqual([undefined, 'note', 'watch'])
  })
  test('registers are those of the drive’s manual where none are typed, and what is typed goes before them', () => {
    const manual = { ...soundManual(), registers: { speed: '310', scale: 'hertz-10' as const, most: 4000 } }
    const plan = spoiled(
      set('manual', manual),
      set('commanded', { commandRegister: '311', registerScale: 'hertz-100' }),
    )
    expect(registersOf(plan)).toEqual({
      speedRegister: '310',
      commandRegister: '311',
      stateRegister: undefined,
      registerScale: 'hertz-100',
      registerMost: 4000,
    })
    const [quarter] = commandedOf(spoiled(set('manual', manual))).words
    expect(quarter && typeof quarter.word !== 'string' && quarter.word.word).toBe(Math.round((quarter?.hz ?? 0) * 10))
    // Every manual that ships with registers tells all of them.
    const told = [...shippedManuals.values()].flatMap((m) => m.registers ?? [])
    expect(told.length).toBeGreaterThan(1)
    for (const one of told) expect(Object.keys(one)).toEqual(['speed', 'command', 'state', 'scale', 'most'])
  })
  test('a register’s word is tested by the hertz that the display must show; one over its end is no word', () => {
    const on = (most?: number) =>
      commandedOf(
        spoiled(
          set('commanded', {
            registerScale: 'hertz-100',
            ...(most === undefined ? {} : { registerMost: most }),
          }),
        ),
      ).words
    const [quarter] = on()
    expect(quarter && typeof quarter.word !== 'string' && quarter.word.word).toBe(Math.round((quarter?.hz ?? 0) * 100))
    expect(on(100).every(({ word }) => typeof word === 'string')).toBe(true)
  })
})

describe('an axis', () => {
  test('its switches are read as people write them, and nothing is guessed', () => {
    const read = (text: string) => switchRows(text)?.map((row) => row.map(({ on }) => (on ? 1 : 0)).join(''))
    expect(read('0110 1001')).toEqual(['0110', '1001'])
    expect(read('on off off ON')).toEqual(['1001'])
    expect(read('1-0-1')).toEqual(['1', '0', '1'])
    expect(read('SW1 up')).toBe(undefined)
    expect(read('  ')).toBe(undefined)
  })
  test('has a card: what is set where, and what is not known yet', () => {
    const lines = axisCard(soundAxis)
    expect(lines.find((l) => l.what === 'Pulses for one mm')?.value).toBe('800')
    expect(lines.find((l) => l.what === 'Rapid, at most')?.value).toMatch(/^2.000 mm a minute$/)
    expect(lines.find((l) => l.what === 'Resistor in each line')?.value).toBe('2200 ohm, 0.5 W')
    expect(axisCard({ id: 'y' }).filter((l) => l.value !== undefined)).toEqual([])
  })
})
