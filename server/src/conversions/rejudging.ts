import { setTimeout as wait } from 'node:timers/promises'
import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common'
import { desc, sql } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { databaseTrouble } from '../db/databaseTrouble'
import { onlyHere } from '../db/onlyHere'
import { conversions } from '../db/schema'
import { faultInWords } from '../problems/faultInWords'
import { MachineLines } from './machineLines'

/** Machines that are looked at at a time. */
const BATCH = 50

/** Rest between two batches, so that whoever asks goes before, ms. */
const REST_MS = 100

/** How long a server that begins is left to those who opened it, ms. */
const FIRST_MS = 5000

/**
 * After a release what was said of a machine may be another thing. It is said anew in the background, the machines that
 * were worked on last first, by one server of those on a database.
 */
@Injectable()
export class Rejudging implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly ended = new AbortController()

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    private readonly lines: MachineLines,
  ) {}

  onApplicationBootstrap(): void {
    const { signal } = this.ended
    void wait(FIRST_MS, undefined, { signal, ref: false })
      .then(() => onlyHere(this.db, 'rejudging', () => this.all(signal)))
      .catch((error: unknown) => {
        if (signal.aborted) return
        new Logger(Rejudging.name).warn(
          `Machines were not judged again. ${databaseTrouble(error) ?? faultInWords(error)}`,
        )
      })
  }

  onApplicationShutdown(): void {
    this.ended.abort()
  }

  /** Every machine, the newest first. Returns how many were judged again. */
  async all(signal?: AbortSignal): Promise<number> {
    let judged = 0
    let last: { cursor: string; id: string } | undefined
    for (;;) {
      const rows = await this.db
        .select({
          id: conversions.id,
          revision: conversions.revision,
          readingsRevision: conversions.readingsRevision,
          lineOf: conversions.lineOf,
          cursor: sql<string>`${conversions.savedAt}::text`,
        })
        .from(conversions)
        .where(
          last && sql`(${conversions.savedAt}, ${conversions.id}) < (${last.cursor}::timestamptz, ${last.id}::uuid)`,
        )
        .orderBy(desc(conversions.savedAt), desc(conversions.id))
        .limit(BATCH)
      last = rows.at(-1)
      if (!last) return judged
      const stale = rows.filter((row) => this.lines.isStale(row)).map(({ id }) => id)
      signal?.throwIfAborted()
      if (stale.length === 0) continue
      judged += (await this.lines.judged(stale)).size
      await wait(REST_MS, undefined, { signal, ref: false })
    }
  }
}
