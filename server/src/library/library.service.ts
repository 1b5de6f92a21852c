import { Inject, Injectable } from '@nestjs/common'
import { asc, eq } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { libraryItems } from '../db/schema'
import { notFound } from '../problems/problem'
import { ShopsService } from '../shops/shops.service'
import type { NewItem } from './libraryItem'

const columns = { id: libraryItems.id, kind: libraryItems.kind, name: libraryItems.name, item: libraryItems.item }

@Injectable()
export class LibraryService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    private readonly shops: ShopsService,
  ) {}

  list(shopId: string) {
    return this.db
      .select(columns)
      .from(libraryItems)
      .where(eq(libraryItems.shopId, shopId))
      .orderBy(asc(libraryItems.kind), asc(libraryItems.name))
  }

  async keep(shopId: string, item: NewItem) {
    await this.shops.find(shopId)
    const [kept] = await this.db
      .insert(libraryItems)
      .values({ shopId, ...item })
      .returning(columns)
    return kept
  }

  async remove(id: string): Promise<void> {
    const removed = await this.db.delete(libraryItems).where(eq(libraryItems.id, id)).returning({ id: libraryItems.id })
    if (removed.length === 0) throw notFound('library item')
  }
}
