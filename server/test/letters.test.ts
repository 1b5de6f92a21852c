import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { emptyPlan } from '@zesty/core'
import { harness, type Harness } from './harness'

let h: Harness
let shopId: string
beforeAll(async () => {
  h = await harness()
  shopId = (await h.api.post('/api/shops').send({ name: 'Letters' }).expect(201)).body.id
})
afterAll(() => h.close())

/** Sent as escapes, as JSON may carry what UTF-8 cannot. */
const post = (path: string, json: string) => h.api.post(path).set('content-type', 'application/json').send(json)

describe('letters that no database keeps', () => {
  test('are taken out of a name', async () => {
    const { body } = await post('/api/shops', String.raw`{"name":"Shed\u0000 \ud800two\udc00 \ud83d\ude42"}`).expect(
      201,
    )
    expect(body.name).toBe('Shed two 🙂')
  })
  test('are taken out of a plan, wherever they stand', async () => {
    const { body } = await post(
      `/api/shops/${shopId}/import`,
      JSON.stringify({
        format: 'zesty-lathe/conversion',
        plan: { ...emptyPlan('La\0the'), drive: { name: 'Red\ud800 box' } },
      }),
    ).expect(201)
    expect([body.plan.name, body.plan.drive.name]).toEqual(['Lathe', 'Red box'])
    expect((await h.api.get(`/api/conversions/${body.id}`).expect(200)).body.plan).toEqual(body.plan)
  })
  test('leave a name that was nothing else empty, which is refused at its field', async () => {
    const { body } = await post('/api/shops', String.raw`{"name":"\u0000"}`).expect(400)
    expect(body.faults).toEqual([{ field: 'name', message: expect.stringMatching(/at least 1/) }])
  })
  test('sent twice are the same save', async () => {
    const { body: begun } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Twice' }).expect(201)
    const save = () =>
      h.api.put(`/api/conversions/${begun.id}`).send({ baseRevision: 1, plan: { ...begun.plan, name: 'Tw\0ice' } })
    expect((await save().expect(200)).body.revision).toBe(2)
    expect((await save().expect(200)).body.revision).toBe(2)
  })
})

test('a name is as long as its letters, not as their halves', async () => {
  await h.api
    .post('/api/shops')
    .send({ name: '🙂'.repeat(80) })
    .expect(201)
  const { body } = await h.api
    .post('/api/shops')
    .send({ name: '🙂'.repeat(81) })
    .expect(400)
  expect(body.faults).toEqual([{ field: 'name', message: 'is too long: at most 80' }])
})

describe('a revision’s number', () => {
  test.each(['0', '-1', '1.5', '1e3', '2147483648', '99999999999999999999', 'x'])('%s is refused', async (number) => {
    const { body: begun } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Numbers' }).expect(201)
    const answer = await h.api.get(`/api/conversions/${begun.id}/revisions/${number}`)
    expect(answer.status).toBe(400)
    expect(answer.body.faults).toHaveLength(1)
  })
  test('ends where the database’s do', async () => {
    const { body: begun } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Last' }).expect(201)
    const put = (baseRevision: number) =>
      h.api.put(`/api/conversions/${begun.id}`).send({ baseRevision, plan: begun.plan })
    expect((await put(2_147_483_647).expect(400)).body.faults[0].field).toBe('baseRevision')
    expect((await put(2_147_483_646).expect(409)).body.detail).toMatch(/at revision 1/)
  })
})
