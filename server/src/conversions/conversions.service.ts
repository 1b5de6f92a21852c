import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import { Inject, Injectable } from '@nestjs/common'
import {
  conversionFile,
  CONVERSION_FORMAT,
  copyPlan,
  emptyPlan,
  PLAN_VERSION,
  readChanges,
  readConversionFile,
  readPlan,
  type ConversionRead,
  type Plan,
  type StageId,
} from '@zesty/core'
import type { ChangesSave, NewConversion, Saved, UnreadSave } from '@zesty/core/http'
import { firstFaults } from '@zesty/core/rules'
import { and, eq, or, sql } from 'drizzle-orm'
import { beyondMeasuring } from '../access/measuredPaths'
import type { Asker } from '../access/who'
import { JsonText, withMember } from '../answers/jsonText'
import { DATABASE, type Database } from '../db/database'
import { conversions, photos, revisions } from '../db/schema'
import { badInput, notFound, Problem } from '../problems/problem'
import { insertMeasurements, readingsOf, readingsText } from '../measurements/storedMeasurements'
import { KeptVerdicts, type Opened } from '../judging/keptVerdicts'
import { insertPhotos, pagesOf, photosOf } from '../photos/storedPhotos'
import { insertLog, logOf, withoutId } from '../record/storedLog'
import { RevisionsService } from './revisions.service'
import { isMissingShop } from './isMissingShop'
import { stepForward } from './stepForward'
import { faultsOfStored, readStored, unreadable } from './storedPlan'

const columns = {
  id: conversions.id,
  shopId: conversions.shopId,
  revision: conversions.revision,
  plan: conversions.plan,
  savedAt: conversions.savedAt,
}

const NOTHING_ELSE = { measurements: [], log: [], photos: [] }

type Row = { id: string; shopId: string; revision: number; plan: unknown; savedAt: Date }
export type Conversion = Omit<Row, 'plan'> & { plan: Plan }

/** Within a text of JSON quotation marks are escaped: only a key can look like this. */
const isOfThisRelease = (plan: string): boolean => plan.includes(`"schemaVersion": ${PLAN_VERSION}`)

function opened(row: Row): Conversion {
  const read = readStored(row.plan)
  if (!read.ok) throw unreadable(read.faults)
  return { ...row, plan: read.value }
}

/** Somebody else stepped first: both sides are told. */
const steppedBefore = (baseRevision: number, yours: object, theirs: Conversion): Problem =>
  new Problem(
    409,
    `This plan was changed elsewhere: it is at revision ${theirs.revision}, your change was made to ${baseRevision}.`,
    { yours: { baseRevision, ...yours }, theirs },
  )

const savedOf = ({ id, shopId, revision, savedAt }: Conversion): Saved => ({
  id,
  shopId,
  revision,
  savedAt: savedAt.toISOString(),
})

function mustOnlyMeasure(kept: Plan, plan: Plan): void {
  const beyond = beyondMeasuring(kept, plan)
  if (beyond.length > 0)
    throw new Problem(403, 'This device may look, measure and tick; it may not change what was decided.', {
      faults: firstFaults(
        beyond.map((path) => ({ field: `plan.${path}`, message: 'may not be changed on this device' })),
      ),
    })
}

@Injectable()
export class ConversionsService {
  private readonly byId
  private readonly judgedById

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    private readonly revisions: RevisionsService,
    private readonly verdicts: KeptVerdicts,
  ) {
    const whole = { ...columns, plan: sql<string>`${conversions.plan}::text` }
    this.judgedById = db
      .select({ ...whole, readings: readingsText })
      .from(conversions)
      .where(eq(conversions.id, sql.placeholder('id')))
      .prepare('judged_by_id')
    this.byId = db
      .select(whole)
      .from(conversions)
      .where(eq(conversions.id, sql.placeholder('id')))
      .prepare('conversion_by_id')
  }

  /** As it is answered: the plan goes through as the text that the database gives. */
  async answer(id: string): Promise<JsonText | Conversion> {
    const [row] = await this.byId.execute({ id })
    if (!row) throw notFound('conversion')
    const { plan, ...rest } = row
    return isOfThisRelease(plan) ? withMember(rest, 'plan', plan) : this.find(id)
  }

  async find(id: string): Promise<Conversion> {
    return opened(await this.stored(id))
  }

  private async stored(id: string): Promise<Row> {
    const [row] = await this.db.select(columns).from(conversions).where(eq(conversions.id, id))
    if (!row) throw notFound('conversion')
    return row
  }

  create(shopId: string, { name, machineKind }: NewConversion, by: Asker): Promise<Conversion> {
    const plan = emptyPlan(name)
    if (machineKind !== undefined) plan.survey.machineKind = machineKind
    return this.insert(shopId, plan, 'begun', by)
  }

  /** Takes in a conversion file whole, or refuses it with every fault. */
  importFile(shopId: string, document: unknown, by: Asker): Promise<Conversion> {
    const read = readConversionFile(document)
    if (!read.ok) throw badInput(read.faults, 422)
    return this.insert(shopId, read.value.plan, 'imported', by, read.value)
  }

  /** Another conversion of the same shop, begun from this one. */
  async copy(id: string, by: Asker): Promise<Conversion> {
    const { shopId, plan } = await this.find(id)
    return this.insert(shopId, copyPlan(plan), `begun from ${plan.name}`, by)
  }

  async insert(
    shopId: string,
    plan: Plan,
    origin: string,
    by: Asker,
    { measurements, log, photos }: Pick<ConversionRead, 'measurements' | 'log' | 'photos'> = NOTHING_ELSE,
  ): Promise<Conversion> {
    return this.db.transaction(async (tx) => {
      const [row] = await tx
        .insert(conversions)
        .values({ shopId, plan })
        .returning(columns)
        .catch((error: unknown) => {
          throw isMissingShop(error) ? notFound('shop') : error
        })
      if (!row) throw new Error('insert returned nothing')
      await tx.insert(revisions).values({ conversionId: row.id, revision: row.revision, plan, origin, by: by.name })
      if (measurements.length > 0) await insertMeasurements(tx, row.id, measurements)
      await insertLog(
        tx,
        row.id,
        log.map((entry) => ({ ...entry, id: randomUUID() })),
      )
      await insertPhotos(tx, { conversionId: row.id, shopId }, photos)
      return opened(row)
    })
  }

  async exportFile(id: string) {
    const { plan, shopId } = await this.stored(id)
    const read = readStored(plan)
    const readings = await readingsOf(this.db, id)
    const log = (await logOf(this.db, id)).map(withoutId)
    const manual = read.ok ? read.value.manual?.name : undefined
    const pages = and(pagesOf(shopId), eq(photos.subject, manual ?? ''))
    const carried = await photosOf(this.db, or(eq(photos.conversionId, id), pages))
    return read.ok
      ? conversionFile(read.value, readings, carried, log)
      : {
          format: CONVERSION_FORMAT,
          plan,
          ...(readings.length === 0 ? {} : { measurements: readings }),
          ...(log.length === 0 ? {} : { log }),
          ...(carried.length === 0 ? {} : { photos: carried }),
        }
  }

  async evaluation(id: string): Promise<unknown> {
    const { verdict } = await this.verdictOf(await this.toBeJudged(id), undefined)
    return (JSON.parse(verdict) as { evaluation: unknown }).evaluation
  }

  /** One revision with its verdict, and what a stage shows beside it: asked for apart, a save between could part them. */
  async judged(id: string, stage: StageId | undefined): Promise<JsonText> {
    const row = await this.toBeJudged(id)
    const { revision, savedAt, shopId } = row
    const { verdict, parts } = await this.verdictOf(row, stage)
    const conversion = withMember({ id, shopId, revision, savedAt }, 'plan', row.plan).text
    return new JsonText(
      `{"conversion":${conversion},${verdict.slice(1, -1)}${parts === undefined ? '' : `,"parts":${parts}`}}`,
    )
  }

  /** A conversion with its readings, the plan as text of this release. */
  private async toBeJudged(id: string) {
    const [row] = await this.judgedById.execute({ id })
    if (!row) throw notFound('conversion')
    if (isOfThisRelease(row.plan)) return row
    return { ...row, plan: JSON.stringify(opened({ ...row, plan: JSON.parse(row.plan) as unknown }).plan) }
  }

  private async verdictOf(
    { id, plan, readings }: { id: string; plan: string; readings: string },
    stage: StageId | undefined,
  ): Promise<Opened> {
    try {
      return await this.verdicts.opened(id, plan, readings, stage)
    } catch (error) {
      const faults = faultsOfStored(JSON.parse(plan))
      throw faults.length === 0 ? error : unreadable(faults)
    }
  }

  async save(id: string, { baseRevision, plan }: UnreadSave, by: Asker): Promise<JsonText> {
    const read = readPlan(plan)
    if (!read.ok) throw badInput(read.faults.map((f) => ({ ...f, field: f.field === '' ? 'plan' : `plan.${f.field}` })))
    if (by.rights === 'measure') {
      const kept = await this.find(id)
      // Held against the very revision that it replaces: one that is not there yet may decide something meanwhile.
      if (kept.revision !== baseRevision) return this.steppedTwice(kept, baseRevision, read.value)
      mustOnlyMeasure(kept.plan, read.value)
    }
    return this.write(id, baseRevision, read.value, 'edited', by)
  }

  /** The same of what changed alone: the rest is what is kept at the revision that it was made to. */
  async saveChanges(id: string, { baseRevision, changes }: ChangesSave, by: Asker): Promise<Saved> {
    const kept = await this.find(id)
    const read = readChanges(kept.plan, changes)
    // The same save sent twice, its first answer lost on the way, is no conflict.
    if (kept.revision === baseRevision + 1 && read.ok && isDeepStrictEqual(kept.plan, read.value)) return savedOf(kept)
    if (kept.revision !== baseRevision) throw steppedBefore(baseRevision, { changes }, kept)
    if (!read.ok) throw badInput(read.faults.map((f) => ({ ...f, field: `plan.${f.field}` })))
    if (by.rights === 'measure') mustOnlyMeasure(kept.plan, read.value)
    const savedAt = new Date()
    const step = { id, baseRevision, plan: JSON.stringify(read.value), savedAt, origin: 'edited', by: by.name }
    const shopId = await stepForward(this.db, step)
    if (shopId === undefined) throw steppedBefore(baseRevision, { changes }, await this.find(id))
    return { id, shopId, revision: baseRevision + 1, savedAt: savedAt.toISOString() }
  }

  async restore(id: string, revision: number, baseRevision: number, by: Asker): Promise<JsonText> {
    const { plan } = await this.revisions.find(id, revision)
    return this.write(id, baseRevision, plan, `restored from ${revision}`, by)
  }

  /** One step forward from `baseRevision`; refused with both sides where someone else stepped first. */
  private async write(id: string, baseRevision: number, plan: Plan, origin: string, by: Asker): Promise<JsonText> {
    const text = JSON.stringify(plan)
    const savedAt = new Date()
    const shopId = await stepForward(this.db, { id, baseRevision, plan: text, savedAt, origin, by: by.name })
    if (shopId !== undefined) return withMember({ id, shopId, revision: baseRevision + 1, savedAt }, 'plan', text)
    return this.steppedTwice(await this.find(id), baseRevision, plan)
  }

  /** What is answered where another revision is kept: the same save sent twice, its first answer lost on the way, is no conflict. */
  private steppedTwice(current: Conversion, baseRevision: number, plan: Plan): JsonText {
    const { id, shopId, revision, savedAt } = current
    if (revision !== baseRevision + 1 || !isDeepStrictEqual(current.plan, plan))
      throw steppedBefore(baseRevision, { plan }, current)
    return withMember({ id, shopId, revision, savedAt }, 'plan', JSON.stringify(plan))
  }

  async remove(id: string): Promise<void> {
    const removed = await this.db.delete(conversions).where(eq(conversions.id, id)).returning({ id: conversions.id })
    if (removed.length === 0) throw notFound('conversion')
  }
}
