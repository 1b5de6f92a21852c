import { eq } from 'drizzle-orm'
import type { Database } from '../db/database'
import { conversions } from '../db/schema'
import { notFound } from '../problems/problem'

/** Answers that there is no such conversion, where what is asked of it would only be empty. */
export async function conversionMustExist(db: Database, id: string): Promise<void> {
  const [row] = await db.select({ id: conversions.id }).from(conversions).where(eq(conversions.id, id))
  if (!row) throw notFound('conversion')
}
