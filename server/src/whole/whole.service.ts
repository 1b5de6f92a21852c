import { randomUUID } from 'node:crypto'
import { Inject, Injectable } from '@nestjs/common'
import { conversionFile } from '@zesty/core'
import { photoFile, readWhole, WHOLE_DOCUMENT, WHOLE_FORMAT, type Whole } from '@zesty/core/formats'
import { and, asc, eq, or } from 'drizzle-orm'
import { zipSync, type Zippable } from 'fflate'
import type { Asker } from '../access/who'
import { ConversionsService } from '../conversions/conversions.service'
import { isMissingShop } from '../conversions/isMissingShop'
import { readStored, unreadable } from '../conversions/storedPlan'
import { DATABASE, type Database } from '../db/database'
import { conversions, entries, photos, revisions } from '../db/schema'
import { insertMeasurements, readingsOf } from '../measurements/storedMeasurements'
import { insertPhotos, pagesOf, photosOf } from '../photos/storedPhotos'
import { badInput, notFound } from '../problems/problem'
import { insertLog, logOf, withoutId } from '../record/storedLog'
import { filesOfZip } from './zip'

/** JPEGs do not get smaller, and a document does: by how much of nine it is tried. */
const STORED = 0
const PACKED = 6
/** Rows that go in one statement. */
const AT_ONCE = 500

/** One conversion as a ZIP, and back: plan, every revision, ticks, readings, log and photos. */
@Injectable()
export class WholeService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    private readonly conversions: ConversionsService,
  ) {}

  async zip(id: string): Promise<{ name: string; bytes: Uint8Array }> {
    const [row] = await this.db.select().from(conversions).where(eq(conversions.id, id))
    if (!row) throw notFound('conversion')
    const read = readStored(row.plan)
    if (!read.ok) throw unreadable(read.faults)
    const plan = read.value
    const kept = await this.db
      .select()
      .from(revisions)
      .where(eq(revisions.conversionId, id))
      .orderBy(asc(revisions.revision))
    const changes = await this.db.select().from(entries).where(eq(entries.conversionId, id)).orderBy(asc(entries.at))
    const pages = and(pagesOf(row.shopId), eq(photos.subject, plan.manual?.name ?? ''))
    const pictures = await photosOf(this.db, or(eq(photos.conversionId, id), pages))
    const log = (await logOf(this.db, id)).map(withoutId)
    const whole: Whole = {
      format: WHOLE_FORMAT,
      version: 1,
      conversion: conversionFile(plan, await readingsOf(this.db, id), [], log),
      revision: row.revision,
      createdAt: row.createdAt.toISOString(),
      savedAt: row.savedAt.toISOString(),
      revisions: kept.map(({ revision, plan: document, origin, by, name, begunAt, savedAt }) => ({
        revision,
        plan: document,
        origin,
        ...(by === null ? {} : { by }),
        ...(name === null ? {} : { name }),
        begunAt: begunAt.toISOString(),
        savedAt: savedAt.toISOString(),
      })),
      entries: changes.map(({ path, value, reason, by, at }) => ({
        path,
        ...(value === null ? {} : { value }),
        ...(reason === null ? {} : { reason }),
        ...(by === null ? {} : { by }),
        at: at.toISOString(),
      })),
      photos: pictures.map(({ of, subject, note, widthPx, heightPx, takenAt, by }, i) => ({
        of,
        subject,
        note,
        widthPx,
        heightPx,
        takenAt,
        by,
        file: photoFile(i),
      })),
    }
    const files: Zippable = {
      [WHOLE_DOCUMENT]: [new TextEncoder().encode(JSON.stringify(whole)), { level: PACKED }],
    }
    pictures.forEach(({ jpeg }, i) => {
      files[photoFile(i)] = [Buffer.from(jpeg, 'base64'), { level: STORED }]
    })
    return { name: plan.name, bytes: zipSync(files) }
  }

  /** Takes a ZIP in whole, or refuses it with every fault. */
  async take(shopId: string, zip: unknown, by: Asker) {
    if (!Buffer.isBuffer(zip)) throw badInput([{ field: '', message: 'must be a ZIP' }], 422)
    const read = readWhole(filesOfZip(zip))
    if (!read.ok) throw badInput(read.faults, 422)
    const { whole, photos: pictures } = read.value
    const { plan, measurements = [], log = [] } = whole.conversion
    const id = await this.db.transaction(async (tx) => {
      const [row] = await tx
        .insert(conversions)
        .values({
          shopId,
          plan,
          revision: whole.revision,
          createdAt: new Date(whole.createdAt),
          savedAt: new Date(whole.savedAt),
        })
        .returning({ id: conversions.id })
        .catch((error: unknown) => {
          throw isMissingShop(error) ? notFound('shop') : error
        })
      if (!row) throw new Error('insert returned nothing')
      for (const some of parts(whole.revisions))
        await tx.insert(revisions).values(
          some.map(({ begunAt, savedAt, ...revision }) => ({
            ...revision,
            conversionId: row.id,
            begunAt: new Date(begunAt),
            savedAt: new Date(savedAt),
          })),
        )
      for (const some of parts(whole.entries))
        await tx.insert(entries).values(
          some.map(({ at, value, ...entry }) => ({
            ...entry,
            value: value ?? null,
            conversionId: row.id,
            at: new Date(at),
          })),
        )
      if (measurements.length > 0) await insertMeasurements(tx, row.id, measurements)
      await insertLog(
        tx,
        row.id,
        log.map((entry) => ({ ...entry, id: randomUUID() })),
      )
      await insertPhotos(
        tx,
        { conversionId: row.id, shopId },
        whole.photos.map(({ of, subject, note, widthPx, heightPx, takenAt, by: who }, i) => ({
          of,
          subject,
          note,
          widthPx,
          heightPx,
          takenAt,
          by: who ?? by.name,
          jpeg: Buffer.from(pictures[i] ?? new Uint8Array()).toString('base64'),
        })),
      )
      return row.id
    })
    return this.conversions.answer(id)
  }
}

function* parts<T>(all: readonly T[]): Generator<T[]> {
  for (let i = 0; i < all.length; i += AT_ONCE) yield all.slice(i, i + AT_ONCE)
}
