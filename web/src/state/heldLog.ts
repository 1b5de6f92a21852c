import { logEntrySchema, type LogEntry } from '@zesty/core/record'
import { heldRows } from './heldRows'

/** Lines of logs that the server has not got yet. */
export const heldLog = heldRows<LogEntry>('zesty.log.', logEntrySchema)
