import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { applyPatch, emptyPlan, readPlan } from '../src/plan'
import { readPlate } from '../src/plate/readPlate'

const empty = emptyPlan('x')
const motor = (text: string) => applyPatch(empty, readPlate(text, empty).patch).motor
const kW = (n: number): unknown => expect.closeTo(n * 1000, 0)

describe('whole plates', () => {
  test('a metric plate with slashes and decimal commas', () => {
    expect(
      motor(`3~ Mot. 90L-4  IP55  Th.Cl. F
        1,5 kW   1420 min-1   50 Hz
        230/400 V  Δ/Y   6,0/3,5 A
        cos φ 0,80   η 79%`),
    ).toEqual({
      kind: 'induction',
      frame: '90L',
      platePoles: 4,
      enclosure: 'IP55',
      insulationClass: 'F',
      powerW: kW(1.5),
      ratedSpeedRpm: 1420,
      ratedFrequencyHz: 50,
      lowVoltageV: 230,
      highVoltageV: 400,
      lowVoltageA: 6,
      highVoltageA: 3.5,
      powerFactor: 0.8,
      efficiency: 0.79,
    })
  })
  test('an inch plate with its abbreviations, one to a line', () => {
    expect(
      motor(`HP 3
        RPM 1750
        VOLTS 230/460
        AMPS 8.6/4.3
        HZ 60   PH 3
        SF 1.15  FR 182T
        ENCL TEFC  INS CL F
        NEMA NOM EFF 81.5  PF 80
        10:1 CT`),
    ).toEqual({
      powerW: expect.closeTo(2237.1, 1),
      ratedSpeedRpm: 1750,
      lowVoltageV: 230,
      highVoltageV: 460,
      lowVoltageA: 8.6,
      highVoltageA: 4.3,
      ratedFrequencyHz: 60,
      kind: 'induction',
      serviceFactor: 1.15,
      frame: '182T',
      enclosure: 'TEFC',
      insulationClass: 'F',
      efficiency: 0.815,
      powerFactor: 0.8,
      inverterDutyRatio: 10,
    })
  })
  test('ranges are read as their nominal, and it is said', () => {
    const { lines } = readPlate('220-240/380-415 V  50 Hz  3,2-3,0/1,8-1,7 A', empty)
    expect(motor('220-240/380-415 V  50 Hz  3,2-3,0/1,8-1,7 A')).toEqual({
      lowVoltageV: 230,
      highVoltageV: 400,
      ratedFrequencyHz: 50,
      lowVoltageA: 3,
      highVoltageA: 1.7,
    })
    expect(lines[0]?.notes).toHaveLength(2)
  })
  test('in any order the same is understood', () => {
    const lines = ['3/4 hp', '1725 rpm', '230/460 V', '2.8/1.4 A', '60 Hz', '3 phase', 'Frame 56C']
    fc.assert(
      fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (shuffled) =>
        expect(motor(shuffled.join('\n'))).toEqual(motor(lines.join(' '))),
      ),
    )
  })
})

describe('single sayings', () => {
  test.each<[string, object]>([
    ['1,420 rpm', { ratedSpeedRpm: 1420 }],
    ['n = 2850 1/min', { ratedSpeedRpm: 2850 }],
    ['1 1/2 HP', { powerW: kW(1.11855) }],
    ['0.18kW', { powerW: kW(0.18) }],
    ['750 W', { powerW: 750 }],
    ['2 PS', { powerW: kW(1.471) }],
    ['400 V', { lowVoltageV: 400 }],
    ['cosphi .75', { powerFactor: 0.75 }],
    ['FLA 4.2', { lowVoltageA: 4.2 }],
    ['60 CYC', { ratedFrequencyHz: 60 }],
    ['nmax 3600', { maximumRpm: 3600 }],
    ['max safe speed 2700 rpm', { maximumRpm: 2700 }],
    ['4 pole', { platePoles: 4 }],
    ['Ma/Mn 2.4', { breakdownRatio: 2.4 }],
  ])('%s', (text, means) => expect(motor(text)).toEqual(means))
})

describe('motors that a drive cannot run are recognised', () => {
  test.each([
    ['1 PH 230 V 60 Hz 9.5 A 1725 RPM', 'single-phase'],
    ['CAPACITOR START 1 HP', 'single-phase'],
    ['1~ 230 V 40 µF', 'single-phase'],
    ['ARM V 180 FIELD V 200 SHUNT WOUND', 'dc'],
    ['UNIVERSAL MOTOR 230 V', 'universal'],
    ['REPULSION-INDUCTION 1 HP 1725 RPM 115/230 V', 'repulsion'],
    ['Repulsionsmotor 0,75 PS 220 V', 'repulsion'],
    ['2.5 HP treadmill duty 130 VDC 18 A 6750 RPM CCW', 'dc'],
    ['TREADMILL MOTOR 95V 1.5HP', 'dc'],
    ['3~ 1420/2830 rpm 400 V', 'pole-changing'],
    ['Two-speed 3 phase motor', 'pole-changing'],
    ['Holding torque 4 N m, 1.8 deg', 'servo'],
  ])('%s', (text, kind) => expect(motor(text).kind).toBe(kind))
})

test('what was not understood is given back, and what is missing is asked for', () => {
  const reading = readPlate('1.5 kW 1420 rpm Model Q-77\nMade on a Tuesday', empty)
  expect(reading.lines.map((l) => l.rest)).toEqual(['Model Q-77', 'Made on a Tuesday'])
  expect(reading.missing).toEqual([
    'motor.kind',
    'motor.lowVoltageV',
    'motor.lowVoltageA',
    'motor.ratedFrequencyHz',
    'motor.frame',
  ])
})

test('a value that cannot be is not taken, and it is said', () => {
  const reading = readPlate('9000 kW 50 Hz', empty)
  expect([motor('9000 kW 50 Hz'), reading.lines[0]?.notes]).toEqual([
    { ratedFrequencyHz: 50 },
    ['Power: 9000000 is not believable'],
  ])
})

test('what this kind of motor has not is not put on it, and is said', () => {
  const reading = readPlate('UNIVERSAL MOTOR 230 V Ma/Mn 2.4', empty)
  expect(reading.patch.map((c) => c.path)).toEqual(['motor', 'motor.lowVoltageV'])
  expect(reading.lines[0]?.notes).toEqual(['Pull-out over rated torque: nothing that this kind of motor has here'])
})

test('whatever is pasted, it ends and leaves a plan that validates', () => {
  const words = fc.constantFrom(
    'kW',
    '1.5',
    '230/400',
    'V',
    'A',
    '6,0/3,5',
    'rpm',
    '1420',
    'cos',
    'φ',
    'Hz',
    '3~',
    'PH',
    'IP55',
    'FR',
    '-',
    '/',
    ':',
    '90L',
    'Cl',
    'F',
    '\n',
    '<script>',
    'η',
    '10:1',
    'CT',
  )
  fc.assert(
    fc.property(
      fc.oneof(
        fc.array(words, { maxLength: 30 }).map((w) => w.join(' ')),
        fc.string({ maxLength: 200 }),
      ),
      (text) => {
        expect(readPlan(applyPatch(empty, readPlate(text, empty).patch)).ok).toBe(true)
      },
    ),
    { numRuns: 500 },
  )
})
