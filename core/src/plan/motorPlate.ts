import { z } from 'zod'
import { choice, count, quantity, words } from './field'

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
