import { setImmediate } from 'node:timers/promises'
import { Inject, Injectable } from '@nestjs/common'
import { planDifference, readPlan } from '@zesty/core'
import type { RevisionLine } from '@zesty/core/http'
import { and, asc, desc, eq, inArray, lt, lte, sql } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { conversions, entries, revisions } from '../db/schema'
import { notFound, Problem } from '../problems/problem'
import type { Paged, RevisionPage } from '../answers/listPage'
import { conversionMustExist } from './conversionMustExist'
import { readStored, unreadable } from './storedPlan'

/** Revisions that go in one answer, the newest first. */
const LISTED = 100

/** How many of the changed things are named; the others are counted. */
const NAMED = 6

type Changed = NonNullable<RevisionLine['changed']>

/** What was kept of a conversion before: its revisions, and every tick and entry by itself. */
@Injectable()
export class RevisionsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Newest first, each with what it changed. */
  async list(id: string, { after }: RevisionPage): Promise<Paged<RevisionLine[]>> {
    await conversionMustExist(this.db, id)
    const rows = await this.db
      .select({
        revision: revisions.revision,
        origin: revisions.origin,
        by: revisions.by,
        name: revisions.name,
        savedAt: revisions.savedAt,
        changed: revisions.changed,
        changedSince: revisions.changedSince,
      })
      .from(revisions)
      .where(and(eq(revisions.conversionId, id), after === undefined ? undefined : lt(revisions.revision, after)))
      .orderBy(desc(revisions.revision))
      // One more, for what the last listed was made from.
      .limit(LISTED + 1)
    const steps = rows.flatMap(({ revision, changed, changedSince }, i): Step[] => {
      const before = rows[i + 1]?.revision
      return before === undefined || (changed && changedSince === before) ? [] : [{ revision, before }]
    })
    const told = await this.tell(id, steps)
    const lines = rows.slice(0, LISTED).map(({ by, name, changed, changedSince, ...row }, i) => {
      const says = told.get(row.revision) ?? (changedSince === rows[i + 1]?.revision ? changed : null)
      return {
        ...row,
        ...(by === null ? {} : { by }),
        ...(name === null ? {} : { name }),
        savedAt: row.savedAt.toISOString(),
        ...(says ? { changed: says } : {}),
      }
    })
    return { rows: lines, next: rows.length > LISTED ? String(lines.at(-1)?.revision) : undefined }
  }

  /** Works out what each of these changed and keeps it: it stays so until another stands before it. */
  private async tell(id: string, steps: readonly Step[]): Promise<Map<number, Changed>> {
    const told = new Map<number, Changed>()
    if (steps.length === 0) return told
    const asked = [...new Set(steps.flatMap(({ revision, before }) => [revision, before]))]
    const rows = await this.db
      .select({ revision: revisions.revision, plan: revisions.plan })
      .from(revisions)
      .where(and(eq(revisions.conversionId, id), inArray(revisions.revision, asked)))
    const plans = new Map(rows.map(({ revision, plan }) => [revision, readStored(plan)]))
    for (const { revision, before } of steps) {
      const [was, is] = [plans.get(before), plans.get(revision)]
      if (!was?.ok || !is?.ok) continue
      const labels = planDifference(was.value, is.value).map(({ label }) => label)
      told.set(revision, { count: labels.length, first: labels.slice(0, NAMED) })
      // Others get their turn.
      await setImmediate()
    }
    const values = steps.flatMap(({ revision, before }) => {
      const changed = told.get(revision)
      return changed ? [sql`(${revision}::integer, ${before}::integer, ${JSON.stringify(changed)}::jsonb)`] : []
    })
    if (values.length > 0)
      await this.db.execute(sql`
        update revisions set changed = told.changed, changed_since = told.before
        from (values ${sql.join(values, sql`, `)}) as told (revision, before, changed)
        where conversion_id = ${id} and revisions.revision = told.revision`)
    return told
  }

  async find(id: string, revision: number) {
    const [row] = await this.db.select().from(revisions).where(isRevision(id, revision))
    if (!row) throw await this.missing(id, revision)
    const read = readPlan(row.plan)
    if (!read.ok) throw unreadable(read.faults)
    return {
      revision: row.revision,
      origin: row.origin,
      savedAt: row.savedAt,
      plan: read.value,
      ...(row.by === null ? {} : { by: row.by }),
      ...(row.name === null ? {} : { name: row.name }),
    }
  }

  /** The conversion as it stood at a moment: the last revision that was saved by then. */
  async findAt(id: string, moment: Date) {
    await conversionMustExist(this.db, id)
    const [row] = await this.db
      .select({ revision: revisions.revision })
      .from(revisions)
      .where(and(eq(revisions.conversionId, id), lte(revisions.savedAt, moment)))
      .orderBy(desc(revisions.revision))
      .limit(1)
    if (!row) throw notFound('revision')
    return this.find(id, row.revision)
  }

  async name(id: string, revision: number, name: string | null): Promise<void> {
    const named = await this.db
      .update(revisions)
      .set({ name })
      .where(isRevision(id, revision))
      .returning({ revision: revisions.revision })
    if (named.length === 0) throw await this.missing(id, revision)
  }

  /** Everything that was ticked or read back, in the order in which it was. */
  async entries(id: string) {
    await conversionMustExist(this.db, id)
    const rows = await this.db
      .select({
        id: entries.id,
        path: entries.path,
        value: entries.value,
        reason: entries.reason,
        by: entries.by,
        at: entries.at,
      })
      .from(entries)
      .where(eq(entries.conversionId, id))
      .orderBy(asc(entries.at), asc(entries.path))
    return rows.map(({ by, value, reason, ...row }) => ({
      ...row,
      ...(reason === null ? {} : { reason }),
      ...(value === null ? {} : { value }),
      ...(by === null ? {} : { by }),
    }))
  }

  /** A number that was never reached, or one that went with the burst of work that it was part of. */
  private async missing(id: string, revision: number): Promise<Problem> {
    const [row] = await this.db.select({ now: conversions.revision }).from(conversions).where(eq(conversions.id, id))
    if (!row) return notFound('conversion')
    return row.now < revision
      ? notFound('revision')
      : new Problem(
          404,
          `Revision ${revision} was not kept by itself: a burst of work is kept once, and after a day one revision an hour.`,
        )
  }
}

/** A revision, and the one that was kept before it. */
interface Step {
  revision: number
  before: number
}

const isRevision = (id: string, revision: number) =>
  and(eq(revisions.conversionId, id), eq(revisions.revision, revision))
