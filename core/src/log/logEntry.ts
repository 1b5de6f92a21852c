import { z } from 'zod'
import { moment } from '../rules/moment'
import { text } from '../rules/text'
import { symptoms, type SymptomId } from './symptoms'

export const logKinds = {
  event: 'What happened',
  symptom: 'Something is wrong',
  trip: 'The drive tripped',
  upkeep: 'Upkeep',
  cost: 'Money spent',
  note: 'A note',
} as const
export type LogKind = keyof typeof logKinds

export const upkeepTasks = {
  belt: 'Belt tension and track',
  bearings: 'Bearings heard and felt',
  fan: 'Drive’s fan and filter blown out',
  terminals: 'Terminals tugged, dead and locked',
  stop: 'Emergency stop tried',
  earth: 'Earth measured',
  grease: 'Spindle oil or grease',
  brushes: 'Brushes and commutator looked at, dust blown out',
  'field-trip': 'Field’s trip tried',
  'spindle-hours': 'Hours of the spindle’s bearings noted, felt by hand',
  water: 'Cooling water: flow measured, tank cleaned',
  homing: 'Limit and homing switches tried by hand',
} as const
export type UpkeepTask = keyof typeof upkeepTasks

/** One line of a machine's log. */
export const logEntrySchema = z.strictObject({
  id: z.uuid(),
  kind: z.enum(Object.keys(logKinds) as [LogKind, ...LogKind[]]),
  text: text(1000).optional(),
  symptom: z.enum(Object.keys(symptoms) as [SymptomId, ...SymptomId[]]).optional(),
  /** A fault code as the drive shows it. */
  code: text(24).optional(),
  task: z.enum(Object.keys(upkeepTasks) as [UpkeepTask, ...UpkeepTask[]]).optional(),
  /** Money, in the shop's own. */
  price: z.number().min(0).max(1e6).optional(),
  hz: z.number().min(0).max(1500).optional(),
  positionId: text(40).optional(),
  by: text(60).optional(),
  at: moment(),
})

/** As a file takes it along: an id is of one database only. */
export const carriedEntrySchema = logEntrySchema.omit({ id: true })

export type LogEntry = z.output<typeof logEntrySchema>

export type CarriedEntry = z.output<typeof carriedEntrySchema>

/** Lines of one machine's log at most. */
export const MOST_ENTRIES = 5000
