import { eq } from 'drizzle-orm'
import type { Database } from '../db/database'
import { conversions } from '../db/schema'
import { notFound } from '../problems/problem'

/** The shop that a conversion is of; answers that there is no such conversion where there is none. */
export async function shopOf(db: Database, id: string): Promise<string> {
  const [row] = await db.select({ shopId: conversions.shopId }).from(conversions).where(eq(conversions.id, id))
  if (!row) throw notFound('conversion')
  return row.shopId
}

/** Answers that there is no such conversion, where what is asked of it would only be empty. */
export async function conversionMustExist(db: Database, id: string): Promise<void> {
  await shopOf(db, id)
}
