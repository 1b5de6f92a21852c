import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { emptyPlan } from '@zesty/core'
import { sql } from 'drizzle-orm'
import type { Response } from 'supertest'
import { harness, type Harness } from './harness'

let h: Harness
let shopId: string
beforeAll(async () => {
  h = await harness()
  shopId = (await h.api.post('/api/shops').send({ name: 'Large' }).expect(201)).body.id
})
afterAll(() => h.close())

/** Every page of a list, by the links of its answers. */
async function pages<T>(first: string): Promise<T[][]> {
  const all: T[][] = []
  for (let path: string | undefined = first; path !== undefined;) {
    const { body, headers }: Response = await h.api.get(path).expect(200)
    all.push(body as T[])
    path = /<([^>]+)>; rel="next"/.exec(headers['link'] ?? '')?.[1]
  }
  return all
}
const idsOf = (rows: { id: string }[][]) => rows.flat().map(({ id }) => id)

test('shops and machines come by pages, each once, in the order in which they were begun, also of one moment', async () => {
  const line = JSON.stringify({ name: 'Lathe', chain: [], stages: [], stops: 0, watches: 0 })
  await h.db.execute(
    sql`insert into shops (name, created_at) select 'Shop ' || i, '2026-01-01' from generate_series(1, 450) i`,
  )
  await h.db.execute(sql`
    insert into conversions (shop_id, plan, line, line_of, created_at)
    select ${shopId}, ${JSON.stringify(emptyPlan('Lathe'))}::jsonb, ${line}::jsonb, 'test 1 0', '2026-01-01'::timestamptz + (i / 7) * interval '1 microsecond'
    from generate_series(1, 250) i`)
  for (const [path, count, most] of [
    ['/api/shops', 451, 200],
    [`/api/shops/${shopId}/conversions`, 250, 100],
  ] as const) {
    const found = await pages<{ id: string }>(path)
    expect(found.map((rows) => rows.length)).toEqual([most, most, count - 2 * most])
    expect(new Set(idsOf(found)).size).toBe(count)
  }
  const { rows } = await h.db.execute<{ id: string }>(
    sql`select id from conversions where shop_id = ${shopId} order by created_at, id`,
  )
  expect(idsOf(await pages(`/api/shops/${shopId}/conversions`))).toEqual(rows.map(({ id }) => id))
})

test('readings come by pages, in the order in which they were taken', async () => {
  const { body } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Mill' }).expect(201)
  await h.db.execute(sql`
    insert into measurements (conversion_id, kind, value, taken_at)
    select ${body.id}, 'amps', i, '2026-01-01'::timestamptz + (i / 3) * interval '1 second' from generate_series(1, 4100) i`)
  const found = await pages<{ id: string; value: number }>(`/api/conversions/${body.id}/measurements`)
  expect(found.map((rows) => rows.length)).toEqual([2000, 2000, 100])
  expect(new Set(idsOf(found)).size).toBe(4100)
  const { rows } = await h.db.execute<{ id: string }>(
    sql`select id from measurements where conversion_id = ${body.id} order by taken_at, id`,
  )
  expect(idsOf(found)).toEqual(rows.map(({ id }) => id))
})

test('revisions come by pages, the newest first, and each says what it changed since the one before', async () => {
  const { body } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Drill' }).expect(201)
  await h.db.execute(sql`
    insert into revisions (conversion_id, revision, plan, origin)
    select ${body.id}, i, jsonb_set(plan, '{motor}', jsonb_build_object('powerW', 100 + i)), 'edited'
    from conversions, generate_series(2, 230) i where id = ${body.id}`)
  const found = await pages<{ revision: number; changed?: { count: number } }>(`/api/conversions/${body.id}/revisions`)
  expect(found.flat().map(({ revision }) => revision)).toEqual(Array.from({ length: 230 }, (_, i) => 230 - i))
  expect(found.map((rows) => rows.length)).toEqual([100, 100, 30])
  expect(found.flat().filter(({ changed }) => changed?.count === 1)).toHaveLength(229)
})

test('a cursor that no answer gave is refused', async () => {
  for (const after of ['x', 'bm90aGluZw', Buffer.from('2026-01-01 x').toString('base64url')]) {
    await h.api.get(`/api/shops?after=${after}`).expect(400)
    await h.api.get(`/api/conversions/${shopId}/revisions?after=${after}`).expect(400)
  }
  await h.api.get('/api/shops?before=x').expect(400)
})
