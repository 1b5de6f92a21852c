import { MOST_ENTRIES, type CarriedEntry, type LogEntry } from '@zesty/core/record'
import { asc, eq } from 'drizzle-orm'
import type { Database } from '../db/database'
import { logEntries } from '../db/schema'

/** The log of one conversion, in the order of time, without what nobody said. */
export async function logOf(db: Database, conversionId: string): Promise<LogEntry[]> {
  const rows = await db
    .select()
    .from(logEntries)
    .where(eq(logEntries.conversionId, conversionId))
    .orderBy(asc(logEntries.at), asc(logEntries.id))
  return rows.map(({ id, kind, at, text, symptom, code, task, price, hz, positionId, by }) => ({
    id,
    kind,
    ...(text === null ? {} : { text }),
    ...(symptom === null ? {} : { symptom }),
    ...(code === null ? {} : { code }),
    ...(task === null ? {} : { task }),
    ...(price === null ? {} : { price }),
    ...(hz === null ? {} : { hz }),
    ...(positionId === null ? {} : { positionId }),
    ...(by === null ? {} : { by }),
    at: at.toISOString(),
  }))
}

/** Rows that go in one statement: more make it long. */
const AT_ONCE = 500

/** Keeps lines, each once, however often they are sent. */
export async function insertLog(
  db: Pick<Database, 'insert'>,
  conversionId: string,
  entries: readonly LogEntry[],
): Promise<void> {
  for (let i = 0; i < Math.min(entries.length, MOST_ENTRIES); i += AT_ONCE)
    await db
      .insert(logEntries)
      .values(entries.slice(i, i + AT_ONCE).map(({ at, ...entry }) => ({ ...entry, conversionId, at: new Date(at) })))
      .onConflictDoNothing()
}

/** An id is of this database only. */
export function withoutId(entry: LogEntry): CarriedEntry {
  const carried: Partial<LogEntry> = { ...entry }
  delete carried.id
  return carried as CarriedEntry
}
