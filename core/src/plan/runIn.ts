import { z } from 'zod'
import { text } from '../rules/text'
import { choice, keyed, quantity } from './field'

/** Whether a thing looked at, heard or felt was as it should be. */
export const seenAnswers = { good: 'As it should be', bad: 'Not as it should be' } as const

/** How a shorter ramp went. */
export const rampOutcomes = {
  good: 'Clean',
  trip: 'The drive tripped',
  squeal: 'The belt squealed',
  slip: 'The belt slipped or walked',
  moved: 'Something on the spindle moved',
} as const

export const witnesses = { stands: 'The marks meet', moved: 'It moved' } as const

/** How far the machine is, by whoever answers for it. */
export const useStates = {
  building: 'Still being made',
  'in-use': 'In use, with loose ends',
  done: 'Done',
} as const

export const rampsTuned = { up: 'Acceleration', down: 'Deceleration' } as const

const rampTrySchema = z.strictObject({
  ramp: choice('Ramp', rampsTuned),
  seconds: quantity('time', 'Tried at', 0.1, 600),
  saw: choice('It went', rampOutcomes),
  on: text(10).optional().meta({ label: 'On' }),
})

/** What was found while it was run in: hold points, what was seen, ramps tried. Amps and seconds are readings beside the plan. */
export const runInSchema = z.strictObject({
  state: choice('The machine is', useStates, 'Done only where no loose end is left'),
  seen: keyed(z.enum(['good', 'bad']), 300)
    .optional()
    .meta({ label: 'Looked at while it was run in' }),
  /** Hold points, by their stage, and the day. */
  passed: keyed(text(10), 100).optional().meta({ label: 'Hold points passed' }),
  witness: keyed(z.enum(['stands', 'moved']), 300)
    .optional()
    .meta({ label: 'Marks across chuck and nose' }),
  tries: z.array(rampTrySchema).max(60).optional().meta({ label: 'Ramps tried' }),
})

export type RampTry = z.output<typeof rampTrySchema>
