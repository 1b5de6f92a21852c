import { Inject, Injectable } from '@nestjs/common'
import type { NewShop, ShopChange } from '@zesty/core/http'
import { eq } from 'drizzle-orm'
import { cursorOf, isAfter, paged, type ListPage } from '../answers/listPage'
import { DATABASE, type Database } from '../db/database'
import { conversions, shops } from '../db/schema'
import { notFound } from '../problems/problem'

/** Shops that go in one answer. */
const LISTED = 200

const columns = { id: shops.id, name: shops.name, units: shops.units, demo: shops.demo, createdAt: shops.createdAt }

@Injectable()
export class ShopsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(page: ListPage) {
    const machines = this.db.$count(conversions, eq(conversions.shopId, shops.id))
    const found = await this.db
      .select({ ...columns, machines, cursor: cursorOf(shops.createdAt, shops.id) })
      .from(shops)
      .where(isAfter(shops.createdAt, shops.id, page))
      .orderBy(shops.createdAt, shops.id)
      .limit(LISTED + 1)
    return paged(found, LISTED)
  }

  async find(id: string) {
    const [shop] = await this.db.select(columns).from(shops).where(eq(shops.id, id))
    if (!shop) throw notFound('shop')
    return shop
  }

  async create(shop: NewShop) {
    const [made] = await this.db.insert(shops).values(shop).returning(columns)
    return made
  }

  async change(id: string, patch: ShopChange) {
    const set = Object.fromEntries(Object.entries(patch).filter(([, v]) => v !== undefined))
    if (Object.keys(set).length === 0) return this.find(id)
    const [changed] = await this.db.update(shops).set(set).where(eq(shops.id, id)).returning(columns)
    if (!changed) throw notFound('shop')
    return changed
  }

  async remove(id: string): Promise<void> {
    const removed = await this.db.delete(shops).where(eq(shops.id, id)).returning({ id: shops.id })
    if (removed.length === 0) throw notFound('shop')
  }
}
