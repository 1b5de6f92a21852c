import { isDeepStrictEqual } from 'node:util'
import { Inject, Injectable } from '@nestjs/common'
import {
  conversionFile,
  CONVERSION_FORMAT,
  emptyPlan,
  evaluate,
  PLAN_VERSION,
  readConversionFile,
  readPlan,
  type Plan,
} from '@zesty/core'
import { type NewConversion, type UnreadSave } from '@zesty/core/http'
import { type Fault, type Outcome } from '@zesty/core/rules'
import { and, asc, desc, eq } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { conversions, revisions } from '../db/schema'
import { badInput, notFound, Problem } from '../problems/problem'

const columns = {
  id: conversions.id,
  shopId: conversions.shopId,
  revision: conversions.revision,
  plan: conversions.plan,
  savedAt: conversions.savedAt,
}

type Row = { id: string; shopId: string; revision: number; plan: unknown; savedAt: Date }
export type Conversion = Omit<Row, 'plan'> & { plan: Plan }

/** Only validated plans are stored, so one of this release's version is what it says; older ones are upgraded. */
const readStored = (plan: unknown): Outcome<Plan> => (isCurrent(plan) ? { ok: true, value: plan } : readPlan(plan))

/** A plan that cannot be brought up to date is told so, and can still be had as it is stored. */
const unreadable = (faults: Fault[]): Problem =>
  new Problem(422, `${saysUnreadable(faults)} It can be exported as it is stored.`, { title: 'Cannot be read', faults })

const saysUnreadable = ([first]: readonly Fault[]): string =>
  `The stored plan cannot be read by this release${first ? `: ${first.field} ${first.message}` : ''}.`

function opened(row: Row): Conversion {
  const read = readStored(row.plan)
  if (!read.ok) throw unreadable(read.faults)
  return { ...row, plan: read.value }
}

const isCurrent = (plan: unknown): plan is Plan =>
  typeof plan === 'object' && plan !== null && 'schemaVersion' in plan && plan.schemaVersion === PLAN_VERSION

/** What a plan that cannot be read calls its machine, if it does. */
const nameOf = (plan: unknown): string => {
  const name: unknown = typeof plan === 'object' && plan !== null ? Reflect.get(plan, 'name') : undefined
  return typeof name === 'string' && name !== '' ? name : 'A machine without a name'
}

@Injectable()
export class ConversionsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** The machines of a shop with what the shop screen shows of each. */
  async list(shopId: string) {
    const rows = await this.db
      .select(columns)
      .from(conversions)
      .where(eq(conversions.shopId, shopId))
      .orderBy(asc(conversions.createdAt), asc(conversions.id))
    return rows.map(({ id, revision, savedAt, plan: stored }) => {
      const read = readStored(stored)
      if (!read.ok) return { id, revision, savedAt, name: nameOf(stored), unreadable: saysUnreadable(read.faults) }
      const plan = read.value
      const { chain, stages, findings, next, figures } = evaluate(plan)
      return {
        id,
        revision,
        savedAt,
        name: plan.name,
        machineKind: plan.survey.machineKind,
        powerW: plan.motor.powerW,
        inputA: figures['drive.inputA']?.value,
        branchCircuitId: plan.supply.branchCircuitId,
        chain,
        stages,
        stops: findings.filter((f) => f.severity === 'stop').length,
        watches: findings.filter((f) => f.severity === 'watch').length,
        next,
      }
    })
  }

  async find(id: string): Promise<Conversion> {
    return opened(await this.stored(id))
  }

  private async stored(id: string): Promise<Row> {
    const [row] = await this.db.select(columns).from(conversions).where(eq(conversions.id, id))
    if (!row) throw notFound('conversion')
    return row
  }

  create(shopId: string, { name, machineKind }: NewConversion): Promise<Conversion> {
    const plan = emptyPlan(name)
    if (machineKind !== undefined) plan.survey.machineKind = machineKind
    return this.insert(shopId, plan, 'begun')
  }

  /** Takes in a conversion file whole, or refuses it with every fault. */
  importFile(shopId: string, document: unknown): Promise<Conversion> {
    const read = readConversionFile(document)
    if (!read.ok) throw badInput(read.faults, 422)
    return this.insert(shopId, read.value, 'imported')
  }

  async insert(shopId: string, plan: Plan, origin: string): Promise<Conversion> {
    return this.db.transaction(async (tx) => {
      const [row] = await tx
        .insert(conversions)
        .values({ shopId, plan })
        .returning(columns)
        .catch((error: unknown) => {
          throw isMissingShop(error) ? notFound('shop') : error
        })
      if (!row) throw new Error('insert returned nothing')
      await tx.insert(revisions).values({ conversionId: row.id, revision: row.revision, plan, origin })
      return opened(row)
    })
  }

  async exportFile(id: string) {
    const { plan } = await this.stored(id)
    const read = readStored(plan)
    return read.ok ? conversionFile(read.value) : { format: CONVERSION_FORMAT, plan }
  }

  async evaluation(id: string) {
    return (await this.judged(id)).evaluation
  }

  /** One revision with its verdicts: asked for apart, a save between could part them. */
  async judged(id: string) {
    const conversion = await this.find(id)
    return { conversion, evaluation: evaluate(conversion.plan) }
  }

  save(id: string, { baseRevision, plan }: UnreadSave): Promise<Conversion> {
    const read = readPlan(plan)
    if (!read.ok) throw badInput(read.faults.map((f) => ({ ...f, field: f.field === '' ? 'plan' : `plan.${f.field}` })))
    return this.write(id, baseRevision, read.value, 'edited')
  }

  async restore(id: string, revision: number, baseRevision: number): Promise<Conversion> {
    const { plan } = await this.revision(id, revision)
    return this.write(id, baseRevision, plan, `restored from ${revision}`)
  }

  /** One step forward from `baseRevision`; refused with both sides where someone else stepped first. */
  private async write(id: string, baseRevision: number, plan: Plan, origin: string): Promise<Conversion> {
    const written = await this.db.transaction(async (tx) => {
      const [row] = await tx
        .update(conversions)
        .set({ plan, revision: baseRevision + 1, savedAt: new Date() })
        .where(and(eq(conversions.id, id), eq(conversions.revision, baseRevision)))
        .returning(columns)
      if (row)
        await tx
          .insert(revisions)
          .values({ conversionId: id, revision: row.revision, plan, origin, savedAt: row.savedAt })
      return row
    })
    if (written) return opened(written)
    const current = await this.find(id)
    // The same save sent twice, its first answer lost on the way, is no conflict.
    if (current.revision === baseRevision + 1 && isDeepStrictEqual(current.plan, plan)) return current
    throw new Problem(
      409,
      `This plan was changed elsewhere: it is at revision ${current.revision}, your change was made to ${baseRevision}.`,
      { yours: { baseRevision, plan }, theirs: current },
    )
  }

  async revisions(id: string) {
    await this.stored(id)
    return this.db
      .select({ revision: revisions.revision, origin: revisions.origin, savedAt: revisions.savedAt })
      .from(revisions)
      .where(eq(revisions.conversionId, id))
      .orderBy(desc(revisions.revision))
      .limit(200)
  }

  async revision(id: string, revision: number) {
    const [row] = await this.db
      .select()
      .from(revisions)
      .where(and(eq(revisions.conversionId, id), eq(revisions.revision, revision)))
    if (!row) throw notFound('revision')
    const read = readPlan(row.plan)
    if (!read.ok) throw unreadable(read.faults)
    return { revision: row.revision, origin: row.origin, savedAt: row.savedAt, plan: read.value }
  }

  async remove(id: string): Promise<void> {
    const removed = await this.db.delete(conversions).where(eq(conversions.id, id)).returning({ id: conversions.id })
    if (removed.length === 0) throw notFound('conversion')
  }
}

const FOREIGN_KEY_VIOLATION = '23503'

const isMissingShop = (error: unknown): boolean =>
  error instanceof Error && (('code' in error && error.code === FOREIGN_KEY_VIOLATION) || isMissingShop(error.cause))
