import { z } from 'zod'
import { text } from '../rules/text'
import { rampMeanings } from '../stages/rampMeanings'
import { settingNames, type SettingId } from '../stages/settingTable'
import { choice, count, keyed, on, quantity, words } from './field'
import { knobModes } from './controls'

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

const offOn = { off: 'Off', on: 'On' } as const
export const mainsHertzChoices = { '50': '50 Hz', '60': '60 Hz' } as const
export const controlModes = {
  vf: 'Volts by hertz',
  vector: 'A model of the motor',
} as const
export const loadTypes = { constant: 'Constant torque, a machine', variable: 'A fan or a pump' } as const
export const modulations = { fuller: 'The fuller way', plain: 'The plain way' } as const
export const motorTunes = {
  none: 'Not tuned',
  standing: 'Standing',
  turning: 'Turning, with the belt off',
} as const
export const overloadCoolings = {
  'shaft-fan': 'A fan on the shaft',
  blower: 'A blower of its own',
  off: 'Nothing: it is off',
} as const
export const thermistorInputs = { off: 'Off', trips: 'Trips' } as const
export const powerOnModes = {
  terminals: 'Its terminals',
  keypad: 'Its keypad',
  'as-left': 'What it obeyed last',
} as const
export const knobZeros = { lowest: 'Turns at the lowest', stands: 'Stands still, RUN on' } as const
export const directionLocks = { both: 'Both', forward: 'Forward only' } as const
export const reverseChanges = { standstill: 'Only from standstill', ramp: 'Through its ramp, at once' } as const
export const tripResets = { waits: 'Waits for somebody', itself: 'Clears it and runs on' } as const
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
export const relayTasksInDrive = {
  nothing: 'Never',
  fault: 'While there is a trip',
  running: 'While it runs',
  'at-speed': 'When it is up to speed',
  'below-hertz': 'Below some hertz',
  brake: 'To free a brake',
} as const
export const driveFans = { always: 'Always', running: 'While it runs', heat: 'When it is warm' } as const
export const displayContents = { hertz: 'Hertz', amps: 'Amps', scaled: 'A number of yours' } as const
export const busRates = {
  '4800': '4800',
  '9600': '9600',
  '19200': '19 200',
  '38400': '38 400',
  '57600': '57 600',
} as const
export const busFramings = { '8N1': '8 N 1', '8N2': '8 N 2', '8E1': '8 E 1', '8O1': '8 O 1' } as const
export const busLosses = { stops: 'Stops and trips', warns: 'Warns and runs on', nothing: 'Nothing' } as const

const hertzField = (id: SettingId, least: number) => quantity('frequency', settingNames[id], least, 1500)
const secondsField = (id: SettingId, most = 600) => quantity('time', settingNames[id], 0, most)
const voltsField = (id: SettingId, least: number) => quantity('voltage', settingNames[id], least, 725)
const ampsField = (id: SettingId, least = 0.05) => quantity('current', settingNames[id], least, 500)
const shareField = (id: SettingId, most: number) => quantity('fraction', settingNames[id], 0, most)
const choiceField = <const O extends Readonly<Record<string, string>>>(id: SettingId, options: O) =>
  choice(settingNames[id], options)

/** Settings of any drive under neutral names, each optional; used for what a drive was found to hold and what is chosen otherwise. */
export const settingFields = {
  mainsHertz: choiceField('mainsHertz', mainsHertzChoices),
  ratedVoltageV: voltsField('ratedVoltageV', 10),
  ratedCurrentA: ampsField('ratedCurrentA'),
  baseFrequencyHz: hertzField('baseFrequencyHz', 5),
  ratedSpeedRpm: quantity('speed', settingNames.ratedSpeedRpm, 50, 90_000),
  motorPoles: count(settingNames.motorPoles, 2, 24),
  ratedPowerW: quantity('power', settingNames.ratedPowerW, 20, 110_000),
  controlMode: choiceField('controlMode', controlModes),
  loadType: choiceField('loadType', loadTypes),
  minimumHz: hertzField('minimumHz', 0),
  maximumHz: hertzField('maximumHz', 1),
  armatureV: voltsField('armatureV', 5),
  fieldA: ampsField('fieldA', 0.005),
  leastSpeedRpm: quantity('speed', settingNames.leastSpeedRpm, 0, 90_000),
  mostSpeedRpm: quantity('speed', settingNames.mostSpeedRpm, 1, 120_000),
  accelerationS: secondsField('accelerationS'),
  decelerationS: secondsField('decelerationS'),
  rampShape: choiceField('rampShape', rampShapes),
  stopMode: choiceField('stopMode', stopModes),
  quickStopS: secondsField('quickStopS'),
  energySaver: choiceField('energySaver', offOn),
  boostV: quantity('voltage', settingNames.boostV, 0.1, 725),
  middleHz: hertzField('middleHz', 0.5),
  middleV: voltsField('middleV', 0.5),
  irCompensation: shareField('irCompensation', 1),
  slipCompensation: choiceField('slipCompensation', offOn),
  modulation: choiceField('modulation', modulations),
  carrierHz: quantity('frequency', settingNames.carrierHz, 500, 20_000),
  motorTune: choiceField('motorTune', motorTunes),
  overloadA: ampsField('overloadA'),
  overloadCooling: choiceField('overloadCooling', overloadCoolings),
  currentLimitA: ampsField('currentLimitA'),
  fieldLossA: ampsField('fieldLossA', 0.005),
  thermistorInput: choiceField('thermistorInput', thermistorInputs),
  overVoltage: choiceField('overVoltage', overVoltages),
  commandSource: choiceField('commandSource', commandSources),
  referenceSource: choiceField('referenceSource', referenceSources),
  powerOnMode: choiceField('powerOnMode', powerOnModes),
  knobMode: choiceField('knobMode', knobModes),
  referenceGain: quantity('fraction', settingNames.referenceGain, 0.05, 5),
  referenceOffset: quantity('fraction', settingNames.referenceOffset, -1, 1),
  referenceInvert: choiceField('referenceInvert', offOn),
  knobZero: choiceField('knobZero', knobZeros),
  directionLock: choiceField('directionLock', directionLocks),
  reverseChange: choiceField('reverseChange', reverseChanges),
  startSpeed: choiceField('startSpeed', startSpeeds),
  fixedStartHz: hertzField('fixedStartHz', 0),
  restart: choiceField('restart', restartModes),
  tripReset: choiceField('tripReset', tripResets),
  turningStart: choiceField('turningStart', turningStarts),
  rideThrough: choiceField('rideThrough', rideThroughs),
  runTimer: choiceField('runTimer', offOn),
  sleepWake: choiceField('sleepWake', offOn),
  jogMemory: choiceField('jogMemory', offOn),
  relayTask: choiceField('relayTask', relayTasksInDrive),
  relayHz: hertzField('relayHz', 0),
  relayBackHz: hertzField('relayBackHz', 0),
  driveFan: choiceField('driveFan', driveFans),
  chopper: choiceField('chopper', offOn),
  chopperDuty: shareField('chopperDuty', 1),
  dcStartS: secondsField('dcStartS', 60),
  dcStopS: secondsField('dcStopS', 60),
  dcA: quantity('current', settingNames.dcA, 0, 500),
  skipHz: hertzField('skipHz', 0.5),
  skipBandHz: quantity('frequency', settingNames.skipBandHz, 0.1, 100),
  jogHz: hertzField('jogHz', 0),
  jogStopS: secondsField('jogStopS'),
  preset1Hz: hertzField('preset1Hz', 0),
  preset2Hz: hertzField('preset2Hz', 0),
  preset3Hz: hertzField('preset3Hz', 0),
  preset4Hz: hertzField('preset4Hz', 0),
  displayShows: choiceField('displayShows', displayContents),
  displayScale: quantity('number', settingNames.displayScale, 0.001, 1000),
  busAddress: count(settingNames.busAddress, 1, 247),
  busRate: choiceField('busRate', busRates),
  busFraming: choiceField('busFraming', busFramings),
  busLossS: secondsField('busLossS', 120),
  busLossDoes: choiceField('busLossDoes', busLosses),
  keypadLock: choiceField('keypadLock', offOn),
} as const satisfies Record<SettingId, unknown>

export { settingIds, type SettingId } from '../stages/settingTable'

export const driveStates = {
  'as-arrived': 'As it came, nothing entered',
  'second-hand': 'Someone’s old settings',
  reset: 'Factory reset, nothing entered',
  entered: 'This card, entered',
} as const

export const entryAnswers = {
  entered: 'Entered',
  refused: 'Refused',
  later: 'Left for later',
} as const

/** What became of one line of the card. */
export const entrySchema = z.strictObject({
  answer: choice('It was', entryAnswers),
  /** As the drive writes it. */
  value: words('Value entered', 40),
  said: words('The drive said', 120),
  /** Read back as the drive writes it; kept as it was read where it means nothing to the manual. */
  readBack: words('Read back', 40),
  on: text(10).optional().meta({ label: 'On' }),
})
export type EntryRecord = z.output<typeof entrySchema>

const MOST_ENTRIES = 400

/** A grade of a ramp that counts without a unit, timed from standstill to the highest hertz. */
export const timedGradeSchema = z.strictObject({
  grade: z.number().min(0).max(1000).meta({ label: 'Grade', dimension: 'number' }),
  seconds: z.number().min(0.1).max(600).meta({ label: 'Seconds to the highest hertz', dimension: 'time' }),
})

/** `chosen` replaces what would be derived; `inDrive` is what the drive was read to hold, ramps as the drive counts them. */
export const settingsSchema = z.strictObject({
  state: choice('The drive now holds', driveStates),
  rampMeans: choice('Its ramps count', rampMeanings, 'By its manual, or by timing one ramp to two speeds'),
  grades: z.array(timedGradeSchema).max(20).optional().meta({ label: 'Grades timed' }),
  chosen: z.strictObject({
    ...settingFields,
    minimumHz: on('speeds', settingFields.minimumHz),
    maximumHz: on('speeds', settingFields.maximumHz),
    leastSpeedRpm: on('speeds', settingFields.leastSpeedRpm),
    mostSpeedRpm: on('speeds', settingFields.mostSpeedRpm),
  }),
  inDrive: z.strictObject(settingFields),
  /** Where the probe found that the drive listens to its own keypad though its settings name the terminals. */
  keyState: choice('A key holds it at', { terminals: 'Its terminals', keypad: 'Its keypad' }),
  /** By the drive's codes; where no manual names one, by the setting. */
  entered: keyed(entrySchema, MOST_ENTRIES).optional().meta({ label: 'What became of each line' }),
  asFound: keyed(text(40), MOST_ENTRIES).optional().meta({ label: 'As it was found' }),
  why: keyed(text(200), MOST_ENTRIES).optional().meta({ label: 'Why each was changed' }),
  probe: keyed(text(40), 60).optional().meta({ label: 'What was tried on it' }),
  /** Trim potentiometers, by their ids, in hours of the clock as the slot points. */
  trims: keyed(z.number().min(0).max(12), 16).optional().meta({ label: 'Trims set' }),
})

/** Of the settings what was found on one drive alone, and means nothing for another. */
export const ofOneDrive = ['entered', 'asFound', 'why', 'probe', 'keyState', 'trims', 'grades'] as const
