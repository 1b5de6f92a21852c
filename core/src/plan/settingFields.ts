import { z } from 'zod'
import { settingNames, type SettingId } from '../stages/settingNames'
import { choice, on, quantity } from './field'

export const stopModes = { coast: 'Coast', ramp: 'Ramp down', 'dc-brake': 'DC injection' } as const
export const commandSources = { terminals: 'Terminals', keypad: 'Keypad', serial: 'Serial bus' } as const
export const referenceSources = {
  'analogue-input': 'Knob or 0-10 V input',
  keypad: 'Keypad',
  serial: 'Serial bus',
  presets: 'Fixed speeds',
} as const
export const restartModes = { 'wait-for-run': 'Wait for a new RUN', 'runs-again': 'Run again by itself' } as const
export const startSpeeds = {
  lowest: 'From the lowest',
  knob: 'Where the knob stands',
  last: 'Last speed',
  fixed: 'A fixed speed',
} as const

/** Settings of any drive under neutral names, each optional; used for what a drive was found to hold and what is chosen otherwise. */
export const settingFields = {
  ratedVoltageV: quantity('voltage', settingNames.ratedVoltageV, 10, 725),
  ratedCurrentA: quantity('current', settingNames.ratedCurrentA, 0.05, 500),
  baseFrequencyHz: quantity('frequency', settingNames.baseFrequencyHz, 5, 1500),
  ratedSpeedRpm: quantity('speed', settingNames.ratedSpeedRpm, 50, 90_000),
  minimumHz: quantity('frequency', settingNames.minimumHz, 0, 1500),
  maximumHz: quantity('frequency', settingNames.maximumHz, 1, 1500),
  accelerationS: quantity('time', settingNames.accelerationS, 0, 600),
  decelerationS: quantity('time', settingNames.decelerationS, 0, 600),
  stopMode: choice(settingNames.stopMode, stopModes),
  commandSource: choice(settingNames.commandSource, commandSources),
  referenceSource: choice(settingNames.referenceSource, referenceSources),
  overloadA: quantity('current', settingNames.overloadA, 0.05, 500),
  restart: choice(settingNames.restart, restartModes),
  startSpeed: choice(settingNames.startSpeed, startSpeeds),
} as const satisfies Record<SettingId, unknown>

export { settingIds, type SettingId } from '../stages/settingNames'

export const rampShapes = { straight: 'Straight', 's-curve': 'Rounded at both ends' } as const

export const turningStarts = {
  lockout: 'Waits until it has coasted',
  flying: 'Catches it at its speed',
  straight: 'Starts from its lowest hertz',
} as const
export const rideThroughs = { off: 'Coasts', on: 'Brakes to keep itself alive' } as const
export const overVoltages = {
  trips: 'Trips, and it coasts',
  lengthens: 'Lengthens the ramp',
  speeds: 'Lets the speed rise',
} as const

/** Further settings a drive may hold, judged when typed but not on the card of fourteen. */
export const furtherFields = {
  rampShape: choice('Shape of its ramps', rampShapes),
  turningStart: choice('RUN while it still turns', turningStarts, 'What the drive does then, by its manual'),
  rideThrough: choice('When the power dips', rideThroughs, 'Some drives brake the load to stay alive'),
  overVoltage: choice('When a stop pumps the bus', overVoltages),
  jogStopS: quantity('time', 'Stops a jog in', 0, 600, 'Jog has a ramp of its own on many drives'),
  fixedStartHz: quantity('frequency', 'Fixed starting hertz', 0, 1500),
  skipHz: quantity('frequency', 'Skipped, middle', 0.5, 1500, 'A band the drive passes through without staying'),
  skipBandHz: quantity('frequency', 'Skipped, to each side', 0.1, 100),
  boostV: quantity(
    'voltage',
    'Boost at standstill',
    0.1,
    725,
    'Volts at no hertz; per cent of the motor volts where the drive asks so',
  ),
  middleHz: quantity('frequency', 'V/f middle point, hertz', 0.5, 1500, 'Where the drive has one'),
  middleV: quantity('voltage', 'V/f middle point, volts', 0.5, 725, 'Where the drive has one'),
} as const

export const driveStates = {
  'as-arrived': 'As it came, nothing entered',
  'second-hand': 'Someone’s old settings',
  reset: 'Factory reset, nothing entered',
  entered: 'This card, entered',
} as const

/** `chosen` replaces what would be derived; `inDrive` is what the drive was read to hold. */
export const settingsSchema = z.strictObject({
  state: choice('The drive now holds', driveStates),
  chosen: z.strictObject({
    ...settingFields,
    minimumHz: on('speeds', settingFields.minimumHz),
    maximumHz: on('speeds', settingFields.maximumHz),
  }),
  inDrive: z.strictObject({ ...settingFields, ...furtherFields }),
})
