import { z } from 'zod'
import { choice, quantity, yesNo } from './field'

export const motorSeats = {
  feet: 'Its feet, on the old holes',
  slots: 'Its feet, in new slots',
  riser: 'A riser under its feet',
  plate: 'A mounting plate of its own',
  bracket: 'A bracket or post',
  flange: 'A flange',
} as const

export const pulleyFits = {
  slide: 'Slides on, key and set-screw',
  press: 'Pressed on',
  shrink: 'Warmed and slid on',
  sleeve: 'Bored out and sleeved',
} as const

export const guards = {
  fitted: 'Fitted',
  old: 'The old one fits',
  'to-make': 'Not yet made',
  'not-needed': 'Not needed',
} as const
export const keepers = { fitted: 'Fitted', 'to-make': 'Not yet made', 'not-needed': 'Not needed' } as const
export const hubs = { steel: 'Steel', iron: 'Cast iron', aluminium: 'Aluminium' } as const

/** How the motor comes on to the machine: what must be made or moved, and how the pulley holds. */
export const mountSchema = z.strictObject({
  seat: choice('The motor sits on', motorSeats),
  oldAcrossMm: quantity('length', 'Old holes, across', 10, 1000, 'Across the shaft, centre to centre'),
  oldAlongMm: quantity('length', 'Old holes, along', 10, 1000, 'Along the shaft, centre to centre'),
  oldHeightMm: quantity('length', 'Old shaft over its feet', 10, 500),
  acrossMm: quantity('length', 'New feet, across', 10, 1000, 'By the frame unless measured'),
  alongMm: quantity('length', 'New feet, along', 10, 1000, 'By the frame unless measured'),
  heightMm: quantity('length', 'New shaft over its feet', 10, 500, 'By the frame unless measured'),
  boltMm: quantity('length', 'Bolts of its feet', 3, 30),
  travelMm: quantity('length', 'Travel for the belt', 0, 300, 'How far the motor can be moved to tension it'),
  boxCostsMm: quantity('length', 'The terminal box takes of it', 0, 200),
  plateMm: quantity('length', 'Thickness of the plate', 3, 60),
  bracketMm: quantity('length', 'Height of the bracket', 10, 1000, 'From the machine to the underside of its feet'),
  fit: choice('The pulley', pulleyFits),
  boreMm: quantity('length', 'Bore of the pulley', 3, 200, 'As it is, measured'),
  shaftMm: quantity('length', 'Shaft of the motor', 3, 200, 'Measured with a micrometer'),
  hub: choice('Its hub of', hubs),
  hubMm: quantity('length', 'Outside of the hub', 5, 400),
  hubLengthMm: quantity('length', 'Length of the fit', 3, 300),
  tightMm: quantity('length', 'Interference', 0.001, 0.5, 'By which the shaft is larger than the bore'),
  rotorTurned: yesNo('The rotor goes in end for end'),
  innerFan: yesNo('A fan inside the winding, or fins of one hand'),
  massKgPerM: quantity('number', 'Mass of one belt', 0.005, 20, 'kg a metre: weighed, or its section’s planning value'),
  keeper: choice('Belt keeper', keepers),
  guard: choice('Guard over belt and pulleys', guards),
})
