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

/** Milliseconds of work, from its first save on, that are one revision: longer ones could lose what was tried between. */
const BURST_MS = 60_000

/** The members of a part of a plan; none where other hands made something else of it. */
const membersOf = (part: string): string =>
  `jsonb_each(case jsonb_typeof(${part}) when 'object' then ${part} else '{}' end)`

/** What became of a line of the card, as one text. */
const inWords = `to_jsonb(concat_ws(', ', value->>'answer', value->>'value', value->>'said', 'read ' || (value->>'readBack')))`

/** What is ticked or read at the machine, as paths with their values: every change of it is a row of its own. */
const ticked = (plan: string): string => `
  select 'checks.' || key as path, key, value from ${membersOf(`${plan}->'checks'`)}
  union all select 'settings.inDrive.' || key, key, value from ${membersOf(`${plan}->'settings'->'inDrive'`)}
  union all select 'settings.chosen.' || key, key, value from ${membersOf(`${plan}->'settings'->'chosen'`)}
  union all select 'settings.entered.' || key, key, ${inWords} from ${membersOf(`${plan}->'settings'->'entered'`)}
  union all select 'settings.trims.' || key, key, value from ${membersOf(`${plan}->'settings'->'trims'`)}
  union all select 'wiring.codesHeld.' || key, key, value from ${membersOf(`${plan}->'wiring'->'codesHeld'`)}
  union all select 'settings.state', 'state', state from (select ${plan}->'settings'->'state' as state) as one where state is not null`

/** Why the setting was changed, as somebody said; only what was said with this very change counts. */
const why = (row: string): string => `${row}.plan->'settings'->'why'->>coalesce(is_now.key, was.key)`

// Every part sees the tables as they stood before the statement.
const STATEMENT = `
  with stepped as (
    update conversions set plan = $1::jsonb, revision = $2, saved_at = $3
    where id = $4 and revision = $5
    returning id, shop_id, revision, plan, saved_at
  ), gone_on as (
    update revisions r set revision = $2, plan = s.plan, saved_at = s.saved_at, changed = null
    from stepped s
    where r.conversion_id = s.id and r.revision = $5 and r.origin = 'edited' and $6::text = 'edited'
      and r.name is null and r.by = $7 and r.begun_at > $3::timestamptz - $8::float8 * interval '1 millisecond'
    returning r.revision
  ), kept as (
    insert into revisions (conversion_id, revision, plan, origin, "by", saved_at, begun_at)
    select id, revision, plan, $6, $7, saved_at, saved_at from stepped where not exists (select from gone_on)
  ), entered as (
    insert into entries (conversion_id, path, value, reason, "by", at)
    select s.id, path, is_now.value,
      nullif(${why('s')}, ${why('c')}), $7, s.saved_at
    from stepped s
    join conversions c on c.id = s.id
      and (c.plan->'checks', c.plan->'settings', c.plan->'wiring'->'codesHeld')
        is distinct from (s.plan->'checks', s.plan->'settings', s.plan->'wiring'->'codesHeld'),
    lateral (${ticked('c.plan')}) was full join lateral (${ticked('s.plan')}) is_now using (path)
    where was.value is distinct from is_now.value
      -- Why it was chosen, said after it was: the same value once more, with its reason.
      or (path like 'settings.chosen.%' and nullif(${why('s')}, ${why('c')}) is not null)
  )
  select shop_id from stepped`

/**
 * One step forward, where nobody else stepped first: the shop's id, or undefined where somebody did. One statement, and so
 * one way to the database and back, whole or not at all; named, so that the database plans it once. The query builder has
 * no words for either. A burst of one person's edits is kept as one revision, its last.
 */
export async function stepForward(db: Database, step: Step): Promise<string | undefined> {
  const { id, baseRevision, plan, savedAt, origin, by } = step
  const { rows } = await db.$client.query<{ shop_id: string }>({
    name: 'step_forward',
    text: STATEMENT,
    values: [plan, baseRevision + 1, savedAt, id, baseRevision, origin, by, BURST_MS],
  })
  return rows[0]?.shop_id
}
