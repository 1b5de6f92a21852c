import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import type { Finding } from '../src/findings/finding'
import { set, type Patch, type TransmissionStage } from '../src/plan'
import { on400, soundPlan, spoiled } from './mistakes'

/**
 * Where each judgement begins: the last plan on which it is silent (or milder) and the first on which it speaks, a hair
 * apart. `none` is no such finding.
 */
type Says = Finding['severity'] | 'none'
type Edge = [what: string, id: string, before: Patch, says: Says, after: Patch, saysThen: Says]

const of = (id: string, patch: Patch): Says =>
  evaluate(spoiled(...patch)).findings.find(
    (f) => f.id === id || (f.id.startsWith(`${id}/`) && !f.id.endsWith('-elsewhere')),
  )?.severity ?? 'none'

const [onB] = soundPlan().survey.positions[1]?.transmission ?? []
const belt = (measured: Partial<TransmissionStage>): Patch => [
  set('survey.positions.1.transmission.0', { ...onB, ...measured } as TransmissionStage),
]
/** A plain belt of the position used most, with nothing measured of where it lies. */
const bare = (driverMm: number, drivenMm: number): Patch => [
  set('survey.positions.1.transmission.0', { kind: 'v-belt', driverMm, drivenMm }),
]
/** A timing belt over two alike, so that half the teeth are in mesh. */
const timing = (teeth: number) =>
  set('survey.positions.1.transmission', [
    { kind: 'timing-belt', driverTeeth: teeth, drivenTeeth: teeth, section: 'tooth-l', centreMm: 300 },
  ])
const secondHand = [set('checks.secondHand', true), set('checks.testC', 40)]
/** Only this holder, so that no other is the limit. */
const onlyHolder = (holder: object): Patch => [
  set('survey.holders', [{ id: 'h', kind: 'chuck', diameterMm: 200, massKg: 10, ...holder } as never]),
]

const edges: Edge[] = [
  // the wall
  [
    'a breaker that just carries full load',
    'wall.input-over-breaker',
    [set('supply.breakerA', 14.5)],
    'none',
    [set('supply.breakerA', 14.4)],
    'stop',
  ],
  [
    'a breaker with just a quarter in hand',
    'wall.breaker',
    [set('supply.breakerA', 20)],
    'none',
    [set('supply.breakerA', 19.9)],
    'watch',
  ],
  [
    'a breaker of the manual’s largest',
    'wall.breaker',
    [set('drive.manualProtectionA', 32)],
    'none',
    [set('drive.manualProtectionA', 31.9)],
    'stop',
  ],
  [
    'a cable just thick enough',
    'wall.cable',
    [set('supply.cableMm2', 4)],
    'none',
    [set('supply.cableMm2', 3.9)],
    'stop',
  ],
  [
    'mains hertz a touch off',
    'wall.mains-hertz',
    [set('supply.frequencyHz', 50.9)],
    'none',
    [set('supply.frequencyHz', 51)],
    'watch',
  ],
  [
    'mains hertz a touch low',
    'wall.mains-hertz',
    [set('supply.frequencyHz', 49.1)],
    'none',
    [set('supply.frequencyHz', 49)],
    'watch',
  ],
  [
    'sixty a touch off',
    'wall.mains-hertz',
    [set('supply.frequencyHz', 60.9)],
    'none',
    [set('supply.frequencyHz', 61)],
    'watch',
  ],
  [
    'sixty a touch low',
    'wall.mains-hertz',
    [set('supply.frequencyHz', 59.1)],
    'none',
    [set('supply.frequencyHz', 59)],
    'watch',
  ],
  [
    'a plug that carries the input for hours',
    'plug-and-lead.plug/overloaded',
    [set('supply.plugOrFixed', 'plug'), set('supply.plugA', 32)],
    'none',
    [set('supply.plugOrFixed', 'plug'), set('supply.plugA', 13)],
    'stop',
  ],
  [
    'the breaker behind a transformer',
    'supply-unit.wall-breaker',
    [
      set('supply.supplyUnit', 'transformer'),
      set('supply.wallVoltageV', 120),
      set('supply.supplyUnitVA', 5000),
      set('supply.wallBreakerA', 29.4),
    ],
    'none',
    [
      set('supply.supplyUnit', 'transformer'),
      set('supply.wallVoltageV', 120),
      set('supply.supplyUnitVA', 5000),
      set('supply.wallBreakerA', 29),
    ],
    'stop',
  ],
  [
    'a generator just large enough',
    'supply-unit.too-small',
    [set('supply.supplyUnit', 'generator'), set('supply.supplyUnitVA', 6670)],
    'none',
    [set('supply.supplyUnit', 'generator'), set('supply.supplyUnitVA', 6500)],
    'watch',
  ],
  [
    'a unit whose load is not known',
    'supply-unit.wall-breaker',
    [set('supply.supplyUnit', 'transformer'), set('supply.wallBreakerA', 5), set('motor', {}), set('drive', {})],
    'none',
    [
      set('supply.supplyUnit', 'transformer'),
      set('supply.wallVoltageV', 230),
      set('supply.supplyUnitVA', 5000),
      set('supply.wallBreakerA', 5),
    ],
    'stop',
  ],
  // the motor
  [
    'two speeds, nothing said of its windings',
    'motor.one-winding',
    [set('motor', { kind: 'pole-changing' })],
    'none',
    [set('motor', { kind: 'pole-changing', oneWinding: true })],
    'note',
  ],
  [
    'overload two hundredths over the plate',
    'motor.overload',
    [set('settings.inDrive.overloadA', 6.12)],
    'none',
    [set('settings.inDrive.overloadA', 6.13)],
    'stop',
  ],
  [
    'overload fifteen hundredths under it',
    'motor.overload',
    [set('settings.inDrive.overloadA', 5.1)],
    'none',
    [set('settings.inDrive.overloadA', 5.09)],
    'note',
  ],
  [
    'overload at the service factor',
    'motor.overload',
    [set('motor.serviceFactor', 1.15), set('settings.inDrive.overloadA', 6.93)],
    'watch',
    [set('motor.serviceFactor', 1.15), set('settings.inDrive.overloadA', 6.94)],
    'stop',
  ],
  [
    'a drive no larger than the motor protects it as it came',
    'motor.overload',
    [set('settings.state', 'as-arrived'), set('settings.inDrive', {}), set('drive.ratedOutputA', 6.12)],
    'none',
    [set('settings.state', 'as-arrived'), set('settings.inDrive', {}), set('drive.ratedOutputA', 6.13)],
    'stop',
  ],
  [
    'flux a twentieth over',
    'motor.flux',
    [set('settings.inDrive.baseFrequencyHz', 47.7)],
    'none',
    [set('settings.inDrive.baseFrequencyHz', 47.5)],
    'watch',
  ],
  [
    'flux a tenth over',
    'motor.flux',
    [set('settings.inDrive.baseFrequencyHz', 45.5)],
    'watch',
    [set('settings.inDrive.baseFrequencyHz', 45.4)],
    'stop',
  ],
  [
    'flux a tenth under',
    'motor.flux',
    [set('settings.inDrive.baseFrequencyHz', 55.5)],
    'none',
    [set('settings.inDrive.baseFrequencyHz', 55.6)],
    'watch',
  ],
  [
    'base half a hertz off the plate',
    'motor.flux',
    [set('settings.inDrive.baseFrequencyHz', 50.4)],
    'none',
    [set('settings.inDrive.baseFrequencyHz', 42)],
    'stop',
  ],
  [
    'the fan’s tenth of base',
    'motor.hot-at-low-hertz',
    [set('settings.chosen.minimumHz', 5)],
    'note',
    [set('settings.chosen.minimumHz', 4.9)],
    'watch',
  ],
  [
    'a plate for constant torque, to its range',
    'motor.hot-at-low-hertz',
    [set('motor.inverterDutyRatio', 20), set('settings.chosen.minimumHz', 2.5)],
    'none',
    [set('motor.inverterDutyRatio', 20), set('settings.chosen.minimumHz', 2.4)],
    'watch',
  ],
  [
    'three quarters of the torque at the slow end',
    'motor.hot-at-low-hertz',
    [set('settings.chosen.minimumHz', 20)],
    'none',
    [set('settings.chosen.minimumHz', 10)],
    'note',
  ],
  [
    'two poles at their plate',
    'motor.two-pole-over-plate',
    [set('motor.ratedSpeedRpm', 2840), set('settings.chosen.maximumHz', 51)],
    'none',
    [set('motor.ratedSpeedRpm', 2840), set('settings.chosen.maximumHz', 51.1)],
    'watch',
  ],
  [
    'the safe speed itself',
    'motor.over-safe-speed',
    [
      set('survey.positions', []),
      set('survey.jobs', []),
      set('survey.mainPositionId', undefined),
      set('settings.chosen.maximumHz', 120),
    ],
    'none',
    [
      set('survey.positions', []),
      set('survey.jobs', []),
      set('survey.mainPositionId', undefined),
      set('settings.chosen.maximumHz', 120.2),
    ],
    'stop',
  ],
  [
    'amps a seventh off the pair',
    'motor.plate-pair',
    [set('motor.highVoltageA', 3.95)],
    'none',
    [set('motor.highVoltageA', 4.05)],
    'stop',
  ],
  [
    'amps an eighth under the pair',
    'motor.plate-pair',
    [set('motor.highVoltageA', 3.02)],
    'none',
    [set('motor.highVoltageA', 2.99)],
    'stop',
  ],
  [
    'volts that are two',
    'motor.plate-pair/volts',
    [set('motor.highVoltageV', 231)],
    'none',
    [set('motor.highVoltageV', 230)],
    'stop',
  ],
  [
    'phases alike within three in a hundred',
    'checks.phases',
    [...secondHand, set('checks.phase1Ohm', 1), set('checks.phase2Ohm', 1), set('checks.phase3Ohm', 1.02)],
    'none',
    [...secondHand, set('checks.phase1Ohm', 1), set('checks.phase2Ohm', 1), set('checks.phase3Ohm', 1.06)],
    'stop',
  ],
  [
    'insulation just good',
    'checks.insulation',
    [...secondHand, set('checks.testMOhm', 5)],
    'none',
    [...secondHand, set('checks.testMOhm', 4.9)],
    'watch',
  ],
  [
    'insulation at its floor',
    'checks.insulation',
    [...secondHand, set('checks.testMOhm', 1)],
    'watch',
    [...secondHand, set('checks.testMOhm', 0.99)],
    'stop',
  ],
  // the drive
  [
    'output just enough',
    'drive.output-too-small',
    [set('drive.ratedOutputA', 5.82)],
    'none',
    [set('drive.ratedOutputA', 5.81)],
    'watch',
  ],
  [
    'output a tenth short',
    'drive.output-too-small',
    [set('drive.ratedOutputA', 5.4)],
    'watch',
    [set('drive.ratedOutputA', 5.39)],
    'stop',
  ],
  [
    'hertz the drive can just give',
    'drive.hertz-beyond-drive',
    [set('drive.maximumHz', 90), set('settings.chosen.maximumHz', 90)],
    'none',
    [set('drive.maximumHz', 89), set('settings.chosen.maximumHz', 90)],
    'stop',
  ],
  [
    'a fifth of base on plain V/f',
    'drive.plain-vf-at-low-hertz',
    [set('drive.control', 'vf'), set('settings.chosen.minimumHz', 10)],
    'none',
    [set('drive.control', 'vf'), set('settings.chosen.minimumHz', 9.9)],
    'watch',
  ],
  [
    'a stop the drive just swallows',
    'drive.stop-trips',
    [set('settings.chosen.decelerationS', 12.7)],
    'none',
    [set('settings.chosen.decelerationS', 12.5)],
    'watch',
  ],
  [
    'a resistor takes what the drive cannot',
    'drive.stop-trips',
    [set('settings.chosen.decelerationS', 8), set('drive.resistor', { ohm: 100 })],
    'none',
    [set('settings.chosen.decelerationS', 8)],
    'watch',
  ],
  [
    'a middle point on the plate’s base',
    'settings.middle-point',
    [set('settings.inDrive.middleHz', 50), set('settings.inDrive.middleV', 300)],
    'none',
    [set('settings.inDrive.middleHz', 49), set('settings.inDrive.middleV', 300)],
    'stop',
  ],
  [
    'a middle point over the line by more than the winding drops',
    'settings.middle-point',
    [set('settings.inDrive.middleHz', 25), set('settings.inDrive.middleV', 134)],
    'none',
    [set('settings.inDrive.middleHz', 25), set('settings.inDrive.middleV', 136)],
    'stop',
  ],
  [
    'a middle point a tenth under it',
    'settings.middle-point',
    [set('settings.inDrive.middleHz', 25), set('settings.inDrive.middleV', 104)],
    'none',
    [set('settings.inDrive.middleHz', 25), set('settings.inDrive.middleV', 103)],
    'watch',
  ],
  [
    'a value read two hundredths off the card',
    'settings.differs-from-card',
    [set('settings.inDrive.ratedCurrentA', 5.89)],
    'none',
    [set('settings.inDrive.ratedCurrentA', 5.87)],
    'watch',
  ],
  [
    'one size up is had already',
    'drive.one-size-up',
    [set('controls.reversesOften', true), set('drive.ratedOutputA', 7.5)],
    'none',
    [set('controls.reversesOften', true), set('drive.ratedOutputA', 7.4)],
    'note',
  ],
  [
    'the drive gives what 87 Hz asks',
    'motor.delta-87-hz',
    [...on400, set('motor.connection', 'delta'), set('settings.chosen.baseFrequencyHz', 87)],
    'none',
    [...on400, set('motor.connection', 'delta'), set('settings.chosen.baseFrequencyHz', 85)],
    'note',
  ],
  // the belts
  [
    'a belt just inside its slot',
    'belts.out-of-slot',
    belt({ beltMm: 1330, slotMostMm: 413, slotLeastMm: 300 }),
    'none',
    belt({ beltMm: 1330, slotMostMm: 412, slotLeastMm: 300 }),
    'watch',
  ],
  [
    'a belt at the beginning of its slot',
    'belts.out-of-slot',
    belt({ beltMm: 1330, slotMostMm: 500, slotLeastMm: 412 }),
    'none',
    belt({ beltMm: 1330, slotMostMm: 500, slotLeastMm: 413 }),
    'watch',
  ],
  [
    'a distance two hundredths off the belt',
    'belts.measured-twice',
    belt({ beltMm: 1330, centreMm: 421, slotLeastMm: 300, slotMostMm: 500 }),
    'none',
    belt({ beltMm: 1330, centreMm: 422, slotLeastMm: 300, slotMostMm: 500 }),
    'watch',
  ],
  [
    'a belt just under thirty metres a second',
    'belts.over-speed',
    [...bare(212, 500), set('settings.chosen.maximumHz', 90)],
    'none',
    [...bare(213, 500), set('settings.chosen.maximumHz', 90)],
    'watch',
  ],
  [
    'a belt at thirty-three',
    'belts.over-speed',
    [...bare(233, 550), set('settings.chosen.maximumHz', 90)],
    'watch',
    [...bare(234, 550), set('settings.chosen.maximumHz', 90)],
    'stop',
  ],
  [
    'a pulley of the smallest size for its belt',
    'belts.small-pulley',
    belt({ section: 'a', driverMm: 75 }),
    'none',
    belt({ section: 'a', driverMm: 74 }),
    'watch',
  ],
  ['six teeth in mesh', 'belts.teeth-in-mesh', [timing(12)], 'none', [timing(11)], 'watch'],
  // the spindle
  [
    'a chuck at its mark',
    'spindle.over-limit',
    [...onlyHolder({ markedRpm: 1085 }), set('settings.chosen.maximumHz', 90)],
    'none',
    [...onlyHolder({ markedRpm: 1083 }), set('settings.chosen.maximumHz', 90)],
    'stop',
  ],
  [
    'a wheel at its mark',
    'spindle.wheel-over-mark',
    [...onlyHolder({ kind: 'wheel', markedRpm: 1085 }), set('settings.chosen.maximumHz', 90)],
    'none',
    [...onlyHolder({ kind: 'wheel', markedRpm: 1083 }), set('settings.chosen.maximumHz', 90)],
    'stop',
  ],
  [
    'a knob that ends a hundredth early',
    'spindle.knob-ends-early',
    [set('controls.knobTopHz', 89.1)],
    'none',
    [set('controls.knobTopHz', 89)],
    'note',
  ],
  [
    'lowest under highest',
    'spindle.lowest-over-highest',
    [set('settings.chosen.minimumHz', 49.9), set('settings.chosen.maximumHz', 50)],
    'none',
    [set('settings.chosen.minimumHz', 50), set('settings.chosen.maximumHz', 50)],
    'stop',
  ],
  [
    'a job the spindle holds all day',
    'spindle.job-too-heavy/turn25',
    [set('survey.jobs.2.torqueNm', 21.7)],
    'none',
    [set('survey.jobs.2.torqueNm', 23)],
    'watch',
  ],
  [
    'a job for moments that has a third in hand',
    'spindle.job-too-heavy/turn25',
    [set('survey.jobs.2.torqueNm', 36.4), set('survey.jobs.2.duty', 'moments')],
    'none',
    [set('survey.jobs.2.torqueNm', 36.6), set('survey.jobs.2.duty', 'moments')],
    'watch',
  ],
  [
    'a ramp of five seconds on a thread',
    'controls.threaded-nose-stop',
    [set('survey.spindleNose', 'threaded'), set('settings.chosen.decelerationS', 5)],
    'none',
    [set('survey.spindleNose', 'threaded'), set('settings.chosen.decelerationS', 4.9)],
    'stop',
  ],
  [
    'half the seat’s torque',
    'controls.threaded-nose-stop',
    [set('survey.spindleNose', 'threaded'), set('survey.seatTorqueNm', 1.7), set('settings.chosen.decelerationS', 30)],
    'watch',
    [set('survey.spindleNose', 'threaded'), set('survey.seatTorqueNm', 1.5), set('settings.chosen.decelerationS', 30)],
    'stop',
  ],
  [
    'a fixed start no faster than the slowest job',
    'controls.start-speed',
    [set('settings.inDrive.startSpeed', 'fixed'), set('settings.inDrive.fixedStartHz', 4.9)],
    'none',
    [set('settings.inDrive.startSpeed', 'fixed'), set('settings.inDrive.fixedStartHz', 5.1)],
    'watch',
  ],
  // where it hangs
  [
    'leakage a plug may carry',
    'drive.leakage',
    [set('drive.filterFarad', 4.8e-8), set('supply.secondEarth', undefined)],
    'none',
    [set('drive.filterFarad', 4.9e-8), set('supply.secondEarth', undefined)],
    'watch',
  ],
]

describe('where a judgement begins', () => {
  test.each(edges)('%s: %s', (_, id, before, says, after, saysThen) => {
    expect([of(id, before), of(id, after)]).toEqual([says, saysThen])
  })
})

test('amps and cos phi fix the efficiency of the circuit; where cos phi is not printed, the printed efficiency does', () => {
  const noLoadA = (powerFactor: number | undefined, efficiency: number) =>
    evaluate(spoiled(set('motor.powerFactor', powerFactor), set('motor.efficiency', efficiency))).figures[
      'motor.noLoadA'
    ]?.value
  expect(noLoadA(0.79, 0.76)).toBeGreaterThan(0)
  expect(noLoadA(0.79, 0.76)).toBe(noLoadA(0.79, 0.78))
  expect(noLoadA(undefined, 0.76)).not.toBe(noLoadA(undefined, 0.78))
})
