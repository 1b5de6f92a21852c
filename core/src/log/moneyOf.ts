import type { LogEntry } from './logEntry'

/** What was spent by the log. */
export const spent = (log: readonly LogEntry[]): number => log.reduce((sum, { price = 0 }) => sum + price, 0)
