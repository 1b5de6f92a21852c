import { Inject, Injectable } from '@nestjs/common'
import type { NewShop, ShopChange } from '@zesty/core/http'
import { count, eq } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { conversions, shops } from '../db/schema'
import { notFound } from '../problems/problem'

const columns = { id: shops.id, name: shops.name, units: shops.units, demo: shops.demo, createdAt: shops.createdAt }

@Injectable()
export class ShopsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  list() {
    return this.db
      .select({ ...columns, machines: count(conversions.id) })
      .from(shops)
      .leftJoin(conversions, eq(conversions.shopId, shops.id))
      .groupBy(shops.id)
      .orderBy(shops.createdAt, shops.name)
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
