import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/evaluate/evaluate'
import type { Finding } from '../src/findings/finding'
import { applyPatch, emptyPlan, readPlan, set, type Patch, type Plan, type Stage } from '../src/plan'
import { sayText } from '../src/quantities'
import { demoPlan, demoPlans } from './demoPlans'

/** A conversion with nothing wrong, which each test spoils in one way. */
function soundPlan(): Plan {
  const plan = applyPatch(demoPlan('gap-bed-lathe'), [
    set('motor.connection', 'delta'),
    set('settings.inDrive', {}),
    set('settings.state', 'entered'),
    set('settings.chosen.decelerationS', 30),
    set('survey.jobs.0.positionId', 'c'),
    set('controls.runBy', 'momentary'),
    set('controls.emergencyStop', 'safe-torque-off'),
    set('drive.safeTorqueOff', true),
    set('controls.runLamp', true),
  ])
  return plan
}

/** A 400 V three-phase wall and drive, which the sound plan's motor takes in star. */
const on400: Patch = [
  set('supply.voltageV', 400),
  set('supply.phases', 3),
  set('supply.topology', 'three-phase'),
  set('drive.inputVoltageV', 400),
  set('drive.input', '3'),
  set('motor.connection', 'star'),
]

const spoiled = (...patch: Patch): Plan => {
  const plan = applyPatch(soundPlan(), patch)
  expect(readPlan(plan)).toEqual({ ok: true, value: plan })
  return plan
}
const findings = (plan: Plan): Finding[] => evaluate(plan).findings
const urgent = (plan: Plan): string[] =>
  findings(plan)
    .filter((f) => f.severity !== 'note')
    .map((f) => `${f.severity} ${f.id}`)
const find = (plan: Plan, id: string): Finding | undefined =>
  findings(plan).find((f) => f.id === id || f.id.startsWith(`${id}/`))

/** What is measured of the belt on the position used most: 90 on 224 mm. */
const belt = (measured: Partial<Stage>): Patch =>
  Object.entries(measured).map(([key, value]) => set(`survey.positions.1.stages.0.${key}`, value))

test('the sound plan has nothing to stop for or watch', () => expect(urgent(soundPlan())).toEqual([]))

describe('each mistake is found', () => {
  const mistakes: [string, Finding['severity'], Patch][] = [
    ['motor.kind', 'stop', [set('motor.kind', 'single-phase')]],
    ['motor.kind', 'stop', [set('motor.kind', 'universal')]],
    ['motor.kind', 'stop', [set('motor.kind', 'dc')]],
    ['motor.kind', 'stop', [set('motor.kind', 'two-speed')]],
    ['motor.plate-speed', 'stop', [set('motor.ratedSpeedRpm', 3100)]],
    ['motor.plate-speed', 'stop', [set('motor.ratedSpeedRpm', 1100)]],
    ['motor.plate-poles', 'stop', [set('motor.platePoles', 6)]],
    ['motor.plate-amps', 'stop', [set('motor.lowVoltageA', 2.5)]],
    ['motor.plate-amps', 'stop', [set('motor.lowVoltageA', 30), set('motor.highVoltageA', 17)]],
    ['motor.plate-pair', 'stop', [set('motor.highVoltageA', 6)]],
    ['motor.plate-pair/volts', 'stop', [set('motor.highVoltageV', 200)]],
    ['motor.links-and-leads', 'stop', [set('motor.leads', '9-star')]],
    ['motor.flux/under', 'watch', [set('motor.connection', 'star')]],
    ['motor.overload/other-links', 'stop', [set('motor.connection', 'star'), set('settings.inDrive.overloadA', 6)]],
    [
      'motor.flux/over',
      'stop',
      [set('supply.voltageV', 400), set('supply.phases', 3), set('drive.inputVoltageV', 400), set('drive.input', '3')],
    ],
    [
      'motor.flux/over',
      'stop',
      [
        set('motor.ratedFrequencyHz', 60),
        set('motor.ratedSpeedRpm', 1720),
        set('settings.inDrive.baseFrequencyHz', 50),
      ],
    ],
    ['motor.flux/under', 'watch', [set('settings.inDrive.baseFrequencyHz', 60)]],
    ['motor.overload/over', 'stop', [set('settings.inDrive.overloadA', 7)]],
    ['motor.overload/as-arrived', 'stop', [set('settings.state', 'as-arrived')]],
    ['motor.overload/over', 'watch', [set('motor.serviceFactor', 1.15), set('settings.inDrive.overloadA', 6.9)]],
    [
      'motor.over-safe-speed',
      'stop',
      [
        set('settings.chosen.maximumHz', 130),
        set('survey.positions', [{ id: 'b', name: 'B', stages: [{ kind: 'v-belt', driverMm: 60, drivenMm: 300 }] }]),
        set('survey.jobs', []),
      ],
    ],
    ['motor.two-pole-over-plate', 'watch', [set('motor.ratedSpeedRpm', 2840), set('settings.chosen.maximumHz', 60)]],
    ['motor.hot-at-low-hertz', 'watch', [set('settings.chosen.minimumHz', 3)]],
    ['drive.output-too-small', 'stop', [set('drive.ratedOutputA', 5)]],
    ['drive.three-phase-input-on-one/unknown', 'stop', [set('drive.input', '3')]],
    [
      'drive.three-phase-input-on-one/forbidden',
      'stop',
      [set('drive.input', '3'), set('drive.singlePhasePermitted', false)],
    ],
    [
      'drive.output-too-small',
      'stop',
      [set('drive.input', '3'), set('drive.singlePhasePermitted', true), set('drive.ratedOutputA', 10)],
    ],
    ['drive.hertz-beyond-drive', 'stop', [set('settings.chosen.maximumHz', 90), set('drive.maximumHz', 60)]],
    ['wall.input-over-breaker', 'stop', [set('supply.breakerA', 10)]],
    ['wall.input-over-breaker', 'stop', [set('supply.breakerA', 13), set('drive.ratedInputA', 13)]],
    ['wall.breaker/tight', 'watch', [set('supply.breakerA', 16)]],
    ['wall.breaker/over-manual', 'stop', [set('drive.manualProtectionA', 20)]],
    ['wall.cable', 'stop', [set('supply.cableM', 10), set('supply.laying', 'surface'), set('supply.cableMm2', 1.5)]],
    ['drive.stop-trips', 'watch', [set('settings.chosen.decelerationS', 1)]],
    ['drive.resistor-without-chopper', 'stop', [set('drive.resistorFitted', true), set('drive.brakeChopper', false)]],
    ['wall.drive-input-volts/volts', 'stop', [set('drive.inputVoltageV', 120)]],
    ['wall.isolator-out-of-reach', 'stop', [set('supply.isolatorInReach', false)]],
    ['spindle.job-out-of-reach', 'watch', [set('survey.jobs.0.positionId', 'b')]],
    ['spindle.job-out-of-reach', 'watch', [set('survey.jobs.1.speedRpm', 1500)]],
    ['belts.cannot-be', 'stop', [set('survey.positions.1.stages.0.centreMm', 120)]],
    ['belts.cannot-be', 'stop', [set('survey.positions.1.stages.0.beltMm', 700)]],
    ['belts.small-pulley', 'watch', belt({ section: 'b', centreMm: 410 })],
    ['belts.out-of-slot', 'watch', belt({ beltMm: 1330, slotMostMm: 405 })],
    ['belts.out-of-slot', 'watch', belt({ beltMm: 1330, slotLeastMm: 420 })],
    ['belts.measured-twice', 'watch', belt({ beltMm: 1330, centreMm: 450 })],
    ['belts.no-room', 'note', belt({ centreMm: 412, slotMostMm: 420 })],
    ['belts.no-room', 'note', belt({ centreMm: 412, slotLeastMm: 400, slotMostMm: 500 })],
    ['belts.too-weak', 'watch', belt({ section: 'a', belts: 1, centreMm: 412 })],
    ['belts.too-weak', 'watch', belt({ section: 'a', belts: 2, centreMm: 412, ratedBeltW: 500 })],
    ['belts.slips-at-start', 'watch', belt({ centreMm: 412, belts: 2, pressN: 5, pressMm: 6 })],
    ['belts.too-tight', 'watch', belt({ centreMm: 412, belts: 2, pressN: 40, pressMm: 6 })],
    ['belts.strange-groove', 'watch', belt({ section: 'a', grooves: 'b' })],
    ['belts.strange-groove', 'watch', belt({ section: 'spz', grooves: 'a' })],
    ['belts.strange-groove', 'watch', belt({ section: 'b', grooves: 'a', driverMm: 150, drivenMm: 300 })],
    ['belts.bore', 'note', belt({ section: 'a', boreMm: 19 })],
    ['belts.bore', 'note', belt({ section: 'a', boreMm: 28 })],
    ['belts.bore', 'watch', belt({ section: 'z', driverMm: 50, boreMm: 14 })],
    [
      'belts.small-pulley',
      'watch',
      belt({ kind: 'timing-belt', section: 'tooth-l', driverMm: 11, drivenMm: 28, centreMm: 412 }),
    ],
    ['belts.small-pulley', 'watch', belt({ kind: 'poly-v', section: 'rib-l', driverMm: 60 })],
    [
      'belts.teeth-in-mesh',
      'watch',
      belt({ kind: 'timing-belt', section: 'tooth-l', driverMm: 13, drivenMm: 72, centreMm: 150 }),
    ],
    ['spindle.shakes', 'watch', [set('survey.positions.1.shakesHz', 31)]],
    ['spindle.shakes', 'note', [set('survey.positions.1.stiffnessNmPerRad', 2000), set('motor.rotorKgM2', 0.005)]],
    ['spindle.sense', 'note', [set('survey.motorFaces', 'same'), set('survey.forward', 'counter-clockwise')]],
    [
      'spindle.other-way',
      'watch',
      [set('survey.positions.2.stages.2', { kind: 'direct' }), set('controls.reverseWanted', false)],
    ],
    [
      'spindle.other-way',
      'note',
      [set('survey.positions.2.stages.2', { kind: 'direct' }), set('controls.reverseWanted', true)],
    ],
    [
      'spindle.other-way',
      'stop',
      [set('survey.positions.2.stages.2', { kind: 'direct' }), set('survey.spindleNose', 'threaded')],
    ],
    ['spindle.job-too-heavy', 'watch', [set('survey.jobs.2.torqueNm', 60)]],
    ['spindle.job-too-heavy', 'note', [set('survey.jobs.2.torqueNm', 30)]],
    ['spindle.knob-ends-early', 'watch', [set('controls.knobTopHz', 50)]],
    [
      'belts.over-speed',
      'stop',
      [set('survey.positions.1.stages.0.driverMm', 300), set('survey.positions.1.stages.0.drivenMm', 900)],
    ],
    [
      'spindle.over-limit/four-jaw',
      'stop',
      [set('survey.holders.1.markedRpm', 1000), set('settings.chosen.maximumHz', 90)],
    ],
    [
      'spindle.over-limit/four-jaw',
      'stop',
      [
        set('survey.holders.1.markedRpm', undefined),
        set('survey.originalTopRpm', 800),
        set('settings.chosen.maximumHz', 90),
      ],
    ],
    [
      'spindle.wheel-over-mark',
      'stop',
      [
        set('survey.holders', [{ id: 'w', kind: 'wheel', diameterMm: 300, markedMPerS: 15 }]),
        set('settings.chosen.maximumHz', 90),
      ],
    ],
    [
      'spindle.lowest-over-highest',
      'stop',
      [set('settings.chosen.minimumHz', 60), set('settings.chosen.maximumHz', 50)],
    ],
    ['controls.emergency-stop/none', 'stop', [set('controls.emergencyStop', 'none')]],
    ['controls.emergency-stop/stop-input', 'watch', [set('controls.emergencyStop', 'stop-input')]],
    ['controls.emergency-stop/ramp-input', 'watch', [set('controls.emergencyStop', 'ramp-input')]],
    [
      'controls.emergency-stop/ramp-input',
      'stop',
      [
        set('controls.emergencyStop', 'ramp-input'),
        set('survey.spindleNose', 'threaded'),
        set('controls.reverseWanted', false),
      ],
    ],
    ['controls.emergency-stop/coast-input', 'watch', [set('controls.emergencyStop', 'coast-input')]],
    ['controls.reset-starts', 'stop', [set('controls.resetStarts', true)]],
    ['controls.knob-as-stop', 'stop', [set('controls.stopBy', 'knob-zero')]],
    ['controls.main-switch-runs', 'stop', [set('controls.runBy', 'main-switch')]],
    ['controls.restart/setting', 'stop', [set('settings.inDrive.restart', 'runs-again')]],
    [
      'controls.restart/no-lockout',
      'stop',
      [set('controls.runBy', 'maintained'), set('drive.lineStartLockout', false)],
    ],
    [
      'controls.restart/unknown-lockout',
      'stop',
      [set('controls.runBy', 'maintained'), set('drive.lineStartLockout', undefined)],
    ],
    [
      'controls.threaded-nose-stop/unmeasured',
      'stop',
      [
        set('survey.spindleNose', 'threaded'),
        set('settings.chosen.decelerationS', 2),
        set('controls.reverseWanted', false),
      ],
    ],
    [
      'controls.threaded-nose-stop/dc',
      'stop',
      [
        set('survey.spindleNose', 'threaded'),
        set('settings.chosen.stopMode', 'dc-brake'),
        set('controls.reverseWanted', false),
      ],
    ],
    [
      'controls.threaded-nose-stop/measured',
      'stop',
      [set('survey.spindleNose', 'threaded'), set('survey.seatTorqueNm', 0.6), set('controls.reverseWanted', false)],
    ],
    [
      'controls.threaded-nose-stop/measured',
      'stop',
      [
        set('survey.spindleNose', 'threaded'),
        set('survey.seatTorqueNm', 4),
        set('settings.inDrive.decelerationS', 1),
        set('controls.reverseWanted', false),
      ],
    ],
    ['controls.threaded-nose-reverse', 'stop', [set('survey.spindleNose', 'threaded')]],
    ['controls.start-speed/last', 'watch', [set('settings.inDrive.startSpeed', 'last')]],
    ['controls.start-speed/knob', 'watch', [set('settings.chosen.startSpeed', 'knob')]],
    ['settings.middle-point', 'stop', [set('settings.inDrive.middleHz', 25), set('settings.inDrive.middleV', 150)]],
    ['settings.command-source', 'watch', [set('settings.inDrive.commandSource', 'keypad')]],
    ['settings.differs-from-card', 'watch', [set('settings.inDrive.maximumHz', 50)]],
    ['source.static-converter', 'stop', [...on400, set('supply.source', 'static-converter')]],
    [
      'source.static-converter',
      'stop',
      [...on400, set('supply.source', 'static-converter'), set('drive.input', 'either')],
    ],
    ['source.made-leg', 'watch', [set('supply.source', 'rotary-converter'), set('supply.phases', 3)]],
    ['source.made-leg', 'note', [...on400, set('supply.source', 'rotary-converter')]],
    ['source.too-small', 'watch', [set('supply.source', 'rotary-converter'), set('supply.sourceW', 1500)]],
    ['source.too-small', 'stop', [set('supply.source', 'transformer'), set('supply.sourceVA', 3000)]],
    ['source.too-small', 'watch', [set('supply.source', 'generator'), set('supply.sourceVA', 5000)]],
    [
      'source.wall-breaker',
      'stop',
      [set('supply.source', 'transformer'), set('supply.wallVoltageV', 120), set('supply.wallBreakerA', 20)],
    ],
    ['joining.plug/overloaded', 'stop', [set('supply.joining', 'plug'), set('supply.plugA', 13)]],
    ['joining.plug/unprotected', 'stop', [set('supply.joining', 'plug'), set('supply.plugA', 16)]],
    ['joining.extension', 'stop', [set('supply.extensionM', 25), set('supply.extensionMm2', 1.5)]],
    [
      'joining.extension',
      'stop',
      [set('supply.extensionM', 5), set('supply.extensionMm2', 2.5), set('supply.extensionCoiled', true)],
    ],
    ['joining.extension', 'note', [set('supply.extensionM', 5), set('supply.extensionMm2', 2.5)]],
    [
      'mount.box-hot',
      'stop',
      [
        set('mount.place', 'in-box'),
        set('mount.boxWidthMm', 250),
        set('mount.boxHeightMm', 300),
        set('mount.boxDepthMm', 200),
      ],
    ],
    [
      'mount.box-hot',
      'watch',
      [
        set('mount.place', 'in-box'),
        set('mount.boxWidthMm', 500),
        set('mount.boxHeightMm', 600),
        set('mount.boxDepthMm', 250),
      ],
    ],
    ['mount.hazards', 'stop', [set('mount.place', 'at-machine')]],
    ['mount.hazards', 'watch', [set('mount.place', 'at-machine'), set('drive.enclosure', undefined)]],
    ['drive.derated', 'note', [set('mount.altitudeM', 2200)]],
    ['drive.jumper', 'stop', [set('drive.jumper', 'volts')]],
    ['drive.jumper', 'stop', [set('drive.jumper', 'power'), set('drive.jumperSet', false)]],
    ['drive.jumper', 'stop', [set('drive.jumper', 'phases')]],
    ['motor.peak', 'watch', [...on400, set('mount.motorCableM', 20)]],
    ['drive.leakage', 'watch', [set('drive.filterFarad', 100e-9)]],
    ['checks.insulation/untested', 'watch', [set('checks.secondHand', true)]],
    [
      'checks.insulation/dry-out',
      'watch',
      [set('checks.secondHand', true), set('checks.testMOhm', 8), set('checks.testC', 20)],
    ],
    [
      'checks.insulation/reject',
      'stop',
      [set('checks.secondHand', true), set('checks.testMOhm', 0.4), set('checks.testC', 20)],
    ],
    [
      'checks.phases',
      'stop',
      [
        set('checks.secondHand', true),
        set('checks.phase1Ohm', 2.4),
        set('checks.phase2Ohm', 2.45),
        set('checks.phase3Ohm', 2.1),
      ],
    ],
    ['checks.bench/bearings', 'watch', [set('checks.secondHand', true), set('checks.bearings', 'good')]],
    ['checks.bench/bearings', 'stop', [set('checks.secondHand', true), set('checks.bearings', 'bad')]],
    ['checks.bench/smell', 'stop', [set('checks.secondHand', true), set('checks.smell', 'bad')]],
    ['checks.bench/spin', 'watch', [set('checks.secondHand', true), set('checks.spin', 'doubtful')]],
    ['checks.bench/star-point', 'note', [set('checks.secondHand', true), set('checks.starPoint', 'hidden')]],
    ['drive.terminals', 'watch', [set('drive.digitalInputs', 1)]],
    ['drive.terminals', 'watch', [set('controls.remoteKeypad', true), set('drive.keypadLead', false)]],
    ['drive.one-size-up', 'note', [set('controls.reversesOften', true)]],
    ['motor.fast-delta', 'note', on400],
    ['motor.one-winding', 'note', [set('motor.kind', 'one-winding')]],
    ['route.one-speed', 'watch', [set('route.chosen', 'converter-starters')]],
    [
      'motor.flux/under',
      'watch',
      [set('motor.leads', '12'), set('motor.highVoltageV', 460), set('motor.connection', 'low-star')],
    ],
  ]
  test.each(mistakes)('%s is a %s: %j', (id, severity, patch) => {
    const finding = find(spoiled(...patch), id)
    expect([finding?.severity, (finding?.says.length ?? 0) > 0, (finding?.why ?? '').length > 20]).toEqual([
      severity,
      true,
      true,
    ])
  })
  test.each(mistakes)('every remedy of %s (%s) is a valid plan that no longer has it: %j', (id, _severity, patch) => {
    const plan = spoiled(...patch)
    const finding = find(plan, id)
    for (const remedy of finding?.remedies ?? []) {
      const mended = applyPatch(plan, remedy.patch)
      expect([sayText(remedy.label), readPlan(mended).ok]).toEqual([sayText(remedy.label), true])
      const after = findings(mended).find((f) => f.id === finding?.id)
      expect([sayText(remedy.label), after?.severity === finding?.severity]).toEqual([sayText(remedy.label), false])
    }
  })
})

describe('what is no mistake is not found', () => {
  const sound: [string, string, Patch][] = [
    ['220 V plate on a 230 V wall', 'motor.flux', [set('motor.lowVoltageV', 220), set('motor.highVoltageV', 380)]],
    [
      '240 V wall, 220 V plate',
      'motor.flux',
      [set('supply.voltageV', 240), set('motor.lowVoltageV', 220), set('motor.highVoltageV', 380)],
    ],
    ['208 V wall', 'motor.flux', [set('supply.voltageV', 208), set('drive.inputVoltageV', 208)]],
    [
      'mains hertz at a plate that prints its loaded speed',
      'motor.over-safe-speed',
      [set('motor.maximumRpm', 1420), set('settings.chosen.maximumHz', 50)],
    ],
    [
      'a constant-torque plate at low hertz',
      'motor.hot-at-low-hertz',
      [set('motor.inverterDutyRatio', 10), set('settings.chosen.minimumHz', 5)],
    ],
    [
      'a blower at low hertz',
      'motor.hot-at-low-hertz',
      [set('motor.cooling', 'blower'), set('settings.chosen.minimumHz', 3)],
    ],
    ['no emergency stop said yet', 'controls.emergency-stop', [set('controls.emergencyStop', undefined)]],
    [
      'a measured seat that holds',
      'controls.threaded-nose-stop',
      [set('survey.spindleNose', 'threaded'), set('survey.seatTorqueNm', 60), set('settings.chosen.decelerationS', 4)],
    ],
    ['a maintained switch with lockout', 'controls.restart', [set('controls.runBy', 'maintained')]],
    [
      'an unmarked wheel at its original speed',
      'spindle.wheel-over-mark',
      [set('survey.holders', [{ id: 'w', kind: 'wheel', diameterMm: 200 }]), set('survey.originalTopRpm', 1600)],
    ],
    ['amps by the plate', 'motor.overload', [set('settings.inDrive.overloadA', 6)]],
  ]
  test.each(sound)('%s', (_, id, patch) => {
    const finding = find(spoiled(...patch), id)
    expect(finding === undefined || finding.severity === 'note' ? 'none' : sayText(finding.says)).toBe('none')
  })
  test('nothing at all is found in an empty plan', () => expect(findings(emptyPlan('x'))).toEqual([]))
})

test('star on a delta drive: a third of the torque, root three times the amps, and one remedy for both', () => {
  const plan = demoPlan('gap-bed-lathe')
  const says = (id: string) => sayText(find(plan, id)?.says ?? []).replace(/\u00a0/g, ' ')
  expect(says('motor.flux')).toMatch(/Flux 57\.5 %, pull-out torque 33\.1 %: about 3\.34 N m where 10\.1 N m should be/)
  expect(says('motor.overload')).toMatch(
    /It is set to 6 A; the plate allows 3\.5 A for these links\. The windings could carry 171 %/,
  )
  const relink = find(plan, 'motor.overload')?.remedies[0]
  expect(sayText(relink?.label ?? [])).toBe('Move links to delta')
  const after = applyPatch(plan, relink?.patch ?? [])
  expect([find(after, 'motor.flux'), find(after, 'motor.overload')]).toEqual([undefined, undefined])
})

test('a 400 V motor on 230 V gets its torque back up to 29 Hz', () => {
  const plan = spoiled(
    set('motor.connection', 'star'),
    set('motor.lowVoltageV', undefined),
    set('motor.lowVoltageA', undefined),
    set('motor.highVoltageV', undefined),
    set('motor.highVoltageA', undefined),
    set('motor.lowVoltageV', 400),
    set('motor.lowVoltageA', 3.5),
  )
  const finding = find(plan, 'motor.flux')
  expect(finding?.remedies.map((r) => sayText(r.label).replace(/\u00a0/g, ' '))).toEqual([
    'Set base to 29 Hz: full torque up to there',
  ])
  expect(find(applyPatch(plan, finding?.remedies[0]?.patch ?? []), 'motor.flux')).toBeUndefined()
})

test('the lower-voltage links on a 400 V drive: full flux to 87 Hz, and only with a drive that gives their amps', () => {
  const plan = spoiled(...on400)
  const finding = find(plan, 'motor.fast-delta')
  expect(sayText(finding?.says ?? []).replace(/\s/g, ' ')).toMatch(
    /Linked delta, with base set to 87 Hz, this motor keeps its full torque to 87 Hz instead of 50 Hz: 2\.61 kW there\. The drive must give 6 A\./,
  )
  const after = evaluate(applyPatch(plan, finding?.remedies[0]?.patch ?? []))
  expect(after.figures['motor.fluxFraction']?.value).toBeCloseTo(1, 2)
  const small = evaluate(applyPatch(plan, [set('drive.ratedOutputA', 4)]))
  expect(small.findings.find((f) => f.id === 'motor.fast-delta')?.remedies).toEqual([])
  const twoPole = evaluate(applyPatch(plan, [set('motor.ratedSpeedRpm', 2850)]))
  expect(twoPole.findings.some((f) => f.id === 'motor.fast-delta')).toBe(false)
})

test('a box of the offered size keeps the drive at its temperature', () => {
  const plan = spoiled(
    set('mount.place', 'in-box'),
    set('mount.boxWidthMm', 250),
    set('mount.boxHeightMm', 300),
    set('mount.boxDepthMm', 200),
    set('mount.roomC', 25),
  )
  const finding = find(plan, 'mount.box-hot')
  const mended = evaluate(applyPatch(plan, finding?.remedies[0]?.patch ?? []))
  const inside = mended.figures['mount.insideC']?.value ?? 0
  expect([inside > 35, inside <= 40]).toEqual([true, true])
})

test('stops come before watches, watches before notes', () => {
  for (const plan of demoPlans.values()) {
    const order = findings(plan).map((f) => ['stop', 'watch', 'note'].indexOf(f.severity))
    expect(order).toEqual([...order].sort())
  }
})
