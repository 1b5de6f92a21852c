import { setInterval } from 'node:timers'
import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common'
import { eq, sql } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { databaseTrouble } from '../db/databaseTrouble'
import { onlyHere } from '../db/onlyHere'
import { marks } from '../db/schema'
import { faultInWords } from '../problems/faultInWords'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS

/** The mark of this database that says until when it has been thinned. */
const THINNED = 'thinned'

/**
 * Takes away edits that others followed: of a day that is not over the last of each minute stays, of every earlier one
 * the last of each hour. What has a name, began, came in or was restored stays. Only what was saved since a day before it
 * was last thinned is looked at: all earlier is thinned as far as it ever will be. Returns how many went.
 */
export async function thinRevisions(db: Database, now = new Date()): Promise<number> {
  const [mark] = await db.select({ value: marks.value }).from(marks).where(eq(marks.name, THINNED))
  const last = mark ? new Date(mark.value) : new Date(0)
  // From the beginning of an hour: of a part of one another would stay.
  const since = new Date(Math.floor(Math.max(0, last.getTime() - DAY_MS) / HOUR_MS) * HOUR_MS)
  const yesterday = new Date(now.getTime() - DAY_MS)
  const { rowCount } = await db.execute(sql`
    delete from revisions using (
      select conversion_id, revision, row_number() over (
        partition by conversion_id, "by", saved_at < ${yesterday},
          date_trunc(case when saved_at < ${yesterday} then 'hour' else 'minute' end, saved_at, 'UTC')
        order by revision desc
      ) as newer
      from revisions where origin = 'edited' and name is null and saved_at >= ${since}
    ) as ranked
    where ranked.newer > 1
      and revisions.conversion_id = ranked.conversion_id and revisions.revision = ranked.revision`)
  await db
    .insert(marks)
    .values({ name: THINNED, value: now.toISOString() })
    .onConflictDoUpdate({ target: marks.name, set: { value: now.toISOString() } })
  return rowCount ?? 0
}

/** Thins as the server begins, and every hour: one server of those on a database. */
@Injectable()
export class Thinning implements OnApplicationBootstrap, OnApplicationShutdown {
  private timer: NodeJS.Timeout | undefined
  private isOver = false

  constructor(@Inject(DATABASE) private readonly db: Database) {}

  onApplicationBootstrap(): void {
    const thin = () =>
      void onlyHere(this.db, THINNED, () => thinRevisions(this.db)).catch((error: unknown) => {
        if (this.isOver) return
        new Logger(Thinning.name).warn(`Revisions were not thinned. ${databaseTrouble(error) ?? faultInWords(error)}`)
      })
    thin()
    this.timer = setInterval(thin, HOUR_MS).unref()
  }

  onApplicationShutdown(): void {
    this.isOver = true
    clearInterval(this.timer)
  }
}
