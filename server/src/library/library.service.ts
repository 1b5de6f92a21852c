import { Inject, Injectable } from '@nestjs/common'
import { type KeptItem, type LibraryLine, type TakenIn } from '@zesty/core/http'
import { ITEM_VERSION, readItem, type LibraryItem, type StoredItem } from '@zesty/core/library'
import { asc, eq, sql } from 'drizzle-orm'
import { isNameTaken } from '../db/databaseErrors'
import { DATABASE, type Database } from '../db/database'
import { libraryItems } from '../db/schema'
import { notFound, Problem } from '../problems/problem'
import { ShopsService } from '../shops/shops.service'
import { SAMPLES } from './samples'

const columns = {
  id: libraryItems.id,
  kind: libraryItems.kind,
  name: libraryItems.name,
  version: libraryItems.version,
  item: libraryItems.item,
}

const keyOf = ({ kind, name }: Pick<LibraryItem, 'kind' | 'name'>): string => `${kind} ${name}`

@Injectable()
export class LibraryService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(SAMPLES) private readonly samples: readonly LibraryItem[],
    private readonly shops: ShopsService,
  ) {}

  /** Everything of the shop; what cannot be read stays as it is stored, and its line says why. */
  async list(shopId: string): Promise<LibraryLine[]> {
    const rows = await this.db
      .select(columns)
      .from(libraryItems)
      .where(eq(libraryItems.shopId, shopId))
      .orderBy(asc(libraryItems.kind), asc(libraryItems.name))
    return rows.map(lineOf)
  }

  async keep(shopId: string, item: LibraryItem): Promise<KeptItem> {
    await this.shops.find(shopId)
    const [row] = await refusingTaken(item, () =>
      this.db
        .insert(libraryItems)
        .values({ shopId, ...item, version: ITEM_VERSION })
        .returning({ id: libraryItems.id }),
    )
    if (!row) throw new Error('an insert gave no row')
    return { ...item, version: ITEM_VERSION, id: row.id }
  }

  /** A name stands for one item of its kind, so that a table taken out and in again changes what it should. */
  async takeIn(shopId: string, items: readonly LibraryItem[]): Promise<TakenIn> {
    await this.shops.find(shopId)
    return this.db.transaction(async (tx) => {
      let added = 0
      for (const item of items) {
        const [row] = await tx
          .insert(libraryItems)
          .values({ shopId, ...item, version: ITEM_VERSION })
          .onConflictDoUpdate({
            target: [libraryItems.shopId, libraryItems.kind, libraryItems.name],
            set: { item: item.item, version: ITEM_VERSION },
          })
          // A row that was updated carries the transaction that did it; a new one carries none.
          .returning({ added: sql<boolean>`xmax = 0` })
        if (row?.added === true) added += 1
      }
      return { added, replaced: items.length - added }
    })
  }

  async addSamples(shopId: string): Promise<TakenIn> {
    const taken = new Set((await this.list(shopId)).map(keyOf))
    return this.takeIn(
      shopId,
      this.samples.filter((item) => !taken.has(keyOf(item))),
    )
  }

  async change(id: string, item: LibraryItem): Promise<KeptItem> {
    const [there] = await this.db.select().from(libraryItems).where(eq(libraryItems.id, id))
    if (!there) throw notFound('library item')
    if (there.kind !== item.kind) throw new Problem(409, `${there.name} is a ${there.kind} and stays one.`)
    await refusingTaken(item, () =>
      this.db
        .update(libraryItems)
        .set({ ...item, version: ITEM_VERSION })
        .where(eq(libraryItems.id, id)),
    )
    return { ...item, version: ITEM_VERSION, id }
  }

  async remove(id: string): Promise<void> {
    const removed = await this.db.delete(libraryItems).where(eq(libraryItems.id, id)).returning({ id: libraryItems.id })
    if (removed.length === 0) throw notFound('library item')
  }
}

function lineOf(row: StoredItem & { id: string }): LibraryLine {
  const read = readItem(row)
  if (read.ok) return { ...read.value, version: ITEM_VERSION, id: row.id }
  const [first] = read.faults
  const { id, kind, name } = row
  return { id, kind, name, unreadable: first ? `${first.field} ${first.message}`.trim() : 'in a form it does not know' }
}

/** Tells of a name that is there already; the database itself refuses it. */
async function refusingTaken<T>({ kind, name }: LibraryItem, write: () => Promise<T>): Promise<T> {
  try {
    return await write()
  } catch (error) {
    if (!isNameTaken(error)) throw error
    throw new Problem(409, `The library has a ${kind} called ${name} already; give this one another name.`, {
      title: 'Name taken',
    })
  }
}
