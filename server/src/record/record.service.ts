import { Inject, Injectable } from '@nestjs/common'
import type { NewLogEntries } from '@zesty/core/http'
import { MOST_ENTRIES, type LogEntry } from '@zesty/core/record'
import { and, count, eq } from 'drizzle-orm'
import { namedFor, type Asker } from '../access/who'
import { conversionMustExist } from '../conversions/conversionMustExist'
import { DATABASE, type Database } from '../db/database'
import { logEntries } from '../db/schema'
import { badInput, notFound } from '../problems/problem'
import { insertLog, logOf } from './storedLog'

/** A machine's log: rows of their own, beside its plan. */
@Injectable()
export class RecordService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(conversionId: string): Promise<LogEntry[]> {
    await conversionMustExist(this.db, conversionId)
    return logOf(this.db, conversionId)
  }

  async add(conversionId: string, { entries }: NewLogEntries, by: Asker): Promise<LogEntry[]> {
    await conversionMustExist(this.db, conversionId)
    const [there] = await this.db
      .select({ count: count() })
      .from(logEntries)
      .where(eq(logEntries.conversionId, conversionId))
    if ((there?.count ?? 0) + entries.length > MOST_ENTRIES)
      throw badInput([{ field: 'entries', message: `A machine’s log keeps at most ${MOST_ENTRIES} lines.` }], 422)
    await insertLog(
      this.db,
      conversionId,
      entries.map((entry) => ({ ...entry, by: namedFor(by, entry.by) })),
    )
    return logOf(this.db, conversionId)
  }

  async remove(conversionId: string, id: string): Promise<void> {
    const removed = await this.db
      .delete(logEntries)
      .where(and(eq(logEntries.conversionId, conversionId), eq(logEntries.id, id)))
      .returning({ id: logEntries.id })
    if (removed.length === 0) throw notFound('log entry')
  }
}
