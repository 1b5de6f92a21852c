import type { Finding } from '../src/findings/finding'
import { applyPatch, readPlan, set, setField, type Patch, type Plan, type TransmissionStage } from '../src/plan'
import { demoPlan } from './demoPlans'

/** A conversion with nothing wrong, which each test spoils in one way. */
export function soundPlan(): Plan {
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
export const on400: Patch = [
  set('supply.voltageV', 400),
  set('supply.phases', 3),
  set('supply.topology', 'three-phase'),
  set('drive.inputVoltageV', 400),
  set('drive.input', '3'),
  set('motor.connection', 'star'),
]

export const spoiled = (...patch: Patch): Plan => {
  const plan = applyPatch(soundPlan(), patch)
  const read = readPlan(plan)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return plan
}

const [onB] = soundPlan().survey.positions[1]?.transmission ?? []

/** What is measured of the belt on the position used most: 90 on 224 mm. */
const belt = (measured: Partial<TransmissionStage>): Patch => [
  set('survey.positions.1.transmission.0', { ...onB, ...measured } as TransmissionStage),
]

const other = (stage: TransmissionStage): Patch => [set('survey.positions.1.transmission.0', stage)]

/** Each way to spoil the sound plan, the finding it must bring, how grave, and what is offered against it, by label. */
export const mistakes: [id: string, severity: Finding['severity'], patch: Patch, remedies: string[]][] = [
  ...(['single-phase', 'universal', 'dc', 'brushless', 'servo', 'pole-changing'] as const).map(
    (kind): [string, Finding['severity'], Patch, string[]] => [
      'motor.kind',
      'stop',
      [setField(soundPlan(), 'motor.kind', kind)],
      kind === 'pole-changing' ? ['Use one winding, typed at its own plate'] : [],
    ],
  ),
  ['motor.plate-speed', 'stop', [set('motor.ratedSpeedRpm', 3100)], []],
  ['motor.plate-speed', 'stop', [set('motor.ratedSpeedRpm', 1100)], []],
  ['motor.plate-poles', 'stop', [set('motor.platePoles', 6)], ['Take 4 poles from the speed']],
  ['motor.plate-amps', 'stop', [set('motor.lowVoltageA', 2.5)], []],
  ['motor.plate-amps', 'stop', [set('motor.lowVoltageA', 30), set('motor.highVoltageA', 17)], []],
  ['motor.plate-pair', 'stop', [set('motor.highVoltageA', 6)], []],
  ['motor.plate-pair/volts', 'stop', [set('motor.highVoltageV', 200)], ['Change them over']],
  ['motor.links-and-leads', 'stop', [set('motor.leads', '9-star')], []],
  [
    'motor.flux/under',
    'watch',
    [set('motor.connection', 'star')],
    ['Move links to delta', 'Set base to 29 Hz: full torque up to there'],
  ],
  [
    'motor.overload/other-links',
    'stop',
    [set('motor.connection', 'star'), set('settings.inDrive.overloadA', 6)],
    ['Move links to delta', 'Enter 3.5 A'],
  ],
  [
    'motor.flux/over',
    'stop',
    [set('supply.voltageV', 400), set('supply.phases', 3), set('drive.inputVoltageV', 400), set('drive.input', '3')],
    ['Move links to star', 'Set motor volts to 230 V'],
  ],
  [
    'motor.flux/over',
    'stop',
    [set('motor.ratedFrequencyHz', 60), set('motor.ratedSpeedRpm', 1720), set('settings.inDrive.baseFrequencyHz', 50)],
    ['Set base to the plate’s 60 Hz'],
  ],
  ['motor.flux/under', 'watch', [set('settings.inDrive.baseFrequencyHz', 60)], ['Set base to the plate’s 50 Hz']],
  ['motor.overload/over', 'stop', [set('settings.inDrive.overloadA', 7)], ['Enter 6 A']],
  ['motor.overload/as-arrived', 'stop', [set('settings.state', 'as-arrived')], ['Enter 6 A']],
  [
    'motor.overload/over',
    'watch',
    [set('motor.serviceFactor', 1.15), set('settings.inDrive.overloadA', 6.9)],
    ['Enter 6 A'],
  ],
  [
    'motor.over-safe-speed',
    'stop',
    [
      set('settings.chosen.maximumHz', 130),
      set('survey.positions', [
        { id: 'b', name: 'B', transmission: [{ kind: 'v-belt', driverMm: 60, drivenMm: 300 }] },
      ]),
      set('survey.jobs', []),
    ],
    ['Lower the highest hertz to 120 Hz'],
  ],
  [
    'motor.two-pole-over-plate',
    'watch',
    [set('motor.ratedSpeedRpm', 2840), set('settings.chosen.maximumHz', 60)],
    ['Lower the highest hertz to 50 Hz'],
  ],
  [
    'motor.hot-at-low-hertz',
    'watch',
    [set('settings.chosen.minimumHz', 3)],
    ['Raise the lowest hertz to 5 Hz', 'Fit a blower'],
  ],
  ['drive.output-too-small', 'stop', [set('drive.ratedOutputA', 5)], []],
  ['drive.three-phase-input-on-one/unknown', 'stop', [set('drive.input', '3')], ['The manual allows it: derate']],
  [
    'drive.three-phase-input-on-one/forbidden',
    'stop',
    [set('drive.input', '3'), set('drive.singlePhasePermitted', false)],
    [],
  ],
  [
    'drive.output-too-small',
    'stop',
    [set('drive.input', '3'), set('drive.singlePhasePermitted', true), set('drive.ratedOutputA', 10)],
    [],
  ],
  [
    'drive.hertz-beyond-drive',
    'stop',
    [set('settings.chosen.maximumHz', 90), set('drive.maximumHz', 60)],
    ['Lower the highest hertz to 60 Hz'],
  ],
  ['wall.input-over-breaker', 'stop', [set('supply.breakerA', 10)], []],
  ['wall.input-over-breaker', 'stop', [set('supply.breakerA', 13), set('drive.ratedInputA', 13)], []],
  ['wall.breaker/tight', 'watch', [set('supply.breakerA', 16)], []],
  ['wall.breaker/over-manual', 'stop', [set('drive.manualProtectionA', 20)], []],
  ['wall.cable', 'stop', [set('supply.cableM', 10), set('supply.laying', 'surface'), set('supply.cableMm2', 1.5)], []],
  ['drive.stop-trips', 'watch', [set('settings.chosen.decelerationS', 1)], ['Set deceleration to 17 s']],
  [
    'drive.resistor-without-chopper',
    'stop',
    [set('drive.resistor', { ohm: 100 }), set('drive.brakeChopper', false)],
    ['Leave the resistor out'],
  ],
  ['wall.drive-input-volts/volts', 'stop', [set('drive.inputVoltageV', 120)], []],
  ['wall.isolator-out-of-reach', 'stop', [set('supply.isolatorInReach', false)], ['Plan an isolator within reach']],
  ['spindle.job-out-of-reach', 'watch', [set('survey.jobs.0.positionId', 'b')], ['Use C, back gear for it']],
  ['spindle.job-out-of-reach', 'watch', [set('survey.jobs.1.speedRpm', 1500)], ['Use A for it']],
  ['belts.cannot-be', 'stop', [set('survey.positions.1.transmission.0.centreMm', 120)], []],
  ['belts.cannot-be', 'stop', [set('survey.positions.1.transmission.0.beltMm', 700)], []],
  ['belts.small-pulley', 'watch', belt({ section: 'b', centreMm: 410 }), []],
  ['belts.out-of-slot', 'watch', belt({ beltMm: 1330, slotMostMm: 405 }), []],
  ['belts.out-of-slot', 'watch', belt({ beltMm: 1330, slotLeastMm: 420 }), []],
  ['belts.measured-twice', 'watch', belt({ beltMm: 1330, centreMm: 450 }), []],
  ['belts.no-room', 'note', belt({ centreMm: 412, slotMostMm: 420 }), []],
  ['belts.no-room', 'note', belt({ centreMm: 412, slotLeastMm: 400, slotMostMm: 500 }), []],
  [
    'belts.too-weak',
    'watch',
    belt({ section: 'a', belts: 1, centreMm: 412 }),
    ['Pulleys of 140 mm and 348 mm, the same ratio'],
  ],
  ['belts.too-weak', 'watch', belt({ section: 'a', belts: 2, centreMm: 412, ratedBeltW: 500 }), []],
  ['belts.slips-at-start', 'watch', belt({ centreMm: 412, belts: 2, deflectionForceN: 5, deflectionMm: 6 }), []],
  ['belts.too-tight', 'watch', belt({ centreMm: 412, belts: 2, deflectionForceN: 40, deflectionMm: 6 }), []],
  ['belts.strange-groove', 'watch', belt({ section: 'a', grooves: 'b' }), ['Take a belt for these grooves']],
  ['belts.strange-groove', 'watch', belt({ section: 'spz', grooves: 'a' }), ['Take a belt for these grooves']],
  [
    'belts.strange-groove',
    'watch',
    belt({ section: 'b', grooves: 'a', driverMm: 150, drivenMm: 300 }),
    ['Take a belt for these grooves'],
  ],
  ['belts.bore', 'note', belt({ section: 'a', boreMm: 19 }), []],
  ['belts.bore', 'note', belt({ section: 'a', boreMm: 28 }), []],
  ['belts.bore', 'watch', belt({ section: 'z', driverMm: 50, boreMm: 14 }), []],
  [
    'belts.small-pulley',
    'watch',
    other({ kind: 'timing-belt', section: 'tooth-l', driverTeeth: 11, drivenTeeth: 28, centreMm: 412 }),
    [],
  ],
  ['belts.small-pulley', 'watch', other({ kind: 'poly-v', section: 'rib-l', driverMm: 60, drivenMm: 224 }), []],
  [
    'belts.teeth-in-mesh',
    'watch',
    other({ kind: 'timing-belt', section: 'tooth-l', driverTeeth: 13, drivenTeeth: 72, centreMm: 150 }),
    [],
  ],
  [
    'spindle.resonance',
    'watch',
    [set('survey.positions.1.resonanceHz', 31)],
    ['The drive skips 31 Hz, 3.1 Hz to each side'],
  ],
  [
    'spindle.resonance',
    'note',
    [set('survey.positions.1.stiffnessNmPerRad', 2000), set('motor.rotorKgM2', 0.005)],
    ['The drive skips 86.6 Hz, 8.7 Hz to each side'],
  ],
  ['spindle.rotation', 'note', [set('survey.motorFaces', 'same'), set('survey.forward', 'counter-clockwise')], []],
  [
    'spindle.other-way',
    'watch',
    [set('survey.positions.2.transmission.2', { kind: 'direct' }), set('controls.reverseWanted', false)],
    ['Plan for running in reverse'],
  ],
  [
    'spindle.other-way',
    'note',
    [set('survey.positions.2.transmission.2', { kind: 'direct' }), set('controls.reverseWanted', true)],
    [],
  ],
  [
    'spindle.other-way',
    'stop',
    [set('survey.positions.2.transmission.2', { kind: 'direct' }), set('survey.spindleNose', 'threaded')],
    [],
  ],
  ['spindle.job-too-heavy', 'watch', [set('survey.jobs.2.torqueNm', 60)], []],
  ['spindle.job-too-heavy', 'note', [set('survey.jobs.2.torqueNm', 30)], ['Use C, back gear for it']],
  ['spindle.knob-ends-early', 'watch', [set('controls.knobTopHz', 50)], ['Scale the knob to 90 Hz']],
  [
    'belts.over-speed',
    'stop',
    [set('survey.positions.1.transmission.0.driverMm', 300), set('survey.positions.1.transmission.0.drivenMm', 900)],
    ['Lower the highest hertz to 70 Hz'],
  ],
  [
    'spindle.over-limit/four-jaw',
    'stop',
    [set('survey.holders.1.markedRpm', 1000), set('settings.chosen.maximumHz', 90)],
    ['Lower the highest hertz to 82 Hz'],
  ],
  [
    'spindle.over-limit/four-jaw',
    'stop',
    [
      set('survey.holders.1.markedRpm', undefined),
      set('survey.originalTopRpm', 800),
      set('settings.chosen.maximumHz', 90),
    ],
    ['Lower the highest hertz to 66 Hz'],
  ],
  [
    'spindle.wheel-over-mark',
    'stop',
    [
      set('survey.holders', [{ id: 'w', kind: 'wheel', diameterMm: 300, markedMPerS: 15 }]),
      set('settings.chosen.maximumHz', 90),
    ],
    ['Lower the highest hertz to 79 Hz'],
  ],
  [
    'spindle.lowest-over-highest',
    'stop',
    [set('settings.chosen.minimumHz', 60), set('settings.chosen.maximumHz', 50)],
    ['Take both from the plan again'],
  ],
  [
    'controls.emergency-stop/none',
    'stop',
    [set('controls.emergencyStop', 'none')],
    ['Plan safe torque off', 'Plan a supply contactor'],
  ],
  [
    'controls.emergency-stop/stop-input',
    'watch',
    [set('controls.emergencyStop', 'stop-input')],
    ['Plan safe torque off', 'Plan a supply contactor'],
  ],
  [
    'controls.emergency-stop/ramp-input',
    'watch',
    [set('controls.emergencyStop', 'ramp-input')],
    ['Plan safe torque off', 'Plan a supply contactor'],
  ],
  [
    'controls.emergency-stop/ramp-input',
    'stop',
    [
      set('controls.emergencyStop', 'ramp-input'),
      set('survey.spindleNose', 'threaded'),
      set('controls.reverseWanted', false),
    ],
    ['Plan safe torque off', 'Plan a supply contactor'],
  ],
  [
    'controls.emergency-stop/coast-input',
    'watch',
    [set('controls.emergencyStop', 'coast-input')],
    ['Plan safe torque off', 'Plan a supply contactor'],
  ],
  ['controls.reset-starts', 'stop', [set('controls.resetStarts', true)], ['Use start and stop buttons']],
  ['controls.knob-as-stop', 'stop', [set('controls.stopBy', 'knob-zero')], ['Plan a real stop and a run lamp']],
  ['controls.main-switch-runs', 'stop', [set('controls.runBy', 'main-switch')], ['Use start and stop buttons']],
  ['controls.restart/setting', 'stop', [set('settings.inDrive.restart', 'runs-again')], ['Wait for a new RUN']],
  [
    'controls.restart/no-lockout',
    'stop',
    [set('controls.runBy', 'maintained'), set('drive.lineStartLockout', false)],
    ['Use start and stop buttons'],
  ],
  [
    'controls.restart/unknown-lockout',
    'stop',
    [set('controls.runBy', 'maintained'), set('drive.lineStartLockout', undefined)],
    ['It has lockout, and it is on', 'Use start and stop buttons'],
  ],
  [
    'controls.threaded-nose-stop/unmeasured',
    'stop',
    [
      set('survey.spindleNose', 'threaded'),
      set('settings.chosen.decelerationS', 2),
      set('controls.reverseWanted', false),
    ],
    ['Set deceleration to 10 s', 'Let it coast instead'],
  ],
  [
    'controls.threaded-nose-stop/dc',
    'stop',
    [
      set('survey.spindleNose', 'threaded'),
      set('settings.chosen.stopMode', 'dc-brake'),
      set('controls.reverseWanted', false),
    ],
    ['Ramp down instead'],
  ],
  [
    'controls.threaded-nose-stop/measured',
    'stop',
    [set('survey.spindleNose', 'threaded'), set('survey.seatTorqueNm', 0.6), set('controls.reverseWanted', false)],
    ['Set deceleration to 80 s', 'Let it coast instead'],
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
    ['Set deceleration to 12 s', 'Let it coast instead'],
  ],
  [
    'controls.threaded-nose-reverse',
    'stop',
    [set('survey.spindleNose', 'threaded')],
    ['Leave reverse out', 'The chuck is locked'],
  ],
  ['controls.start-speed/last', 'watch', [set('settings.inDrive.startSpeed', 'last')], ['Start from the lowest']],
  ['controls.start-speed/knob', 'watch', [set('settings.chosen.startSpeed', 'knob')], ['Start from the lowest']],
  [
    'settings.middle-point',
    'stop',
    [set('settings.inDrive.middleHz', 25), set('settings.inDrive.middleV', 150)],
    ['Put it on the line: 115 V'],
  ],
  ['settings.command-source', 'watch', [set('settings.inDrive.commandSource', 'keypad')], ['Entered: terminals']],
  ['settings.differs-from-card', 'watch', [set('settings.inDrive.maximumHz', 50)], ['Entered as on the card']],
  ['supply-unit.static-converter', 'stop', [...on400, set('supply.supplyUnit', 'static-converter')], []],
  [
    'supply-unit.static-converter',
    'stop',
    [...on400, set('supply.supplyUnit', 'static-converter'), set('drive.input', 'either')],
    ['Feed the drive from the wall’s one phase'],
  ],
  [
    'supply-unit.made-leg',
    'watch',
    [set('supply.supplyUnit', 'rotary-converter'), set('supply.phases', 3)],
    ['Stand it on the mains'],
  ],
  ['supply-unit.made-leg', 'note', [...on400, set('supply.supplyUnit', 'rotary-converter')], []],
  [
    'supply-unit.too-small',
    'watch',
    [set('supply.supplyUnit', 'rotary-converter'), set('supply.supplyUnitW', 1500)],
    [],
  ],
  ['supply-unit.too-small', 'stop', [set('supply.supplyUnit', 'transformer'), set('supply.supplyUnitVA', 3000)], []],
  ['supply-unit.too-small', 'watch', [set('supply.supplyUnit', 'generator'), set('supply.supplyUnitVA', 5000)], []],
  [
    'supply-unit.wall-breaker',
    'stop',
    [set('supply.supplyUnit', 'transformer'), set('supply.wallVoltageV', 120), set('supply.wallBreakerA', 20)],
    [],
  ],
  [
    'plug-and-lead.plug/overloaded',
    'stop',
    [set('supply.plugOrFixed', 'plug'), set('supply.plugA', 13)],
    ['Wire it in with an isolator instead'],
  ],
  [
    'plug-and-lead.plug/unprotected',
    'stop',
    [set('supply.plugOrFixed', 'plug'), set('supply.plugA', 16)],
    ['Wire it in with an isolator instead'],
  ],
  [
    'plug-and-lead.extension',
    'stop',
    [set('supply.extensionM', 25), set('supply.extensionMm2', 1.5)],
    ['Do without the extension lead'],
  ],
  [
    'plug-and-lead.extension',
    'stop',
    [set('supply.extensionM', 5), set('supply.extensionMm2', 2.5), set('supply.extensionCoiled', true)],
    ['Do without the extension lead'],
  ],
  [
    'plug-and-lead.extension',
    'note',
    [set('supply.extensionM', 5), set('supply.extensionMm2', 2.5)],
    ['Do without the extension lead'],
  ],
  [
    'installation.box-hot',
    'stop',
    [
      set('installation.place', 'in-box'),
      set('installation.boxWidthMm', 250),
      set('installation.boxHeightMm', 300),
      set('installation.boxDepthMm', 200),
    ],
    ['A box of 800 mm by 1 000 mm by 650 mm', 'Hang it in a clean place, controls on a lead'],
  ],
  [
    'installation.box-hot',
    'watch',
    [
      set('installation.place', 'in-box'),
      set('installation.boxWidthMm', 500),
      set('installation.boxHeightMm', 600),
      set('installation.boxDepthMm', 250),
    ],
    ['A box of 950 mm by 1 150 mm by 500 mm', 'Hang it in a clean place, controls on a lead'],
  ],
  [
    'installation.hazards',
    'stop',
    [set('installation.place', 'at-machine')],
    ['Hang it in a clean place, controls on a lead', 'Put it in a closed box'],
  ],
  [
    'installation.hazards',
    'watch',
    [set('installation.place', 'at-machine'), set('drive.enclosure', undefined)],
    ['Hang it in a clean place, controls on a lead', 'Put it in a closed box'],
  ],
  ['drive.derated', 'note', [set('installation.altitudeM', 2200)], []],
  ['drive.jumper', 'stop', [set('drive.jumper', 'volts')], ['It is set and looked at']],
  ['drive.jumper', 'stop', [set('drive.jumper', 'power'), set('drive.jumperSet', false)], ['It is set and looked at']],
  ['drive.jumper', 'stop', [set('drive.jumper', 'phases')], ['It is set and looked at']],
  [
    'motor.peak',
    'watch',
    [...on400, set('installation.motorCableM', 20)],
    ['Plan a reactor or dV/dt filter at the drive', 'Shorten the cable to 11.5 m'],
  ],
  ['drive.leakage', 'watch', [set('drive.filterFarad', 100e-9)], []],
  ['checks.insulation/untested', 'watch', [set('checks.secondHand', true)], []],
  [
    'checks.insulation/dry-out',
    'watch',
    [set('checks.secondHand', true), set('checks.testMOhm', 8), set('checks.testC', 20)],
    [],
  ],
  [
    'checks.insulation/reject',
    'stop',
    [set('checks.secondHand', true), set('checks.testMOhm', 0.4), set('checks.testC', 20)],
    [],
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
    [],
  ],
  [
    'checks.bench/bearings',
    'watch',
    [set('checks.secondHand', true), set('checks.bearings', 'good')],
    ['New ones are fitted'],
  ],
  [
    'checks.bench/bearings',
    'stop',
    [set('checks.secondHand', true), set('checks.bearings', 'bad')],
    ['New ones are fitted'],
  ],
  ['checks.bench/smell', 'stop', [set('checks.secondHand', true), set('checks.smell', 'bad')], []],
  ['checks.bench/spin', 'watch', [set('checks.secondHand', true), set('checks.spin', 'doubtful')], []],
  ['checks.bench/star-point', 'note', [set('checks.secondHand', true), set('checks.starPoint', 'hidden')], []],
  ['drive.terminals', 'watch', [set('drive.digitalInputs', 1)], []],
  ['drive.terminals', 'watch', [set('controls.remoteKeypad', true), set('drive.keypadLead', false)], []],
  ['drive.one-size-up', 'note', [set('controls.reversesOften', true)], []],
  ['motor.delta-87-hz', 'note', on400, ['Link delta, base 87 Hz']],
  ['motor.one-winding', 'note', [set('motor.kind', 'pole-changing'), set('motor.oneWinding', true)], []],
  ['route.one-speed', 'watch', [set('route.chosen', 'converter-starters')], ['A drive on each machine instead']],
  [
    'motor.flux/under',
    'watch',
    [set('motor.leads', '12'), set('motor.highVoltageV', 460), set('motor.connection', 'low-star')],
    ['Move links to delta, low (parallel)', 'Set base to 29 Hz: full torque up to there'],
  ],
  ['wall.mains-hertz', 'watch', [set('supply.frequencyHz', 54)], []],
  ['motor.frame-unread', 'note', [set('motor.frame', 'XQ')], []],
  ['motor.plate-circuit', 'watch', [set('motor.powerFactor', 0.6)], []],
  ['drive.plain-vf-at-low-hertz', 'watch', [set('drive.control', 'vf')], ['Use sensorless vector, if it has it']],
  // 900 rpm at the spindle are 2240 at the motor, 74.7 Hz; plain V/f needs the slip of 5.3 % on top.
  [
    'spindle.over-limit',
    'watch',
    [
      set('survey.originalTopRpm', 900),
      set('survey.holders', []),
      set('settings.chosen.maximumHz', 90),
      set('drive.control', 'vf'),
    ],
    ['Lower the highest hertz to 78 Hz'],
  ],
  [
    'spindle.over-limit',
    'watch',
    [set('survey.originalTopRpm', 900), set('survey.holders', []), set('settings.chosen.maximumHz', 90)],
    ['Lower the highest hertz to 74 Hz'],
  ],
]
