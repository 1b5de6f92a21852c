import { setInterval } from 'node:timers'
import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common'
import { sql } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { databaseTrouble } from '../db/databaseTrouble'
import { faultInWords } from '../problems/faultInWords'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS

/**
 * Takes away edits that others followed: of a day that is not over the last of each minute stays, of every earlier one
 * the last of each hour. What has a name, began, came in or was restored stays. Returns how many went.
 */
export async function thinRevisions(db: Database, now = new Date()): Promise<number> {
  const { rowCount } = await db.execute(sql`
    delete from revisions using (
      select conversion_id, revision, row_number() over (
        partition by conversion_id, "by", saved_at < ${new Date(now.getTime() - DAY_MS)},
          date_trunc(case when saved_at < ${new Date(now.getTime() - DAY_MS)} then 'hour' else 'minute' end, saved_at, 'UTC')
        order by revision desc
      ) as newer
      from revisions where origin = 'edited' and name is null
    ) as ranked
    where ranked.newer > 1
      and revisions.conversion_id = ranked.conversion_id and revisions.revision = ranked.revision`)
  return rowCount ?? 0
}

/** Thins as the server begins, and every hour. */
@Injectable()
export class Thinning implements OnApplicationBootstrap, OnApplicationShutdown {
  private timer: NodeJS.Timeout | undefined

  constructor(@Inject(DATABASE) private readonly db: Database) {}

  onApplicationBootstrap(): void {
    const thin = () =>
      void thinRevisions(this.db).catch((error: unknown) =>
        new Logger(Thinning.name).warn(`Revisions were not thinned. ${databaseTrouble(error) ?? faultInWords(error)}`),
      )
    thin()
    this.timer = setInterval(thin, HOUR_MS).unref()
  }

  onApplicationShutdown(): void {
    clearInterval(this.timer)
  }
}
