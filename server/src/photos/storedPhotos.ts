import type { CarriedPhoto, KeptPhoto } from '@zesty/core/http'
import { and, asc, eq, isNull, or, type SQL } from 'drizzle-orm'
import type { Database } from '../db/database'
import { photos } from '../db/schema'

/** All but the content, which is asked for apart. */
const told = {
  id: photos.id,
  of: photos.of,
  subject: photos.subject,
  note: photos.note,
  widthPx: photos.widthPx,
  heightPx: photos.heightPx,
  by: photos.by,
  takenAt: photos.takenAt,
}

type Row = Pick<typeof photos.$inferSelect, keyof typeof told>

/** As it is answered, without what nobody said. */
const said = ({ subject, note, by, takenAt, ...row }: Row): KeptPhoto => ({
  ...row,
  ...(subject === null ? {} : { subject }),
  ...(note === null ? {} : { note }),
  ...(by === null ? {} : { by }),
  takenAt: takenAt.toISOString(),
})

/** Pages of manuals that a shop keeps. */
export const pagesOf = (shopId: string): SQL | undefined => and(eq(photos.shopId, shopId), isNull(photos.conversionId))

/** A machine's own photos, and the pages of manuals that its shop keeps. */
export const ofMachine = (conversionId: string, shopId: string): SQL | undefined =>
  or(eq(photos.conversionId, conversionId), pagesOf(shopId))

/** Photos without their content, in the order in which they were taken. */
export async function listPhotos(db: Database, where: SQL | undefined): Promise<KeptPhoto[]> {
  const rows = await db.select(told).from(photos).where(where).orderBy(asc(photos.takenAt), asc(photos.id))
  return rows.map(said)
}

/** The same with their content, as a file takes them along: an id is of this database only. */
export async function photosOf(db: Database, where: SQL | undefined): Promise<CarriedPhoto[]> {
  const rows = await db
    .select({ ...told, jpeg: photos.jpeg })
    .from(photos)
    .where(where)
    .orderBy(asc(photos.takenAt), asc(photos.id))
  return rows.map(({ jpeg, ...row }) => {
    const { of, subject, note, widthPx, heightPx, by, takenAt } = said(row)
    return { of, subject, note, widthPx, heightPx, by, takenAt, jpeg: jpeg.toString('base64') }
  })
}

type SentPhoto = CarriedPhoto & { id?: string | undefined }

/** Keeps photos of a machine, each once; pages of a manual go to its shop. */
export async function insertPhotos(
  db: Pick<Database, 'insert'>,
  { conversionId, shopId }: { conversionId: string; shopId: string },
  sent: readonly SentPhoto[],
): Promise<void> {
  // One at a time: together they could be tens of megabytes in one statement.
  for (const { jpeg, takenAt, ...photo } of sent)
    await db
      .insert(photos)
      .values({
        ...photo,
        shopId,
        conversionId: photo.of === 'manual' ? null : conversionId,
        jpeg: Buffer.from(jpeg, 'base64'),
        takenAt: new Date(takenAt),
      })
      .onConflictDoNothing()
}
