import { z } from 'zod'
import type { AllKeys } from './allKeys'
import { asKind } from './asKind'
import { choice, count, on, quantity, words, yesNo } from './field'

export const motorKinds = {
  induction: 'Three-phase',
  'pole-changing': 'Two-speed',
  'high-frequency': 'High-frequency',
  'single-phase': 'Single-phase',
  repulsion: 'Repulsion',
  universal: 'Universal',
  dc: 'DC',
  brushless: 'Brushless',
  servo: 'Stepper or servo',
} as const

export type MotorKind = keyof typeof motorKinds

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

export const fieldKinds = {
  shunt: 'Shunt, or fed apart',
  compound: 'Compound',
  series: 'Series',
  magnets: 'Magnets',
} as const

export const windingAges = {
  old: 'Ordinary or old',
  'inverter-duty': 'Made for drives',
} as const

export const insulationClasses = { A: 'A', E: 'E', B: 'B', F: 'F', H: 'H' } as const

/** Least volts of a winding that a drive feeds, and of a motor that has a driver of its own or a low-voltage plate. */
const MAINS_V = 20
const LOW_V = 5

const platePoles = count('Poles on the plate', 2, 48, 'Only where the plate prints them')

/** What any nameplate prints. Of two voltages it is the lower; of a DC motor volts and amps are the armature's. */
const plate = (leastV: number) => ({
  powerW: quantity('power', 'Power', 10, 75_000),
  lowVoltageV: quantity('voltage', 'Volts', leastV, 725),
  lowVoltageA: quantity('current', 'Amps', 0.05, 500),
  ratedSpeedRpm: quantity('speed', 'Speed', 50, 90_000),
  efficiency: quantity('fraction', 'Efficiency', 0.2, 0.99),
  ...motorSizeFields,
  enclosure: words('Enclosure', 20, 'IP55, TEFC, ODP ...'),
  insulationClass: choice('Insulation class', insulationClasses),
  maximumRpm: quantity('speed', 'Highest speed on the plate', 50, 120_000, 'Only where the plate prints one'),
  serviceFactor: quantity('number', 'Service factor', 1, 1.5),
  price: quantity('money', 'Price', 0, 1_000_000, 'In your own money'),
})

/** What the plate of a motor prints that mains turn: its hertz, and the star or series beside delta or parallel. */
const ofMains = (leastV: number) => ({
  ...plate(leastV),
  highVoltageV: quantity('voltage', 'Higher volts', leastV, 1200),
  highVoltageA: quantity('current', 'Amps at the higher volts', 0.05, 500),
  ratedFrequencyHz: quantity('frequency', 'Hertz', 10, 1500),
  platePoles,
  powerFactor: quantity('number', 'cos phi', 0.2, 1),
})

const cooling = choice('Cooling', coolings)
const rotorKgM2 = on('speeds', quantity('inertia', 'Inertia of the rotor', 1e-6, 10, 'From the data sheet'))

/** What a driver needs to know of a motor with magnets in it. */
const withMagnets = {
  platePoles,
  rpmPerVolt: quantity(
    'number',
    'Rpm for each volt',
    0.5,
    20_000,
    'No load; from the data sheet, or spun and measured',
  ),
  windingOhm: quantity('resistance', 'Between two leads', 0.001, 1000),
  peakA: quantity('current', 'Amps for moments', 0.05, 2000, 'From the data sheet'),
  cooling,
  rotorKgM2,
}

/** What a drive needs to know of a motor that it feeds, beyond the plate. */
const onDrive = {
  breakdownRatio: quantity('number', 'Pull-out over rated torque', 1.1, 6, 'Ma/Mn or BDT, from the data sheet'),
  inverterDutyRatio: quantity(
    'number',
    'Constant-torque range',
    1,
    2000,
    'The 10 of "10:1 CT", where the plate says so',
  ),
  cooling,
  rotorKgM2,
  leads: choice('Leads in the box', leadCounts),
  connection: choice('Links as they are', connections),
  winding: choice(
    'Winding',
    windingAges,
    'Old ones stand about 1000 V of peak, those made for drives 3.1 times the plate',
  ),
}

const kindMeta = choice('Kind of motor', motorKinds).meta() ?? {}

const kind = <K extends MotorKind>(value: K) => z.literal(value).meta(kindMeta)

/**
 * The motor, by its kind. One that does not say its kind yet is held as an induction motor is. Kinds that no drive
 * of this product feeds are held by their plate alone.
 */
export const motorSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: kind('induction').optional().meta(kindMeta), ...ofMains(MAINS_V), ...onDrive }),
  z.strictObject({ kind: kind('high-frequency'), ...ofMains(MAINS_V), ...onDrive }),
  z.strictObject({
    kind: kind('pole-changing'),
    ...ofMains(MAINS_V),
    ...onDrive,
    oneWinding: yesNo('One winding used', 'The other left open; the plate is that winding’s own'),
  }),
  z.strictObject({ kind: kind('single-phase'), ...ofMains(MAINS_V) }),
  z.strictObject({ kind: kind('repulsion'), ...ofMains(MAINS_V) }),
  z.strictObject({ kind: kind('universal'), ...ofMains(LOW_V) }),
  z.strictObject({
    kind: kind('dc'),
    ...plate(LOW_V),
    fieldVoltageV: quantity('voltage', 'Field volts', 1, 725, 'Of a wound field'),
    fieldCurrentA: quantity('current', 'Field amps', 0.01, 100),
    fieldKind: choice('Its field', fieldKinds),
    armatureOhm: quantity(
      'resistance',
      'Armature',
      0.001,
      1000,
      'Measured brush to brush, standing, by a known current',
    ),
    treadmill: yesNo('Out of a treadmill', 'Its plate says treadmill duty, or a flywheel with a fan sits on its shaft'),
    commutatorMm: quantity('length', 'Commutator, across', 10, 500),
    cooling,
    rotorKgM2,
  }),
  z.strictObject({ kind: kind('brushless'), ...plate(LOW_V), ...withMagnets }),
  z.strictObject({ kind: kind('servo'), ...plate(LOW_V), ...withMagnets }),
])

/** What is known of a motor. What its kind does not have reads as unknown. */
export type MotorPlate = AllKeys<z.output<typeof motorSchema>>

/** Every key that a motor of some kind may have. */
export type MotorKey = keyof MotorPlate

/** The same motor as another kind: what both kinds have stays, what the new one does not have goes. */
export const motorOfKind = (motor: MotorPlate, to: MotorKind | undefined): MotorPlate => asKind(motorSchema, motor, to)

/** The motor with other links; its kind must be one that has links. */
export const motorWith = (motor: MotorPlate, links: { connection: Connection }): MotorPlate =>
  asKind(motorSchema, { ...motor, ...links }, motor.kind)

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
