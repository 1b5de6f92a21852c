import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { applyPatch, emptyPlan, set } from '@zesty/core'
import { eq } from 'drizzle-orm'
import supertest from 'supertest'
import { createApplication } from '../src/application'
import { conversions } from '../src/db/schema'
import { JudgeLost } from '../src/judging/judge'
import { harness, samples, type Harness } from './harness'

let h: Harness
let shopId: string
let id: string
beforeAll(async () => {
  h = await harness()
  shopId = (await h.api.post('/api/shops').send({ name: 'Lines' }).expect(201)).body.id
  id = (await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Lathe' }).expect(201)).body.id
})
afterAll(() => h.close())

const lines = async (api = h.api) => (await api.get(`/api/shops/${shopId}/conversions`).expect(200)).body
const stored = async () => {
  const [row] = await h.db
    .select({ line: conversions.line, lineOf: conversions.lineOf })
    .from(conversions)
    .where(eq(conversions.id, id))
  return row
}

test('what a shop shows of a machine is kept, and shown again as it was', async () => {
  const first = await lines()
  expect(await stored()).toMatchObject({ lineOf: 'test 1 0', line: { name: 'Lathe' } })
  expect(await lines()).toEqual(first)
})

test('a line that is kept is not made again', async () => {
  await lines()
  await h.db.update(conversions).set({ line: { name: 'Marked', chain: [] } })
  expect((await lines())[0].name).toBe('Marked')
})

test('a save makes it old', async () => {
  const plan = applyPatch(emptyPlan('Lathe'), [set('motor.powerW', 1500)])
  await h.api.put(`/api/conversions/${id}`).send({ baseRevision: 1, plan }).expect(200)
  expect((await lines())[0]).toMatchObject({ name: 'Lathe', revision: 2, powerW: 1500 })
  expect((await stored())?.lineOf).toBe('test 2 0')
})

test('another release says it anew', async () => {
  await h.db.update(conversions).set({ line: { name: 'Of the old release' } })
  const { app } = await createApplication({ db: h.db, samples, release: 'next' })
  await app.init()
  await app.getHttpAdapter().getInstance().ready()
  expect((await lines(supertest(app.getHttpServer())))[0].name).toBe('Lathe')
  expect((await stored())?.lineOf).toBe('next 2 0')
  await app.close()
})

test('where the thread that judges is lost nothing is said of a machine, and nothing is kept', async () => {
  const before = await stored()
  const judge = () => Promise.reject(new JudgeLost('gone'))
  const { app } = await createApplication({ db: h.db, samples, release: 'third', judge })
  await app.init()
  await app.getHttpAdapter().getInstance().ready()
  await supertest(app.getHttpServer()).get(`/api/shops/${shopId}/conversions`).expect(500)
  expect(await stored()).toEqual(before)
  await app.close()
})

test('a plan of this release’s version that other hands have broken leaves the rest of the shop as it was', async () => {
  const broken = { ...emptyPlan('Broken lathe'), survey: 'gone' }
  const [row] = await h.db.insert(conversions).values({ shopId, plan: broken }).returning({ id: conversions.id })
  expect(await lines()).toEqual([
    expect.objectContaining({ name: 'Lathe', chain: expect.anything() }),
    expect.objectContaining({ name: 'Broken lathe', unreadable: expect.stringMatching(/survey/) }),
  ])
  const answer = await h.api.get(`/api/conversions/${row?.id}/judged`).expect(422)
  expect(answer.body.faults.length).toBeGreaterThan(0)
  expect(JSON.parse((await h.api.get(`/api/conversions/${row?.id}/export`).expect(200)).text).plan).toEqual(broken)
})
