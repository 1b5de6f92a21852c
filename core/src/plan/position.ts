import { z } from 'zod'
import { choice, id, on, quantity, words } from './field'
import { transmissionStageSchema } from './transmissionStage'

export const knownWays = { printed: 'Printed on the machine', measured: 'Measured or counted' } as const

/** One way the belts and gears can stand, from the motor shaft to the spindle. */
export const positionSchema = z.strictObject({
  id,
  name: words('Belt position', 40),
  /** What is known of it without its pulleys, from a lever plate, a tachometer or a table. */
  knownFrom: choice('How that is known', knownWays),
  knownSpindleRpm: quantity('speed', 'Spindle turns at', 0.01, 200_000, 'As printed or measured'),
  knownSurfaceMPerMin: quantity('surfaceSpeed', 'or the blade or belt runs', 0.1, 6000),
  wheelMm: quantity('length', 'over a wheel of', 5, 3000, 'Outside diameter of the wheel that drives it'),
  knownMotorRpm: quantity('speed', 'with the motor at', 1, 90_000, 'Its rpm then; or the hertz'),
  knownHz: quantity('frequency', 'or the drive at', 0.5, 1500, 'Unloaded, or it counts the motor’s slip in'),
  knownRatio: quantity('number', 'Spindle turns for one of the motor', 1e-5, 1000, 'As printed or counted by hand'),
  resonanceHz: on(
    'speeds',
    quantity('frequency', 'Shakes around', 0.5, 1500, 'Hertz on the drive, found with the belt on'),
  ),
  stiffnessNmPerRad: on(
    'speeds',
    quantity('twist', 'Twist of the train', 1, 1e7, 'At the spindle, the motor held: torque over the angle it gives'),
  ),
  transmission: z.array(transmissionStageSchema).max(8).meta({ label: 'Stages' }),
})
