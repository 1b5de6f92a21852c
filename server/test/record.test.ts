import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { logEntrySchema } from '@zesty/core/record'
import { harness, type Harness } from './harness'

let h: Harness
let id: string
beforeAll(async () => {
  h = await harness()
  const shop = (await h.api.post('/api/shops').send({ name: 'Log' }).expect(201)).body.id as string
  id = (await h.api.post(`/api/shops/${shop}/conversions`).send({ name: 'Lathe' }).expect(201)).body.id
})
afterAll(() => h.close())

const at = () => `/api/conversions/${id}/log`
const line = (n: number, more: object = {}) => ({
  id: `5a7e4f0e-3a54-4d5b-9a3e-30000000000${n}`,
  kind: 'event',
  text: `line ${n}`,
  at: `2026-03-0${n}T10:00:00.000Z`,
  ...more,
})

test('lines are kept once, however often they are sent, in the order of time', async () => {
  await h.api
    .post(at())
    .send({ entries: [line(2)] })
    .expect(201)
  const { body } = await h.api
    .post(at())
    .send({ entries: [line(2, { text: 'another' }), line(1)] })
    .expect(201)
  expect(body.map((e: { text: string }) => e.text)).toEqual(['line 1', 'line 2'])
  expect(logEntrySchema.array().parse((await h.api.get(at()).expect(200)).body)).toEqual([
    { ...line(1), by: 'this computer' },
    { ...line(2), by: 'this computer' },
  ])
})

test('one is taken away, and one that is not there is said', async () => {
  await h.api.delete(`${at()}/${line(1).id}`).expect(204)
  await h.api.delete(`${at()}/${line(1).id}`).expect(404)
  expect((await h.api.get(at())).body).toHaveLength(1)
})

test.each([
  ['a kind that is none', line(3, { kind: 'gossip' }), /entries\[0\]\.kind/],
  ['a price under nothing', line(3, { kind: 'cost', price: -1 }), /entries\[0\]\.price/],
  ['a moment that is none', line(3, { at: 'yesterday' }), /entries\[0\]\.at/],
  ['more than it knows', line(3, { colour: 'red' }), /entries\[0\]\.colour/],
])('%s is refused with the field named', async (_, bad, field) => {
  const { body } = await h.api
    .post(at())
    .send({ entries: [bad] })
    .expect(400)
  expect(body.detail).toMatch(field)
})

test('of a conversion that is not there nothing is kept', async () => {
  const nowhere = '/api/conversions/00000000-0000-4000-8000-000000000000/log'
  await h.api.get(nowhere).expect(404)
  await h.api
    .post(nowhere)
    .send({ entries: [line(4)] })
    .expect(404)
})

test('the log goes along in a conversion file', async () => {
  const file = (await h.api.get(`/api/conversions/${id}/export`).expect(200)).body
  expect(file.log).toEqual([{ kind: 'event', text: 'line 2', by: 'this computer', at: '2026-03-02T10:00:00.000Z' }])
  const shop = (await h.api.post('/api/shops').send({ name: 'Other' }).expect(201)).body.id as string
  const taken = (await h.api.post(`/api/shops/${shop}/import`).send(file).expect(201)).body.id as string
  expect((await h.api.get(`/api/conversions/${taken}/log`)).body).toMatchObject([{ text: 'line 2' }])
})
