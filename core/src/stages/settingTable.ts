import type { Heart } from './hearts'

/** Parts of a drive's settings, in the order that they are thought of. */
export const settingGroups = {
  motor: 'The motor’s plate',
  speeds: 'Speeds',
  ramps: 'Ramps and stopping',
  pull: 'Pull',
  protection: 'Protection',
  command: 'RUN and speed',
  again: 'Starting again',
  outputs: 'Relay, sensor, fan',
  braking: 'Braking',
  fixed: 'Jog and fixed speeds',
  display: 'Display',
  serial: 'Serial bus',
  itself: 'The drive itself',
} as const

export type SettingGroup = keyof typeof settingGroups

interface SettingRow {
  name: string
  group: SettingGroup
  /** What it does, for somebody who never met it. */
  means: string
  /** Wanted before the motor turns for the first time. */
  firstSpin?: true
}

const row = (group: SettingGroup, name: string, means: string): SettingRow => ({ name, group, means })
const first = (group: SettingGroup, name: string, means: string): SettingRow => ({
  name,
  group,
  means,
  firstSpin: true,
})

/** What drives can be set to do, under neutral names, in the order that they are entered where nothing forbids it. */
const table = {
  mainsHertz: row(
    'itself',
    'Made for mains of',
    'Which half of the world its defaults are for; some ask at first power.',
  ),
  ratedVoltageV: first('motor', 'Motor volts', 'What it gives at base hertz.'),
  ratedCurrentA: first('motor', 'Motor amps', 'What its model of the motor rests on.'),
  baseFrequencyHz: first('motor', 'Base hertz', 'Where full volts are reached; above it pull falls.'),
  ratedSpeedRpm: first('motor', 'Motor rpm', 'The drive takes slip and poles from it.'),
  motorPoles: row('motor', 'Motor poles', 'Where a drive does not take them from the rpm.'),
  ratedPowerW: row('motor', 'Motor power', 'The plate’s, at the shaft.'),
  controlMode: row('pull', 'Control of the motor', 'Volts by hertz alone, or by a model of the motor.'),
  loadType: row('pull', 'Kind of load', 'A fan’s curve takes the volts away at low hertz.'),
  minimumHz: first('speeds', 'Lowest hertz', 'It does not turn slower while RUN is on.'),
  maximumHz: first('speeds', 'Highest hertz', 'The end of the knob and of every ramp.'),
  armatureV: first('motor', 'Armature volts', 'What it gives at full speed on full field.'),
  fieldA: first('motor', 'Field amps', 'The full field: weaker, it turns faster and pulls less.'),
  leastSpeedRpm: first('speeds', 'Least speed', 'Rpm of the motor with the knob turned down.'),
  mostSpeedRpm: first('speeds', 'Most speed', 'Rpm of the motor with the knob turned up.'),
  accelerationS: first('ramps', 'Acceleration', 'From standstill to the top, whatever the drive counts by.'),
  decelerationS: first('ramps', 'Deceleration', 'From the top to standstill, whatever the drive counts by.'),
  rampShape: row('ramps', 'Shape of its ramps', 'Rounded ends double the pull in the middle of the same time.'),
  stopMode: first('ramps', 'On STOP', 'What happens when RUN goes.'),
  quickStopS: row('ramps', 'Quick stop in', 'The ramp of a mushroom on a quick-stop input, from the highest hertz.'),
  energySaver: row('pull', 'Energy saver', 'Takes volts away at light load: no pull when the cut begins.'),
  boostV: row('pull', 'Boost at standstill', 'Volts at no hertz; pull at a creep, and heat.'),
  middleHz: row('pull', 'V/f middle point, hertz', 'A bend in the line of volts over hertz.'),
  middleV: row('pull', 'V/f middle point, volts', 'What it gives at the bend.'),
  irCompensation: row('pull', 'Holds its speed under load', 'Adds volts for amps; too much and it hunts.'),
  slipCompensation: row('pull', 'Slip compensation', 'Raises the hertz under load so that the rpm hold.'),
  modulation: row('pull', 'Modulation', 'How the volts are chopped; the fuller way gives the whole supply.'),
  carrierHz: row('pull', 'Carrier', 'How often it chops: higher is quieter and costs amps.'),
  motorTune: row('pull', 'Motor tune', 'The drive measures the winding, standing or turning.'),
  overloadA: first('protection', 'Overload amps', 'Protects the winding over minutes.'),
  overloadCooling: row(
    'protection',
    'Overload counts on',
    'A fan on the shaft cools little at low hertz; a blower always.',
  ),
  currentLimitA: row('protection', 'Current limit', 'What it pushes for seconds; it is not the overload.'),
  fieldLossA: first(
    'protection',
    'Field lost below',
    'It takes the armature away: without a field the motor runs off.',
  ),
  thermistorInput: row('protection', 'Thermistor input', 'Trips when the winding’s sensor says hot.'),
  overVoltage: row('protection', 'When a stop pumps the bus', 'Trip, a longer ramp, or a rising speed.'),
  commandSource: first('command', 'RUN comes from', 'What it listens to for run and stop.'),
  referenceSource: first('command', 'Speed comes from', 'What it listens to for the speed.'),
  powerOnMode: row(
    'command',
    'After power it obeys',
    'A key can take it away from its terminals; what it wakes up to.',
  ),
  knobMode: row('command', 'Knob reads as', 'From the lowest hertz to the highest, or from zero.'),
  referenceGain: row('command', 'Gain of the speed input', 'Full volts times this are the top of the speed.'),
  referenceOffset: row(
    'command',
    'Offset of the speed input',
    'Added to the signal; a knob that does not reach its end.',
  ),
  referenceInvert: row('command', 'Speed input inverted', 'More volts, less speed.'),
  knobZero: row('command', 'Knob at zero', 'It keeps turning at the lowest, or stands still with RUN on.'),
  directionLock: row('command', 'Directions', 'One locked out cannot be sent by a wrong switch.'),
  reverseChange: row('command', 'Reverse while turning', 'Through its ramp at once, or only from standstill.'),
  startSpeed: first('again', 'Speed when RUN is pressed', 'Where the first second goes to.'),
  fixedStartHz: row('again', 'Fixed starting hertz', 'Where the start is at a fixed speed.'),
  restart: first('again', 'After a power cut', 'Whether it starts with nobody there.'),
  tripReset: row('again', 'After a trip', 'Whether it clears the trip and runs on by itself.'),
  turningStart: row('again', 'RUN while it still turns', 'What it does with a spindle that still coasts.'),
  rideThrough: row('again', 'When the power dips', 'Some brake the load to stay alive.'),
  runTimer: row('again', 'Timer', 'Starts or stops it by the clock.'),
  sleepWake: row('again', 'Sleep and wake', 'Stops at low speed and starts again by itself.'),
  jogMemory: row('again', 'Remembered jog', 'A jog that goes on when power or RUN come back.'),
  relayTask: row('outputs', 'The relay closes', 'What its contact tells or switches.'),
  relayHz: row('outputs', 'The relay closes below', 'For a blower: where the motor’s own fan is too slow.'),
  relayBackHz: row('outputs', 'and opens again above', 'Apart from the other, or it chatters.'),
  driveFan: row('outputs', 'The drive’s own fan', 'Always, or only when it must: dust and noise.'),
  chopper: row('braking', 'Brake chopper', 'Switches the resistor.'),
  chopperDuty: row('braking', 'Duty of the resistor', 'How much of the time it may be on.'),
  dcStartS: row('braking', 'DC at a start', 'Holds the motor before it turns.'),
  dcStopS: row('braking', 'DC at a stop', 'Holds the motor at the end of a stop.'),
  dcA: row('braking', 'Amps of DC', 'What it holds with; it heats the winding.'),
  skipHz: row('speeds', 'Skipped, middle', 'A band that it passes through without staying.'),
  skipBandHz: row('speeds', 'Skipped, to each side', 'Half the band.'),
  jogHz: row('fixed', 'Jog hertz', 'What the jog button turns at.'),
  jogStopS: row('fixed', 'Stops a jog in', 'A jog has a ramp of its own on many drives.'),
  preset1Hz: row('fixed', 'Fixed speed 1', 'Hertz of the first fixed speed.'),
  preset2Hz: row('fixed', 'Fixed speed 2', 'Hertz of the second.'),
  preset3Hz: row('fixed', 'Fixed speed 3', 'Hertz of the third.'),
  preset4Hz: row('fixed', 'Fixed speed 4', 'Hertz of the fourth.'),
  displayShows: row('display', 'The display shows', 'Hertz, amps, or a number of yours.'),
  displayScale: row(
    'display',
    'Display, rpm for each hertz',
    'So that it reads the spindle’s rpm; it changes with the belt.',
  ),
  busAddress: row('serial', 'Number on the bus', 'One drive, one number.'),
  busRate: row('serial', 'Rate', 'Bits a second, the same at both ends.'),
  busFraming: row('serial', 'Framing', 'Bits, parity and stop bits, the same at both ends.'),
  busLossS: row('serial', 'Bus silent for', 'After this it counts the line as cut.'),
  busLossDoes: row('serial', 'When the bus is silent', 'What it does then.'),
  keypadLock: row('itself', 'Keypad locked', 'So that a sleeve does not change it.'),
} as const satisfies Record<string, SettingRow>

export type SettingId = keyof typeof table

/** Every setting with its name, its group and what it does. */
export const settingTable: Readonly<Record<SettingId, SettingRow>> = table
export const settingIds = Object.keys(table) as SettingId[]

export const settingNames = Object.fromEntries(settingIds.map((id) => [id, table[id].name])) as {
  readonly [K in SettingId]: string
}

const ALL: readonly Heart[] = ['inverter', 'dc', 'driver']
const ONLY_HERTZ: readonly Heart[] = ['inverter']

/** Settings that others have than a drive that makes hertz; what is not named here only such a drive has. */
const ofHearts: Readonly<Partial<Record<SettingId, readonly Heart[]>>> = {
  armatureV: ['dc'],
  fieldA: ['dc'],
  fieldLossA: ['dc'],
  irCompensation: ['dc'],
  leastSpeedRpm: ['dc', 'driver'],
  mostSpeedRpm: ['dc', 'driver'],
  motorPoles: ['inverter', 'driver'],
  ...Object.fromEntries(
    (
      [
        'accelerationS',
        'decelerationS',
        'stopMode',
        'currentLimitA',
        'overloadA',
        'thermistorInput',
        'commandSource',
        'referenceSource',
        'referenceGain',
        'referenceOffset',
        'referenceInvert',
        'knobZero',
        'directionLock',
        'reverseChange',
        'startSpeed',
        'restart',
        'tripReset',
        'relayTask',
        'busAddress',
        'busRate',
        'busFraming',
        'busLossS',
        'busLossDoes',
        'keypadLock',
      ] as const
    ).map((id) => [id, ALL]),
  ),
}

/** Which hearts have a setting. */
export const settingHearts = (id: SettingId): readonly Heart[] => ofHearts[id] ?? ONLY_HERTZ
