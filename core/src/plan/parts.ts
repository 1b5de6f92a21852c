import { z } from 'zod'
import { choice, count, id, quantity, words, yesNo } from './field'

export const topologies = {
  'line-neutral': 'Live and neutral',
  'line-line': 'Two lives',
  'three-phase': 'Three phases',
} as const

export const regions = { iec: 'IEC: mm², 230/400 V', nec: 'NEC: AWG, 120/240 V' } as const
export const layings = { surface: 'On the surface', conduit: 'In conduit or trunking', cord: 'Flexible cord' } as const

export const sources = {
  mains: 'The mains',
  'rotary-converter': 'A rotary phase converter',
  'static-converter': 'A static phase converter',
  transformer: 'A transformer',
  generator: 'A generator',
} as const

export type Source = keyof typeof sources

export const joinings = { fixed: 'Wired in', plug: 'Plug and socket' } as const

/**
 * The circuit that the drive stands on. Where a converter, transformer or generator stands between, the
 * volts and phases are those it gives, and the wall behind it is told apart.
 */
export const supplySchema = z.strictObject({
  circuitId: id.optional().meta({ label: 'Circuit of the shop' }),
  source: choice('Comes from', sources),
  sourceW: quantity('power', 'Idler motor', 100, 110_000, 'Plate power of the converter’s idler'),
  sourceVA: quantity('apparentPower', 'Rating', 100, 500_000, 'kVA on its plate'),
  wallVoltageV: quantity('voltage', 'Volts at the wall behind it', 90, 725),
  wallBreakerA: quantity('current', 'Breaker at the wall behind it', 1, 250),
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
  joining: choice('How the drive is joined to it', joinings),
  plugA: quantity('current', 'Plug and socket rated', 1, 125, 'The number on both; the smaller counts'),
  extensionM: quantity('distance', 'Extension lead', 0.5, 200, 'Only where there is one'),
  extensionMm2: quantity('area', 'Wire in the extension lead', 0.5, 16, 'Of each conductor: “1.5 mm²”, “14 AWG”'),
  extensionCoiled: yesNo('Used rolled up', 'On its drum or in a coil'),
  isolatorInReach: yesNo(
    'Isolator within reach of the machine',
    'A switch or plug you can reach and see while standing at the work',
  ),
})

export const motorKinds = {
  'three-phase': 'Three-phase',
  'two-speed': 'Two-speed',
  'one-winding': 'Two-speed, one winding used',
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
  'low-delta': 'Delta, low (parallel)',
  'low-star': 'Star, low (parallel)',
  'high-delta': 'Delta, high (series)',
  'high-star': 'Star, high (series)',
  fixed: 'As it is, one voltage',
} as const

export type Connection = keyof typeof connections

export const coolings = {
  'shaft-fan': 'Fan on the shaft',
  blower: 'Blower of its own',
  'liquid-or-none': 'Liquid, or no fan',
} as const

export const mountings = { feet: 'Feet', face: 'Face or flange', both: 'Feet and face' } as const

export const boxSides = {
  top: 'On top',
  left: 'Left, seen at the shaft',
  right: 'Right, seen at the shaft',
} as const

/** Sizes that decide whether a motor goes where another stood. All but the length follow from a standard frame. */
export const motorSizeFields = {
  frame: words('Frame', 20, 'As stamped: 90L, 56C, 145T'),
  mounting: choice('Held by', mountings),
  centreHeightMm: quantity('length', 'Shaft height', 20, 500, 'Feet to shaft centre'),
  footAcrossMm: quantity('length', 'Feet, across', 20, 1000, 'Between bolt holes, at right angles to the shaft'),
  footAlongMm: quantity('length', 'Feet, along', 20, 1000, 'Between bolt holes, along the shaft'),
  shaftMm: quantity('length', 'Shaft diameter', 4, 150),
  shaftLengthMm: quantity('length', 'Shaft length', 5, 400, 'From shoulder to end'),
  overallMm: quantity('length', 'Length over all', 50, 2000, 'Fan cover to end of shaft'),
  boxSide: choice('Terminal box', boxSides),
  massKg: quantity('mass', 'Mass', 0.5, 1000),
} as const

export const windingAges = {
  old: 'Ordinary or old',
  'inverter-duty': 'Made for drives',
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
  ...motorSizeFields,
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
  rotorKgM2: quantity('inertia', 'Inertia of the rotor', 1e-6, 10, 'From the data sheet'),
  leads: choice('Leads in the box', leadCounts),
  connection: choice('Links as they are', connections),
  winding: choice(
    'Winding',
    windingAges,
    'Old ones stand about 1000 V of peak, those made for drives 3.1 times the plate',
  ),
  price: quantity('money', 'Price', 0, 1_000_000, 'In your own money'),
})

/** The motor that stands in the machine now: what the new one must fit. */
export const oldMotorSchema = z.strictObject({
  powerW: quantity('power', 'Power', 10, 75_000),
  ratedSpeedRpm: quantity('speed', 'Speed', 50, 90_000),
  ...motorSizeFields,
  roomMm: quantity('length', 'Room for the length', 50, 3000, 'Most that fits, fan cover to end of shaft'),
  raiseMm: quantity(
    'length',
    'Motor plate can drop',
    0,
    300,
    'How much lower the plate can be set, for a taller motor',
  ),
})

export const passes = { good: 'Good', doubtful: 'Doubtful', bad: 'Bad' } as const

/** What a second-hand motor showed on the bench, drive disconnected. */
export const checksSchema = z.strictObject({
  secondHand: yesNo('Second-hand motor'),
  testMOhm: quantity('insulation', 'Insulation, winding to frame', 0.001, 100_000, 'A minute at 500 V direct'),
  testC: quantity('temperature', 'Winding was at', -20, 120, 'Room temperature, if it stood overnight'),
  phase1Ohm: quantity('resistance', 'Phase 1', 0.001, 10_000),
  phase2Ohm: quantity('resistance', 'Phase 2', 0.001, 10_000),
  phase3Ohm: quantity('resistance', 'Phase 3', 0.001, 10_000),
  bearings: choice('Bearings', { new: 'New ones fitted', ...passes }),
  starPoint: choice('Star point', {
    out: 'All ends are out',
    found: 'Hidden, found and brought out',
    hidden: 'Hidden inside',
  }),
  smell: choice('Smell and colour of the winding', passes),
  spin: choice('Spins by hand', passes),
})

export const driveKinds = {
  digital: 'Digital, with a keypad',
  'trim-pot': 'Trim-potentiometers',
  brushless: 'Brushless set',
} as const
export const fieldbuses = { none: 'None', serial: 'Serial, Modbus RTU', other: 'Another' } as const
export const jumpers = {
  none: 'None',
  volts: 'Chooses the input volts',
  power: 'Chooses the motor’s power',
  phases: 'Chooses one or three phases',
} as const
export const overloadClasses = {
  light: '110 % for a minute',
  normal: '150 % for a minute',
  heavy: '200 % for a few seconds',
} as const

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
  kind: choice('Kind of drive', driveKinds),
  overloadClass: choice('Overload it stands', overloadClasses),
  carrierHz: quantity('frequency', 'Carrier set', 500, 20_000, 'Higher is quieter and costs output'),
  ratedCarrierHz: quantity('frequency', 'Carrier for full amps', 500, 20_000, 'Above it the manual takes amps off'),
  ratedAmbientC: quantity('temperature', 'Full amps up to', 20, 60, '40 °C usual'),
  jumper: choice('Input jumper', jumpers, 'A link or switch inside, to be set before first power'),
  jumperSet: yesNo('Jumper is set for this shop', 'Looked at with the lid off and the power away'),
  busFarad: quantity('capacitance', 'Bus capacitors', 1e-6, 0.1, 'Printed on them, or in the manual'),
  tripV: quantity('voltage', 'Over-voltage trip', 150, 1300, 'Direct volts, by the manual'),
  chopperV: quantity('voltage', 'Chopper works at', 150, 1300, 'Direct volts, by the manual'),
  riseS: quantity('time', 'Rise time of its fronts', 1e-8, 1e-5, '0.2 µs typical'),
  filterFarad: quantity('capacitance', 'Filter, to earth', 1e-10, 1e-4, 'Or work it out from the leakage it prints'),
  digitalInputs: count('Switch inputs', 0, 40),
  analogueInputs: count('Analogue inputs', 0, 10),
  relays: count('Relay outputs', 0, 10),
  thermistorInput: yesNo('Thermistor input'),
  safeTorqueOff: yesNo('Safe torque off'),
  keypadLead: yesNo('Keypad can go on a lead'),
  fieldbus: choice('Bus', fieldbuses),
  enclosure: words('Enclosure', 20, 'IP20, IP66 ...'),
  manualRating: count('Its manual, by you', 1, 5, '1 hopeless to 5 clear'),
  warrantyMonths: count('Warranty, months', 0, 240),
  price: quantity('money', 'Price', 0, 1_000_000, 'Bare, in your own money'),
  boxPrice: quantity('money', 'Box and glands', 0, 100_000),
  resistorPrice: quantity('money', 'Brake resistor', 0, 100_000),
  keypadLeadPrice: quantity('money', 'Keypad lead', 0, 100_000),
  filterPrice: quantity('money', 'Filter or choke', 0, 100_000),
})

export const places = {
  'at-machine': 'On the machine',
  apart: 'In a clean place, apart',
  'in-box': 'In a closed box',
} as const
export type Place = keyof typeof places

export const boxMaterials = { steel: 'Painted steel', plastic: 'Plastic', 'bare-metal': 'Bare metal' } as const

/** Where the drive hangs, and the leads between it and the motor. */
export const mountSchema = z.strictObject({
  place: choice('Where the drive hangs', places),
  boxWidthMm: quantity('length', 'Box width', 50, 3000),
  boxHeightMm: quantity('length', 'Box height', 50, 3000),
  boxDepthMm: quantity('length', 'Box depth', 50, 2000),
  boxMaterial: choice('Box of', boxMaterials),
  roomC: quantity('temperature', 'Hottest in the shop', -10, 60),
  altitudeM: quantity('distance', 'Height above the sea', 0, 5000),
  motorCableM: quantity('distance', 'Motor cable', 0.2, 300, 'Drive to motor'),
  outputFilter: yesNo('Reactor or dV/dt filter at the drive'),
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
  remoteKeypad: yesNo('Keypad to go on a lead'),
  thermistorWired: yesNo('Thermistor or thermal switch in the winding'),
  reverseWanted: yesNo('Runs in reverse too'),
  reversesOften: yesNo('Reverses all the time', 'Tapping, shaping: many times an hour'),
  reverseLocked: yesNo('Chuck is locked against unscrewing', 'A clamp or key that was made for reverse'),
})
