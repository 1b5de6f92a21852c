import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { applyPatch, emptyPlan, set } from '@zesty/core'
import { measuredSchema, measurementSchema } from '@zesty/core/http'
import { harness, type Harness } from './harness'

let h: Harness
let shopId: string
beforeAll(async () => {
  h = await harness()
  shopId = (await h.api.post('/api/shops').send({ name: 'Readings' }).expect(201)).body.id
})
afterAll(() => h.close())

const begin = async () =>
  (await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Lathe' }).expect(201)).body.id as string
const at = (id: string) => `/api/conversions/${id}/measurements`
const takenAt = '2026-03-01T10:00:00.000Z'
const speed = (value: number, more = {}) => ({ kind: 'spindle-speed', value, hz: 50, takenAt, ...more })
const add = (id: string, ...measurements: object[]) => h.api.post(at(id)).send({ measurements })

test('readings are kept as they were sent, each with an id and who sent them, in the order they were taken', async () => {
  const id = await begin()
  const later = speed(412, { takenAt: '2026-03-02T10:00:00.000Z', note: 'warm', by: 'Ida' })
  const { body } = await add(id, later, speed(414)).expect(201)
  expect(measuredSchema.parse(body.measured)).toMatchObject({ count: 2 })
  const { body: list } = await h.api.get(at(id)).expect(200)
  expect(list.map((m: unknown) => measurementSchema.parse(m))).toMatchObject([speed(414), later])
})

test('one that is sent twice with its id is kept once', async () => {
  const id = await begin()
  const one = speed(412, { id: '5a7e4f0e-3a54-4d5b-9a3e-0d5f6a1b2c3d' })
  await add(id, one).expect(201)
  expect((await add(id, one).expect(201)).body).toMatchObject({ added: 0, measured: { count: 1 } })
})

describe('what cannot be is refused by its field, and nothing is kept', () => {
  test.each([
    [{ ...speed(412), kind: 'weight' }, 'measurements[1].kind'],
    [speed(9e9), 'measurements[1].value'],
    [{ ...speed(412), takenAt: 'yesterday' }, 'measurements[1].takenAt'],
    [{ ...speed(412), strange: 1 }, 'measurements[1].strange'],
  ])('%j', async (wrong, field) => {
    const id = await begin()
    const { body } = await add(id, speed(412), wrong).expect(400)
    expect(body.faults.map((e: { field: string }) => e.field)).toContain(field)
    expect((await h.api.get(at(id)).expect(200)).body).toEqual([])
  })
})

test('more than a machine keeps are refused with how many there are', async () => {
  const id = await begin()
  const many = Array.from({ length: 10_000 }, (_, i) => ({ kind: 'amps', value: 1 + (i % 3), takenAt }))
  await add(id, ...many).expect(201)
  const { body } = await add(id, speed(412)).expect(422)
  expect(JSON.stringify(body)).toContain('has 10000')
})

test('they are taken away one by one, and what is left is judged', async () => {
  const id = await begin()
  const { body } = await add(id, speed(412), speed(824)).expect(201)
  expect(body.measured.disagreements).toHaveLength(1)
  const second = body.measured.disagreements[0].odd.id as string
  const gone = await h.api.delete(`${at(id)}/${second}`).expect(200)
  expect(gone.body).toMatchObject({ count: 1, disagreements: [] })
  await h.api.delete(`${at(id)}/${second}`).expect(404)
})

test('a machine that is not there has none', async () => {
  const nobody = '00000000-0000-4000-8000-000000000000'
  await h.api.get(at(nobody)).expect(404)
  await add(nobody, speed(412)).expect(404)
  await h.api.delete(`${at(nobody)}/${nobody}`).expect(404)
})

describe('verdicts rest on them', () => {
  const known = {
    format: 'zesty-lathe/conversion',
    plan: applyPatch(emptyPlan('Read'), [
      set('survey.machineKind', 'lathe'),
      set('survey.positions', [{ id: 'a', name: 'A', transmission: [{ kind: 'v-belt' }] }]),
      set('motor.kind', 'induction'),
      set('motor.ratedFrequencyHz', 50),
      set('motor.ratedSpeedRpm', 1420),
    ]),
    measurements: [speed(375, { positionId: 'a' })],
  }
  test('of the conversion, of the shop’s list, and again when they change', async () => {
    const { body: made } = await h.api.post(`/api/shops/${shopId}/import`).send(known).expect(201)
    const judged = async () => (await h.api.get(`/api/conversions/${made.id}/judged`).expect(200)).body
    expect((await judged()).evaluation.figures['position.a.speedRatio']).toMatchObject({
      value: 0.25,
      basis: 'measured',
    })
    const line = async () =>
      (await h.api.get(`/api/shops/${shopId}/conversions`).expect(200)).body.find(
        (l: { id: string }) => l.id === made.id,
      )
    const before: { watches: number } = await line()
    await add(made.id, speed(750, { positionId: 'a' })).expect(201)
    expect((await line()).watches).toBe(before.watches + 1)
  })

  test('a file takes them along, and a copy does not: it is another machine', async () => {
    const { body: made } = await h.api.post(`/api/shops/${shopId}/import`).send(known).expect(201)
    const { body: file } = await h.api.get(`/api/conversions/${made.id}/export`).expect(200)
    expect(file.measurements).toEqual(known.measurements)
    const { body: copy } = await h.api.post(`/api/conversions/${made.id}/copy`).expect(201)
    expect((await h.api.get(at(copy.id)).expect(200)).body).toEqual([])
  })

  test('a file with a reading that cannot be is refused whole', async () => {
    const { body } = await h.api
      .post(`/api/shops/${shopId}/import`)
      .send({ ...known, measurements: [speed(-1)] })
      .expect(422)
    expect(body.faults[0].field).toBe('measurements[0].value')
  })
})
