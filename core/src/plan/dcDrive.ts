import { z } from 'zod'
import { choice, on, quantity, yesNo } from './field'

export const dcSources = {
  'motor-generator': 'A motor-generator set',
  thyristor: 'Thyristors',
  valve: 'Valves',
  modern: 'A modern DC drive',
} as const

/** How smooth its current is, and so how much it heats for what it turns. */
export const rectifiers = {
  'one-phase': 'One phase, controlled',
  'three-phase': 'Three phases, controlled',
  smooth: 'Smooth: a generator, or chopped fast',
} as const
export type Rectifier = keyof typeof rectifiers

export const fieldControls = {
  fixed: 'Fixed, full',
  'by-hand': 'Weakened by hand',
  'by-drive': 'Weakened by the drive',
} as const

export const contactorOrders = {
  'field-first': 'Field first, armature last',
  together: 'Both at once',
  'armature-first': 'Armature first',
} as const

export const seriesWindings = { used: 'In the armature’s circuit', out: 'Left out, both ends insulated' } as const

export const dcReversers = {
  never: 'Never',
  armature: 'The armature’s leads',
  field: 'The field’s leads',
  both: 'Both',
} as const

/** How a reversal is done where it turns. */
export const dcReversals = {
  standstill: 'Only from standstill',
  plug: 'Thrown over while it turns',
  resistor: 'A resistor stops it first',
  ramp: 'The drive ramps it',
  regenerate: 'Back into the mains',
} as const

export const fieldSuppressors = {
  none: 'Nothing',
  resistor: 'A resistor',
  varistor: 'A varistor',
  diode: 'A diode',
} as const

export const brushStates = { good: 'Good, free in their boxes', worn: 'Worn short', sparking: 'They spark' } as const
export const commutatorStates = {
  smooth: 'Smooth and brown',
  grooved: 'Grooved, mica high',
  burnt: 'Burnt bars',
} as const

/** A DC machine's drive beyond its plate: how it feeds armature and field, and how it is started, reversed and kept. */
export const dcDriveSchema = z.strictObject({
  source: choice('It is fed by', dcSources),
  rectifier: choice('Its direct current', rectifiers),
  formFactor: quantity('number', 'Form factor', 1, 3, 'Where the drive’s manual prints one'),
  outputV: quantity('voltage', 'Armature volts it gives', 5, 725, 'By its plate or manual'),
  fieldGivenV: quantity('voltage', 'Field volts it gives', 1, 725),
  fieldControl: choice('The field is', fieldControls),
  weakestFieldA: quantity('current', 'Weakest field', 0.005, 100, 'Amps, measured at the end of its rheostat'),
  fieldInterlock: yesNo('It starts only on full field', 'A contact of the rheostat in the starting circuit'),
  fieldLossTrip: yesNo('A lost field trips it', 'A relay in the field’s own circuit that drops the armature'),
  contactorOrder: choice('What closes first', contactorOrders),
  suppression: choice('Across the field stands', fieldSuppressors),
  suppressorOhm: quantity('resistance', 'Its resistor', 1, 100_000),
  seriesWinding: on('wiring', choice('Its series winding', seriesWindings, 'S1 and S2 of a compound motor')),
  reversedBy: on('wiring', choice('Reversed by', dcReversers)),
  reversal: on('wiring', choice('How it reverses', dcReversals)),
  reversalsPerHour: on('wiring', quantity('number', 'Reversals an hour', 0, 3600)),
  brushes: on('run-in', choice('Its brushes', brushStates)),
  commutator: on('run-in', choice('Its commutator', commutatorStates)),
})
