import { Inject, Injectable } from '@nestjs/common'
import { MOST_PHOTO_BYTES, type KeptPhoto, type NewPhoto, type PhotoNote } from '@zesty/core/http'
import { and, eq, sql, type SQL } from 'drizzle-orm'
import { namedFor, type Asker } from '../access/who'
import { shopOf } from '../conversions/conversionMustExist'
import { DATABASE, type Database } from '../db/database'
import { photos } from '../db/schema'
import { badInput, notFound, Problem } from '../problems/problem'
import { insertPhotos, listPhotos, ofMachine, pagesOf } from './storedPhotos'

function mayChangePages({ rights }: Asker): void {
  if (rights !== 'all')
    throw new Problem(403, 'Pages of manuals are the shop’s: they are changed where everything may be changed.')
}

/** What was photographed at a machine, and the pages of manuals that a shop keeps. */
@Injectable()
export class PhotosService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(conversionId: string): Promise<KeptPhoto[]> {
    return listPhotos(this.db, ofMachine(conversionId, await shopOf(this.db, conversionId)))
  }

  listOfShop(shopId: string): Promise<KeptPhoto[]> {
    return listPhotos(this.db, pagesOf(shopId))
  }

  async content(conversionId: string, id: string): Promise<Buffer> {
    return this.jpegWhere(and(eq(photos.id, id), ofMachine(conversionId, await shopOf(this.db, conversionId))))
  }

  contentOfShop(shopId: string, id: string): Promise<Buffer> {
    return this.jpegWhere(and(eq(photos.id, id), pagesOf(shopId)))
  }

  async add(conversionId: string, sent: NewPhoto, by: Asker): Promise<KeptPhoto> {
    if (sent.of === 'manual') mayChangePages(by)
    const shopId = await shopOf(this.db, conversionId)
    const owner = sent.of === 'manual' ? pagesOf(shopId) : eq(photos.conversionId, conversionId)
    const [there] = await this.db
      .select({ bytes: sql<number>`coalesce(sum(length(${photos.jpeg})), 0)::float8` })
      .from(photos)
      .where(owner)
    if ((there?.bytes ?? 0) + Buffer.byteLength(sent.jpeg, 'base64') > MOST_PHOTO_BYTES)
      throw badInput(
        [
          {
            field: 'jpeg',
            message: `is too much: ${sent.of === 'manual' ? 'the pages of a shop’s manuals' : 'the photos of a machine'} may have ${MOST_PHOTO_BYTES / 1e6} MB together. Take some away first`,
          },
        ],
        422,
      )
    await insertPhotos(this.db, { conversionId, shopId }, [{ ...sent, by: namedFor(by, sent.by) }])
    const [kept] = await listPhotos(this.db, and(eq(photos.id, sent.id), ofMachine(conversionId, shopId)))
    // An id that is another machine's already.
    if (!kept) throw badInput([{ field: 'id', message: 'is the id of another photo' }], 422)
    return kept
  }

  async note(conversionId: string, id: string, { note }: PhotoNote, by: Asker): Promise<void> {
    await this.mayChange(conversionId, id, by)
    const changed = await this.db
      .update(photos)
      .set({ note: note.trim() === '' ? null : note.trim() })
      .where(and(eq(photos.id, id), ofMachine(conversionId, await shopOf(this.db, conversionId))))
      .returning({ id: photos.id })
    if (changed.length === 0) throw notFound('photo')
  }

  async remove(conversionId: string, id: string, by: Asker): Promise<void> {
    await this.mayChange(conversionId, id, by)
    const removed = await this.db
      .delete(photos)
      .where(and(eq(photos.id, id), ofMachine(conversionId, await shopOf(this.db, conversionId))))
      .returning({ id: photos.id })
    if (removed.length === 0) throw notFound('photo')
  }

  /** A machine's own photos may be changed by whoever measures there; pages of manuals are the shop's. */
  private async mayChange(conversionId: string, id: string, by: Asker): Promise<void> {
    if (by.rights === 'all') return
    const [page] = await this.db
      .select({ id: photos.id })
      .from(photos)
      .where(and(eq(photos.id, id), pagesOf(await shopOf(this.db, conversionId))))
    if (page) mayChangePages(by)
  }

  private async jpegWhere(where: SQL | undefined): Promise<Buffer> {
    const [row] = await this.db.select({ jpeg: photos.jpeg }).from(photos).where(where)
    if (!row) throw notFound('photo')
    return row.jpeg
  }
}
