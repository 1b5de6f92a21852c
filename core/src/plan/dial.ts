import { z } from 'zod'
import { choice, id, quantity, yesNo } from './field'

export const dialPlates = {
  new: 'A new plate is made',
  kept: 'The old plate and needle stay',
  none: 'None: a display tells the speed',
} as const

export const ringKinds = {
  rpm: 'Spindle rpm on a belt position',
  surface: 'Surface speed at a diameter',
  hertz: 'Hertz of the drive',
} as const

export const turns = { clockwise: 'Clockwise is faster', 'counter-clockwise': 'Counter-clockwise is faster' } as const

const ringSchema = z.strictObject({
  id,
  shows: choice('The ring shows', ringKinds),
  positionId: id.optional().meta({ label: 'On the belt position' }),
  diameterMm: quantity('length', 'At a diameter of', 0.5, 3000, 'Of the work or cutter'),
})

export const MOST_RINGS = 6

/** The speed knob's plate: how it turns, how large it is, and what stands on it. */
export const dialSchema = z.strictObject({
  plate: choice('The speed dial', dialPlates),
  fromMark: quantity('number', 'First mark', 0, 1000, 'What stands at the slow end; 0 unless you say so'),
  toMark: quantity('number', 'Last mark', 0, 1000, 'What stands at the fast end; 10 unless you say so'),
  arcDeg: quantity('angle', 'The knob turns through', 30, 350, 'From end to end; 270 unless measured'),
  startDeg: quantity(
    'angle',
    'Its slow end points to',
    0,
    360,
    'Clockwise from the top: 225 is where a clock has half past seven',
  ),
  turns: choice('Which way', turns),
  plateMm: quantity('length', 'Outside of the plate', 30, 300),
  holeMm: quantity('length', 'Hole for the knob', 3, 120),
  rings: z.array(ringSchema).max(MOST_RINGS).optional().meta({ label: 'Rings' }),
  safeStart: quantity(
    'number',
    'Safe start mark',
    0,
    1000,
    'Where the knob stands before RUN; the slow end unless you say so',
  ),
  dangers: yesNo('Danger arcs for what spins'),
})

export type Dial = z.output<typeof dialSchema>
export type DialRing = z.output<typeof ringSchema>
