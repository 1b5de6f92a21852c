import { z } from 'zod'
import { choice, id, quantity, words, yesNo } from './field'

export const routes = {
  'drive-each': 'A drive on each machine',
  'converter-starters': 'One converter, plain starters',
  'converter-drives': 'One converter, three-phase drives',
  'keep-dc': 'Keep the DC drive',
  'fixed-dc': 'A modern DC drive, field fixed',
  'small-dc': 'A DC drive, field weakened by hand',
  brushless: 'A brushless set',
  kit: 'A complete pre-wired kit',
} as const

export type RouteId = keyof typeof routes

/** Another machine of the shop that may one day be fed too. */
export const routeMachineSchema = z.strictObject({
  id,
  name: words('Machine', 80),
  powerW: quantity('power', 'Motor', 10, 75_000),
  hardStart: yesNo('Starts hard'),
  runsTogether: yesNo('Runs at the same time'),
})

export const dcPhases = { one: 'One phase', three: 'Three phases' } as const

/** The plate of a DC motor that stands here, where the motor that is planned is another. */
export const dcFields = {
  dcPowerW: quantity('power', 'DC motor, power', 10, 75_000),
  dcBaseRpm: quantity('speed', 'DC motor, base speed', 50, 10_000),
  dcTopRpm: quantity('speed', 'DC motor, top speed by field', 50, 12_000, 'Only what its plate prints'),
} as const

/** The ways to go, compared for this shop, and the one chosen. Prices are the person's own, typical until typed. */
export const routeSchema = z.strictObject({
  chosen: choice('Route', routes),
  machines: z.array(routeMachineSchema).max(20).meta({ label: 'Other machines of the shop' }),
  backGearKept: yesNo('The back gear stays', 'With an AC motor in place of a DC one'),
  ...dcFields,
  dcPhases: choice('Its own system is fed by', dcPhases, 'The motor-generator’s plate, or the old drive’s'),
  acPowerW: quantity('power', 'AC motor in its place', 10, 75_000),
  acRpm: quantity('speed', 'Its rated speed', 50, 10_000, 'At the hertz of the wall'),
  drivePrice: quantity('money', 'Drive for this machine, all in', 0, 1_000_000),
  smallDrivePrice: quantity('money', 'Three-phase drive, each', 0, 1_000_000),
  motorPrice: quantity('money', 'Three-phase motor', 0, 1_000_000),
  converterPrice: quantity('money', 'Converter and its wiring', 0, 1_000_000),
  starterPrice: quantity('money', 'Starter, each', 0, 1_000_000),
  dcRepairPrice: quantity('money', 'Repair of the DC drive', 0, 1_000_000),
  fixedDcPrice: quantity('money', 'Modern DC drive', 0, 1_000_000),
  smallDcPrice: quantity('money', 'DC drive with a field supply', 0, 1_000_000),
  brushlessPrice: quantity('money', 'Brushless set', 0, 1_000_000),
  kitPrice: quantity('money', 'Complete kit', 0, 1_000_000),
  kitPowerW: quantity('power', 'Motor of the kit', 10, 75_000),
  brushlessPowerW: quantity('power', 'Brushless motor', 10, 75_000),
  brushlessRpm: quantity('speed', 'Its rated speed', 50, 60_000),
})
