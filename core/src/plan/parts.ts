import { z } from 'zod'
import { choice, count, quantity, words, yesNo } from './field'

export const topologies = {
  'line-neutral': 'Live and neutral',
  'line-line': 'Two lives',
  'three-phase': 'Three phases',
} as const

export const regions = { iec: 'IEC: mm², 230/400 V', nec: 'NEC: AWG, 120/240 V' } as const
export const layings = { surface: 'On the surface', conduit: 'In conduit or trunking', cord: 'Flexible cord' } as const

/** The circuit at the wall. */
export const supplySchema = z.strictObject({
  calledAs: words('What the wall is called', 60),
  voltageV: quantity(
    'voltage',
    'Volts',
    90,
    725,
    'What the socket gives: 120, 230, 400 ... or words such as "two hot legs"',
  ),
  phases: z
    .union([z.literal(1), z.literal(3)])
    .optional()
    .meta({ label: 'Phases', dimension: 'number' }),
  topology: choice('Live conductors', topologies),
  frequencyHz: quantity('frequency', 'Mains hertz', 40, 70, '50 or 60'),
  breakerA: quantity('current', 'Breaker', 1, 250, 'The number on the breaker or fuse'),
  region: choice(
    'Rules of the land',
    regions,
    'Whose ratings and cable tables; taken from the mains hertz until you say',
  ),
  cableM: quantity('distance', 'Cable, panel to drive', 0.5, 500, 'One way'),
  cableMm2: quantity('area', 'Cable that is there', 0.5, 95, 'Of each live conductor: “2.5 mm²”, “12 AWG”'),
  laying: choice('How it is laid', layings),
  ambientC: quantity('temperature', 'Hottest around the cable', -20, 60, '30 °C where you do not know'),
  isolatorInReach: yesNo(
    'Isolator within reach of the machine',
    'A switch or plug you can reach and see while standing at the work',
  ),
})

export const motorKinds = {
  'three-phase': 'Three-phase',
  'two-speed': 'Two-speed',
  'high-frequency': 'High-frequency',
  'single-phase': 'Single-phase',
  universal: 'Universal',
  dc: 'DC',
  stepper: 'Stepper',
} as const

export const leadCounts = {
  '3': '3 leads',
  '6': '6 leads',
  '9-star': '9 leads, star-wound',
  '9-delta': '9 leads, delta-wound',
  '12': '12 leads',
} as const

export const connections = {
  star: 'Star',
  delta: 'Delta',
  low: 'Low voltage (parallel)',
  high: 'High voltage (series)',
  fixed: 'As it is, one voltage',
} as const

export type Connection = keyof typeof connections

export const coolings = {
  'shaft-fan': 'Fan on the shaft',
  blower: 'Blower of its own',
  'liquid-or-none': 'Liquid, or no fan',
} as const

export const insulationClasses = { A: 'A', E: 'E', B: 'B', F: 'F', H: 'H' } as const

/** The nameplate. The lower voltage is delta or parallel, the higher star or series. */
export const motorSchema = z.strictObject({
  kind: choice('Kind of motor', motorKinds),
  powerW: quantity('power', 'Power', 10, 75_000),
  lowVoltageV: quantity('voltage', 'Volts', 20, 725),
  highVoltageV: quantity('voltage', 'Higher volts', 20, 1200),
  lowVoltageA: quantity('current', 'Amps', 0.05, 500),
  highVoltageA: quantity('current', 'Amps at the higher volts', 0.05, 500),
  ratedFrequencyHz: quantity('frequency', 'Hertz', 10, 1500),
  ratedSpeedRpm: quantity('speed', 'Speed', 50, 90_000),
  platePoles: count('Poles on the plate', 2, 48, 'Only where the plate prints them'),
  powerFactor: quantity('number', 'cos phi', 0.2, 1),
  efficiency: quantity('fraction', 'Efficiency', 0.2, 0.99),
  serviceFactor: quantity('number', 'Service factor', 1, 1.5),
  frame: words('Frame', 20, 'As stamped: 90L, 56C, 145T'),
  enclosure: words('Enclosure', 20, 'IP55, TEFC, ODP ...'),
  insulationClass: choice('Insulation class', insulationClasses),
  breakdownRatio: quantity('number', 'Pull-out over rated torque', 1.1, 6, 'Ma/Mn or BDT, from the data sheet'),
  maximumRpm: quantity('speed', 'Highest speed on the plate', 50, 120_000, 'Only where the plate prints one'),
  inverterDutyRatio: quantity(
    'number',
    'Constant-torque range',
    1,
    2000,
    'The 10 of "10:1 CT", where the plate says so',
  ),
  cooling: choice('Cooling', coolings),
  leads: choice('Leads in the box', leadCounts),
  connection: choice('Links as they are', connections),
})

export const driveInputs = { '1': 'One phase', '3': 'Three phases', either: 'One or three phases' } as const
export const driveModes = { vf: 'Plain V/f', vector: 'Sensorless vector' } as const

/** The drive's plate and what its manual says. */
export const driveSchema = z.strictObject({
  name: words('Drive', 80),
  input: choice('Input made for', driveInputs),
  inputVoltageV: quantity('voltage', 'Input volts', 90, 725),
  doubler: yesNo('Doubles the voltage', 'A 120 V drive that gives 230 V to the motor'),
  powerW: quantity('power', 'Power', 50, 110_000),
  ratedOutputA: quantity('current', 'Output amps', 0.1, 600),
  ratedInputA: quantity('current', 'Input amps on its plate', 0.1, 800),
  singlePhasePermitted: yesNo('Manual allows one phase', 'For a three-phase-input drive'),
  singlePhaseFactor: quantity('fraction', 'Left on one phase, by the manual', 0.1, 1),
  manualProtectionA: quantity('current', 'Largest fuse or breaker, by the manual', 1, 400),
  brakeChopper: yesNo('Has a brake chopper', 'Terminals for a brake resistor'),
  minimumOhm: quantity('resistance', 'Smallest brake resistor, by the manual', 1, 5000),
  resistorFitted: yesNo('A brake resistor is fitted'),
  control: choice('Motor control', driveModes),
  maximumHz: quantity('frequency', 'Highest hertz it can give', 50, 1500),
  lineStartLockout: yesNo(
    'Has line-start lockout',
    'After a power cut it waits for the run switch to be opened and closed',
  ),
})

export const runControls = {
  momentary: 'Start and stop buttons',
  maintained: 'Switch that stays',
  keypad: 'The drive’s keypad',
  'main-switch': 'The main switch',
  cnc: 'CNC controller',
} as const

export const stopMeans = {
  'stop-button': 'Stop button or switch',
  'knob-zero': 'Knob turned down',
  'main-switch': 'The main switch',
} as const

export const emergencyStops = {
  none: 'None',
  'stop-input': 'Mushroom, stop input',
  'ramp-input': 'Mushroom, quick-ramp input',
  'coast-input': 'Mushroom, coast input',
  'safe-torque-off': 'Safe torque off',
  contactor: 'Supply contactor',
} as const

export const references = {
  knob: 'Speed knob',
  keypad: 'Keypad arrows',
  analogue: '0-10 V from a controller',
  serial: 'Serial bus',
  presets: 'Fixed speeds',
} as const
export const knobModes = { scaled: 'Lowest to highest', clamped: 'Zero to highest' } as const

/** How it is run, stopped and given its speed. */
export const controlsSchema = z.strictObject({
  runBy: choice('Run by', runControls),
  stopBy: choice('Stopped by', stopMeans),
  emergencyStop: choice('Emergency stop', emergencyStops),
  resetStarts: yesNo(
    'Pulling the mushroom out starts it',
    'Try it with the belt off: resetting must not start anything',
  ),
  runLamp: yesNo('Lamp that shows RUN'),
  reference: choice('Speed from', references),
  knobMode: choice('Knob reads as', knobModes),
  knobTopHz: quantity(
    'frequency',
    'Hertz at the top of the knob',
    1,
    1500,
    'Where it was measured to end below the highest hertz',
  ),
  reverseWanted: yesNo('Runs in reverse too'),
  reverseLocked: yesNo('Chuck is locked against unscrewing', 'A clamp or key that was made for reverse'),
})
