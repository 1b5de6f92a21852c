import { Inject, Injectable } from '@nestjs/common'
import type { UnreadableLine } from '@zesty/core/http'
import { and, asc, eq, inArray, sql } from 'drizzle-orm'
import { cursorOf, isAfter, paged, type ListPage, type Paged } from '../answers/listPage'
import { DATABASE, type Database } from '../db/database'
import { conversions } from '../db/schema'
import { JUDGE, JudgeLost, type Judge } from '../judging/judge'
import { RELEASE } from '../judging/keptVerdicts'
import type { PlanLine } from '../judging/lineOf'
import { readingsText } from '../measurements/storedMeasurements'
import { faultsOfStored, nameOf, readStored, saysUnreadable } from './storedPlan'

/** Machines of a shop that go in one answer. */
const LISTED = 100

/** Plans that are held at a time while many are judged. */
const AT_ONCE = 20

type Line = Partial<PlanLine> | Pick<UnreadableLine, 'name' | 'unreadable'>

/** What a verdict is of: the plan at a revision, and the readings after so many changes. */
interface Judgeable {
  revision: number
  readingsRevision: number
}

interface Judged extends Judgeable {
  savedAt: Date
  line: Line
}

/** The machines of a shop with what the shop screen shows of each, judged once for each revision and release. */
@Injectable()
export class MachineLines {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RELEASE) private readonly release: string,
    @Inject(JUDGE) private readonly judge: Judge,
  ) {}

  async of(shopId: string, page: ListPage): Promise<Paged<object[]>> {
    const found = await this.db
      .select({
        id: conversions.id,
        revision: conversions.revision,
        savedAt: conversions.savedAt,
        readingsRevision: conversions.readingsRevision,
        line: conversions.line,
        lineOf: conversions.lineOf,
        cursor: cursorOf(conversions.createdAt, conversions.id),
      })
      .from(conversions)
      .where(and(eq(conversions.shopId, shopId), isAfter(conversions.createdAt, conversions.id, page)))
      .orderBy(asc(conversions.createdAt), asc(conversions.id))
      .limit(LISTED + 1)
    const { rows, next } = paged(found, LISTED)
    const judged = await this.judged(rows.filter((row) => this.isStale(row)).map(({ id }) => id))
    return {
      next,
      // One that was taken away meanwhile has no line any more.
      rows: rows.flatMap((row) => {
        const { id, revision, savedAt } = row
        if (!this.isStale(row)) return [{ id, revision, savedAt, ...(row.line as Line) }]
        const anew = judged.get(id)
        return anew ? [{ id, revision: anew.revision, savedAt: anew.savedAt, ...anew.line }] : []
      }),
    }
  }

  isStale(row: Judgeable & { lineOf: string | null }): boolean {
    return row.lineOf !== this.stamp(row)
  }

  private stamp({ revision, readingsRevision }: Judgeable): string {
    return `${this.release} ${revision} ${readingsRevision}`
  }

  /** Lines made anew, and kept. */
  async judged(ids: readonly string[]): Promise<Map<string, Judged>> {
    const judged = new Map<string, Judged>()
    for (let i = 0; i < ids.length; i += AT_ONCE) {
      const rows = await this.db
        .select({
          id: conversions.id,
          revision: conversions.revision,
          readingsRevision: conversions.readingsRevision,
          savedAt: conversions.savedAt,
          plan: sql<string>`${conversions.plan}::text`,
          readings: readingsText,
        })
        .from(conversions)
        .where(inArray(conversions.id, ids.slice(i, i + AT_ONCE)))
      for (const { id, plan, readings, ...row } of rows)
        judged.set(id, { ...row, line: await this.lineOf(plan, readings) })
      await this.keep(
        rows.flatMap(({ id }) => {
          const one = judged.get(id)
          return one ? [{ id, ...one }] : []
        }),
      )
    }
    return judged
  }

  private async lineOf(stored: string, readings: string): Promise<Line> {
    const plan: unknown = JSON.parse(stored)
    const read = readStored(plan)
    if (!read.ok) return { name: nameOf(plan), unreadable: saysUnreadable(read.faults) }
    try {
      // One that was brought up to date is another text.
      const { line = '{}' } = await this.judge({
        as: 'line',
        plan: read.value === plan ? stored : JSON.stringify(read.value),
        readings,
      })
      return JSON.parse(line) as Line
    } catch (error) {
      // Of a plan of which nothing was said nothing is kept.
      if (error instanceof JudgeLost) throw error
      return { name: nameOf(plan), unreadable: saysUnreadable(faultsOfStored(plan)) }
    }
  }

  /** Kept only to be quick the next time: that it cannot be is nobody's trouble. */
  private async keep(rows: (Judged & { id: string })[]): Promise<void> {
    if (rows.length === 0) return
    try {
      await this.db.execute(sql`
        update conversions set line = said.line, line_of = said.line_of
        from json_to_recordset(${JSON.stringify(
          rows.map((row) => ({ ...row, line_of: this.stamp(row), readings_revision: row.readingsRevision })),
        )}::json) as said (id uuid, revision int, readings_revision int, line jsonb, line_of text)
        where conversions.id = said.id and conversions.revision = said.revision
          and conversions.readings_revision = said.readings_revision`)
    } catch {
      return
    }
  }
}
