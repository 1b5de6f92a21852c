import { z } from 'zod'
import { logEntrySchema, MOST_ENTRIES } from '../log/logEntry'

/** Lines of a log as they are sent. Each has an id and is kept once, however often it is sent. */
export const newLogEntriesSchema = z.strictObject({ entries: z.array(logEntrySchema).min(1).max(MOST_ENTRIES) })

export type NewLogEntries = z.output<typeof newLogEntriesSchema>
