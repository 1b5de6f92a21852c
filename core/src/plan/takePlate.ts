import type { DrivePlate } from './plan'
import type { MotorPlate } from './motorPlate'
import { set, type Patch } from './patch'
import { ofOneDrive, type SettingId } from './settingFields'

/** Settings that speak of one motor and mean nothing for another. */
const ofMotor: readonly SettingId[] = [
  'ratedVoltageV',
  'ratedCurrentA',
  'baseFrequencyHz',
  'ratedSpeedRpm',
  'overloadA',
  'motorPoles',
  'ratedPowerW',
  'boostV',
  'currentLimitA',
  'dcA',
]

/** Puts another motor in the plan: what was set or tested for the first goes. */
export const takeMotor = (plate: MotorPlate): Patch => [
  set('motor', plate),
  set('checks', {}),
  ...ofMotor.flatMap((id) => [set(`settings.chosen.${id}`, undefined), set(`settings.inDrive.${id}`, undefined)]),
]

/** A drive's plate under a name: what it was called on a list, it is called where it is taken. */
export const namedDrive = (name: string | undefined, plate: DrivePlate): DrivePlate =>
  name?.trim() && !plate.name?.trim() ? { ...plate, name: name.trim() } : plate

/** Puts another drive in the plan: nothing was read from it yet. */
export const takeDrive = (plate: DrivePlate): Patch => [
  set('drive', plate),
  set('settings.inDrive', {}),
  set('settings.state', undefined),
  set('settings.rampMeans', undefined),
  ...ofOneDrive.map((key) => set(`settings.${key}`, undefined)),
]
