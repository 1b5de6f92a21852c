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

describe('a moment of a year that no database has', () => {
  const year0 = '0000-01-01T00:00:00.000Z'
  test('is refused where it is sent', async () => {
    const { body: begun } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Moments' }).expect(201)
    const post = (path: string, body: object) => h.api.post(`/api/conversions/${begun.id}/${path}`).send(body)
    const id = '5a7e4f0e-3a54-4d5b-9a3e-200000000001'
    for (const at of [year0, '1899-12-31T23:59:59.999Z']) {
      await post('measurements', { measurements: [{ kind: 'amps', value: 3, takenAt: at }] }).expect(400)
      await post('log', { entries: [{ id, kind: 'note', text: 'x', at }] }).expect(400)
    }
    await post('log', { entries: [{ id, kind: 'note', text: 'x', at: '9999-12-31T23:59:59.999Z' }] }).expect(201)
  })
  test.each([year0, '0001-01-01T00:00:00%2B14:00', '9999-12-31T23:59:59-14:00', '1899-12-31T23:59:59Z'])(
    '%s is refused where it is asked for',
    async (at) => {
      const { body: begun } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Moments' }).expect(201)
      await h.api.get(`/api/conversions/${begun.id}/at/${at}`).expect(400)
    },
  )
  test('is refused as the end of a page', async () => {
    const after = Buffer.from('0000-01-01T00:00:00.000000Z 5a7e4f0e-3a54-4d5b-9a3e-200000000001').toString('base64url')
    await h.api.get(`/api/shops?after=${after}`).expect(400)
  })
})

describe('a body that is packed', () => {
  const send = (encoding: string, body: string) =>
    h.api.post('/api/shops').set('content-type', 'application/json').set('content-encoding', encoding).send(body)
  test('in a way that is not read is refused with the ways that are', async () => {
    const { body } = await send('compress', '{"name":"x"}').expect(415)
    expect(body.detail).toMatch(/gzip/)
  })
  test.each(['gzip', 'br', 'deflate'])('as %s, and is none, is refused', (encoding) =>
    send(encoding, '{"name":"x"}').expect(400),
  )
})
