import type { Database } from '../db/database'

/** A save: the conversion, the revision it was made to, and what is kept of it. */
export interface Step {
  id: string
  baseRevision: number
  /** JSON text of the plan. */
  plan: string
  savedAt: Date
  /** How it came about: edited, restored from 3. */
  origin: string
  by: string
}

const STATEMENT = `
  with stepped as (
    update conversions set plan = $1::jsonb, revision = $2, saved_at = $3
    where id = $4 and revision = $5
    returning id, shop_id, revision, plan, saved_at
  ), kept as (
    insert into revisions (conversion_id, revision, plan, origin, "by", saved_at)
    select id, revision, plan, $6, $7, saved_at from stepped
  )
  select shop_id from stepped`

/**
 * One step forward, where nobody else stepped first: the shop's id, or undefined where somebody did. One statement, and so
 * one way to the database and back, whole or not at all; named, so that the database plans it once. The query builder has
 * no words for either.
 */
export async function stepForward(db: Database, step: Step): Promise<string | undefined> {
  const { id, baseRevision, plan, savedAt, origin, by } = step
  const { rows } = await db.$client.query<{ shop_id: string }>({
    name: 'step_forward',
    text: STATEMENT,
    values: [plan, baseRevision + 1, savedAt, id, baseRevision, origin, by],
  })
  return rows[0]?.shop_id
}
