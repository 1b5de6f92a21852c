import { z } from 'zod'
import { beltNames } from '../data/beltProfile'
import { stageKinds } from '../drivetrain/drivetrainRatio'
import { choice, count, id, quantity, words } from './field'

/** One stage between two shafts. Sizes are pitch diameters in mm, or teeth. */
export const stageSchema = z.strictObject({
  kind: choice('Stage', stageKinds),
  driverMm: quantity('length', 'Driving pulley', 1, 3000, 'Pitch diameter; for gears and timing pulleys the teeth'),
  drivenMm: quantity('length', 'Driven pulley', 1, 3000, 'Pitch diameter; for gears and timing pulleys the teeth'),
  slip: quantity('fraction', 'Belt slip', 0, 0.2, 'Nothing unless you measured it'),
  section: choice('Belt section', { ...beltNames.v, ...beltNames.rib, ...beltNames.tooth }),
  belts: count('Belts side by side', 1, 12),
  grooves: choice('Grooves cut for', beltNames.v, 'Only where they are cut for another section than the belt'),
  centreMm: quantity('length', 'Centre to centre', 10, 10_000, 'Between the shafts, as measured'),
  beltMm: quantity('length', 'Belt, pitch length', 50, 20_000, 'As printed on it, where that is the pitch length'),
  outsideMm: quantity('length', 'Belt, round its outside', 50, 20_000, 'By a tape, the belt off'),
  slotLeastMm: quantity('length', 'Slot, nearest', 10, 10_000, 'Centre to centre with the motor pushed in'),
  slotMostMm: quantity('length', 'Slot, farthest', 10, 10_000, 'Centre to centre with the motor pulled out'),
  ratedBeltW: quantity(
    'power',
    'Maker’s rating, one belt',
    10,
    100_000,
    'At this pulley and speed; goes over the planning value',
  ),
  pressN: quantity('force', 'Pressed with', 0.5, 500, 'One belt, at the middle of its span, by a spring balance'),
  pressMm: quantity('length', 'and gives', 0.5, 200),
  boreMm: quantity('length', 'Bore of the motor’s pulley', 4, 150, 'As it is now'),
})

/** One way the belts and gears can stand, from the motor shaft to the spindle. */
export const positionSchema = z.strictObject({
  id,
  name: words('Belt position', 40),
  shakesHz: quantity('frequency', 'Shakes around', 0.5, 1500, 'Hertz on the drive, found with the belt on'),
  stiffnessNmPerRad: quantity(
    'twist',
    'Twist of the train',
    1,
    1e7,
    'At the spindle, the motor held: torque over the angle it gives',
  ),
  stages: z.array(stageSchema).max(8).meta({ label: 'Stages' }),
})
