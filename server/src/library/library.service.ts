import { Inject, Injectable } from '@nestjs/common'
import { type LibraryItem, type LibraryKind } from '@zesty/core'
import { and, asc, eq, ne } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { libraryItems } from '../db/schema'
import { notFound, Problem } from '../problems/problem'
import { ShopsService } from '../shops/shops.service'
import { SAMPLES } from './samples'

const columns = { id: libraryItems.id, kind: libraryItems.kind, name: libraryItems.name, item: libraryItems.item }

/** How many items came in anew, and how many replaced one of their name. */
export interface TakenIn {
  added: number
  replaced: number
}

const keyOf = ({ kind, name }: { kind: LibraryKind; name: string }): string => `${kind} ${name}`

@Injectable()
export class LibraryService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(SAMPLES) private readonly samples: readonly LibraryItem[],
    private readonly shops: ShopsService,
  ) {}

  list(shopId: string) {
    return this.db
      .select(columns)
      .from(libraryItems)
      .where(eq(libraryItems.shopId, shopId))
      .orderBy(asc(libraryItems.kind), asc(libraryItems.name))
  }

  async keep(shopId: string, item: LibraryItem) {
    await this.shops.find(shopId)
    await this.refuseTaken(shopId, item)
    const [kept] = await this.db
      .insert(libraryItems)
      .values({ shopId, ...item })
      .returning(columns)
    return kept
  }

  /** A name stands for one item of its kind, so that a table taken out and in again changes what it should. */
  async takeIn(shopId: string, items: readonly LibraryItem[]): Promise<TakenIn> {
    await this.shops.find(shopId)
    return this.db.transaction(async (tx) => {
      const there = new Map(
        (await tx.select(columns).from(libraryItems).where(eq(libraryItems.shopId, shopId))).map((r) => [
          keyOf(r),
          r.id,
        ]),
      )
      let replaced = 0
      for (const item of items) {
        const id = there.get(keyOf(item))
        if (id === undefined) await tx.insert(libraryItems).values({ shopId, ...item })
        else {
          await tx.update(libraryItems).set({ item: item.item }).where(eq(libraryItems.id, id))
          replaced += 1
        }
      }
      return { added: items.length - replaced, replaced }
    })
  }

  async addSamples(shopId: string): Promise<TakenIn> {
    const taken = new Set((await this.list(shopId)).map(keyOf))
    return this.takeIn(
      shopId,
      this.samples.filter((item) => !taken.has(keyOf(item))),
    )
  }

  async change(id: string, item: LibraryItem) {
    const [there] = await this.db.select().from(libraryItems).where(eq(libraryItems.id, id))
    if (!there) throw notFound('library item')
    if (there.kind !== item.kind) throw new Problem(409, `${there.name} is a ${there.kind} and stays one.`)
    await this.refuseTaken(there.shopId, item, id)
    const [changed] = await this.db.update(libraryItems).set(item).where(eq(libraryItems.id, id)).returning(columns)
    return changed
  }

  async remove(id: string): Promise<void> {
    const removed = await this.db.delete(libraryItems).where(eq(libraryItems.id, id)).returning({ id: libraryItems.id })
    if (removed.length === 0) throw notFound('library item')
  }

  private async refuseTaken(shopId: string, { kind, name }: LibraryItem, own?: string): Promise<void> {
    const [taken] = await this.db
      .select({ id: libraryItems.id })
      .from(libraryItems)
      .where(
        and(
          eq(libraryItems.shopId, shopId),
          eq(libraryItems.kind, kind),
          eq(libraryItems.name, name),
          own === undefined ? undefined : ne(libraryItems.id, own),
        ),
      )
    if (taken)
      throw new Problem(409, `The library has a ${kind} called ${name} already; give this one another name.`, {
        title: 'Name taken',
      })
  }
}
