import { z } from 'zod'
import { registerScales } from '../stages/registerScales'
import { choice, count, id, on, quantity, words, yesNo } from './field'

export const atSpeedSignals = {
  relay: 'The drive’s contact tells it',
  wait: 'It waits by the clock',
  nothing: 'It feeds at once',
} as const

export const directionTrials = {
  right: 'Both turn as they must',
  swapped: 'They are swapped',
  'one-only': 'Only one direction comes',
} as const

export const deadTrials = {
  stops: 'The spindle stops',
  'runs-on': 'The spindle runs on',
} as const

export const restartTrials = {
  nothing: 'Nothing moves',
  starts: 'The spindle starts',
} as const

export const stopChains = {
  both: 'One mushroom drops drive and controller',
  drive: 'It drops the drive alone',
  controller: 'It drops the controller alone',
} as const

export const spindleEncoders = { none: 'None', index: 'One pulse a turn', encoder: 'An encoder' } as const

/** One commanded speed against what a tachometer read. */
const commandReadingSchema = z.strictObject({
  id,
  positionId: z.string().max(40).optional().meta({ label: 'Range' }),
  commandedRpm: quantity('speed', 'Commanded', 1, 120_000),
  rpm: quantity('speed', 'It turned', 0, 120_000),
})

export const MOST_COMMAND_READINGS = 120

/** A spindle whose speed a CNC controller commands. */
export const commandedSchema = z.strictObject({
  readings: z.array(commandReadingSchema).max(MOST_COMMAND_READINGS).optional().meta({ label: 'Commanded and read' }),
  wantedRpm: quantity('speed', 'Speed of the program', 1, 120_000, 'What a program asks of the spindle'),
  atSpeed: on('wiring', choice('It waits for the speed by', atSpeedSignals)),
  directions: on('run-in', choice('Forward and reverse codes', directionTrials)),
  dead: on('run-in', choice('Controller’s lead pulled while it turns', deadTrials)),
  restart: on('run-in', choice('Controller and drive switched off and on', restartTrials)),
  stopChain: on('wiring', choice('Emergency stop', stopChains)),
  encoder: on('wiring', choice('Pulses of the spindle', spindleEncoders)),
  threads: yesNo('It cuts threads or feeds by the turn'),
  rangeChange: yesNo('Programs stop at a change of range', 'A pause, and a note which belt'),
  speedRegister: on('settings', words('Register of the speed', 12, 'As the drive’s manual prints it')),
  commandRegister: on('settings', words('Register of RUN and STOP', 12)),
  stateRegister: on('settings', words('Register of its state', 12)),
  registerScale: on('settings', choice('One step of it is', registerScales)),
  registerMost: on('settings', count('Its highest word', 1, 65_535, 'By its manual')),
})

export type CommandReading = z.output<typeof commandReadingSchema>
