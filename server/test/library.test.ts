import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { harness, samples, type Harness } from './harness'

const NOWHERE = '00000000-0000-4000-8000-000000000000'

let h: Harness
let shopId: string
beforeAll(async () => {
  h = await harness()
  shopId = (await h.api.post('/api/shops').send({ name: 'L' })).body.id as string
})
afterAll(() => h.close())

interface Item {
  id: string
  kind: string
  name: string
  item: Record<string, unknown>
}

const keep = (body: object, status: number) => h.api.post(`/api/shops/${shopId}/library`).send(body).expect(status)
const all = async () => (await h.api.get(`/api/shops/${shopId}/library`).expect(200)).body as Item[]

test('an item is kept, changed and taken out, checked by its kind', async () => {
  const kept = (await keep({ kind: 'motor', name: ' Spare ', item: { powerW: 750 } }, 201)).body as Item
  expect(await all()).toEqual([{ id: kept.id, kind: 'motor', name: 'Spare', version: 6, item: { powerW: 750 } }])
  await keep({ kind: 'drive', name: 'Wrong', item: { ratedSpeedRpm: 1400 } }, 400)
  await keep({ kind: 'circuit', name: 'Wall', item: { voltageV: 230, breakerA: 32 } }, 201)
  const refused = await keep({ kind: 'circuit', name: 'Wall 2', item: { voltageV: 3, ambientC: 20 } }, 400)
  expect(refused.body.faults.map((f: { field: string }) => f.field)).toEqual(['item.voltageV', 'item.ambientC'])
  const change = (body: object, status: number) => h.api.put(`/api/library/${kept.id}`).send(body).expect(status)
  await change({ kind: 'motor', name: 'Spare', item: { powerW: 1100 } }, 200)
  await change({ kind: 'drive', name: 'Spare', item: {} }, 409)
  expect((await all()).find((i) => i.id === kept.id)?.item).toEqual({ powerW: 1100 })
  await h.api.delete(`/api/library/${kept.id}`).expect(204)
  await h.api.delete(`/api/library/${kept.id}`).expect(404)
  await change({ kind: 'motor', name: 'Spare', item: {} }, 404)
})

test('a name stands for one item of its kind', async () => {
  const first = (await keep({ kind: 'motor', name: 'Twin', item: {} }, 201)).body as Item
  const refused = await keep({ kind: 'motor', name: 'Twin', item: {} }, 409)
  expect(refused.body).toMatchObject({ title: 'Name taken', detail: expect.stringContaining('called Twin already') })
  const drive = (await keep({ kind: 'drive', name: 'Twin', item: {} }, 201)).body as Item
  await keep({ kind: 'drive', name: 'Other', item: {} }, 201)
  await h.api.put(`/api/library/${drive.id}`).send({ kind: 'drive', name: 'Other', item: {} }).expect(409)
  await h.api
    .put(`/api/library/${first.id}`)
    .send({ kind: 'motor', name: 'Twin', item: { powerW: 1 } })
    .expect(400)
})

test('many come in together or not at all; a name that is there is replaced', async () => {
  const many = (items: object[], status: number) =>
    h.api.post(`/api/shops/${shopId}/library/many`).send({ items }).expect(status)
  const before = await all()
  await many(
    [
      { kind: 'motor', name: 'New one', item: {} },
      { kind: 'motor', name: '', item: {} },
    ],
    400,
  )
  expect(await all()).toEqual(before)
  const taken = await many(
    [
      { kind: 'motor', name: 'New one', item: {} },
      { kind: 'motor', name: 'Twin', item: { powerW: 370 } },
    ],
    200,
  )
  expect(taken.body).toEqual({ added: 1, replaced: 1 })
  expect((await all()).filter((i) => i.kind === 'motor').map((i) => [i.name, i.item])).toEqual([
    ['New one', {}],
    ['Twin', { powerW: 370 }],
  ])
  await many(
    Array.from({ length: 501 }, (_, i) => ({ kind: 'motor', name: `M${i}`, item: {} })),
    400,
  )
})

test('the samples are added once, and never over what the shop has', async () => {
  const [sample] = samples
  const mine = { kind: 'motor', name: sample?.name, item: { powerW: 123 } }
  await keep(mine, 201)
  const add = async () => (await h.api.post(`/api/shops/${shopId}/library/samples`).expect(200)).body
  expect(await add()).toEqual({ added: samples.length - 1, replaced: 0 })
  expect(await add()).toEqual({ added: 0, replaced: 0 })
  expect((await all()).find((i) => i.name === mine.name)?.item).toEqual(mine.item)
})

test('no shop, no library', async () => {
  for (const [path, body] of [
    ['library', { kind: 'motor', name: 'x', item: {} }],
    ['library/many', { items: [] }],
    ['library/samples', {}],
  ] as const)
    await h.api.post(`/api/shops/${NOWHERE}/${path}`).send(body).expect(404)
})

test('an item of an older release is read as what it is now; one that cannot be read stays, and says why', async () => {
  const { id: other } = (await h.api.post('/api/shops').send({ name: 'Old' })).body as { id: string }
  await h.db.execute(sql`insert into library_items (shop_id, kind, name, version, item) values
    (${other}, 'motor', 'Elm', 2, '{"kind": "one-winding", "powerW": 1500}'),
    (${other}, 'motor', 'Oak', 2, '{"kind": "steam"}')`)
  const { body } = await h.api.get(`/api/shops/${other}/library`).expect(200)
  expect(body).toEqual([
    {
      id: expect.any(String),
      kind: 'motor',
      name: 'Elm',
      version: 6,
      item: { kind: 'pole-changing', oneWinding: true, powerW: 1500 },
    },
    { id: expect.any(String), kind: 'motor', name: 'Oak', unreadable: expect.stringMatching(/kind/) },
  ])
})

test('samples do not take the place of an item of their name that cannot be read', async () => {
  const { id: other } = (await h.api.post('/api/shops').send({ name: 'Torn' })).body as { id: string }
  const [sample] = samples
  if (!sample) throw new Error('there are no samples')
  await h.db.execute(sql`insert into library_items (shop_id, kind, name, version, item) values
    (${other}, ${sample.kind}, ${sample.name}, 2, '{"kind": "steam"}')`)
  const { body } = await h.api.post(`/api/shops/${other}/library/samples`).expect(200)
  expect(body).toEqual({ added: samples.length - 1, replaced: 0 })
  const { rows } = await h.db.execute<{ item: object }>(
    sql`select item from library_items where shop_id = ${other} and name = ${sample.name} and kind = ${sample.kind}`,
  )
  expect(rows).toEqual([{ item: { kind: 'steam' } }])
})

test('of two that take a name at once one is refused, whatever was looked up before', async () => {
  const answers = await Promise.all(
    Array.from({ length: 4 }, () =>
      h.api.post(`/api/shops/${shopId}/library`).send({ kind: 'motor', name: 'Rush', item: {} }),
    ),
  )
  expect(answers.map((a) => a.status).sort()).toEqual([201, 409, 409, 409])
})
