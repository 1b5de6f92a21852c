import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { applyPatch, conversion, emptyPlan, set, withTriedRemedies, type Plan } from '@zesty/core'
import { judgedConversionSchema } from '@zesty/core/http'
import { partsOfStage, shownParts } from '@zesty/core/shown'
import { eq, sql } from 'drizzle-orm'
import supertest from 'supertest'
import { createApplication } from '../src/application'
import { Rejudging } from '../src/conversions/rejudging'
import { onlyHere } from '../src/db/onlyHere'
import { conversions, verdicts } from '../src/db/schema'
import { judgeHere, type Judge } from '../src/judging/judge'
import type { JudgeJob } from '../src/judging/judgeJob'
import { harness, samples, type Harness } from './harness'

const jobs: JudgeJob[] = []
const counting: Judge = (job) => {
  jobs.push(job)
  return judgeHere(job)
}

let h: Harness
let shopId: string
let id: string
let plan: Plan
beforeAll(async () => {
  h = await harness({ judge: counting })
  shopId = (await h.api.post('/api/shops').send({ name: 'Kept' }).expect(201)).body.id
})
afterAll(() => h.close())
beforeEach(async () => {
  const { body } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Lathe' }).expect(201)
  id = body.id
  plan = applyPatch(body.plan as Plan, [set('motor.powerW', 1500), set('supply.voltageV', 230)])
  await h.api.put(`/api/conversions/${id}`).send({ baseRevision: 1, plan }).expect(200)
  jobs.length = 0
})

const opened = async (query = '', api = h.api) =>
  (await api.get(`/api/conversions/${id}/judged${query}`).expect(200)).body
const asSent = (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown

describe('a machine that is opened', () => {
  test('is judged once, and the second time said as it was', async () => {
    const first = await opened()
    expect(judgedConversionSchema.parse(first)).toEqual(first)
    expect(first.evaluation).toEqual(asSent(withTriedRemedies(conversion(plan))))
    expect(await opened()).toEqual(first)
    expect(jobs).toHaveLength(1)
  })
  test('comes with what its stage shows; another stage is added, the verdict is not made again', async () => {
    const { parts } = await opened('?stage=settings')
    const of = conversion(plan)
    expect(Object.keys(parts)).toEqual(partsOfStage.settings)
    expect(parts.card).toEqual(asSent(of.of(shownParts.card)))
    expect(Object.keys((await opened('?stage=run-in')).parts)).toEqual(partsOfStage['run-in'])
    expect(jobs).toMatchObject([
      { verdict: true, parts: 'settings' },
      { verdict: false, parts: 'run-in' },
    ])
    await h.api.get(`/api/conversions/${id}/judged?stage=nowhere`).expect(400)
  })
  test('is judged once however many ask at the same time', async () => {
    await Promise.all(Array.from({ length: 6 }, () => opened()))
    expect(jobs).toHaveLength(1)
  })
  test('shows nothing that was said of other wiring, other readings, or by another release', async () => {
    await opened()
    const { body } = await h.api
      .patch(`/api/conversions/${id}`)
      .send({ baseRevision: 2, changes: [{ path: 'motor.powerW', value: 750 }] })
      .expect(200)
    expect(body).toMatchObject({ revision: 3 })
    expect((await opened()).evaluation).toEqual(
      asSent(withTriedRemedies(conversion(applyPatch(plan, [set('motor.powerW', 750)])))),
    )
    await h.api
      .post(`/api/conversions/${id}/measurements`)
      .send({ measurements: [{ kind: 'amps', value: 4, takenAt: '2026-03-01T10:00:00.000Z' }] })
      .expect(201)
    await opened()
    expect(jobs).toHaveLength(3)
    const { app } = await createApplication({ db: h.db, samples, release: 'next', judge: counting })
    await app.init()
    await app.getHttpAdapter().getInstance().ready()
    await opened('', supertest(app.getHttpServer()))
    expect(jobs).toHaveLength(4)
    await app.close()
  })
  test('shows nothing kept where other hands changed the plan behind its revision', async () => {
    const before = await opened()
    await h.db.execute(sql`update conversions set plan = jsonb_set(plan, '{motor,powerW}', '99000') where id = ${id}`)
    expect((await opened()).evaluation).not.toEqual(before.evaluation)
  })
  test('goes with its verdicts', async () => {
    await opened('?stage=dial')
    await h.api.delete(`/api/conversions/${id}`).expect(204)
    expect(await h.db.select().from(verdicts).where(eq(verdicts.conversionId, id))).toEqual([])
  })
})

describe('after a release', () => {
  test('every machine is judged again in the background, and only those of which something else was said', async () => {
    await h.api.get(`/api/shops/${shopId}/conversions`).expect(200)
    const rejudging = h.app.get(Rejudging)
    jobs.length = 0
    expect(await rejudging.all()).toBe(0)
    await h.db.update(conversions).set({ lineOf: 'of the release before' }).where(eq(conversions.id, id))
    expect(await rejudging.all()).toBe(1)
    expect(jobs).toHaveLength(1)
    const [row] = await h.db.select({ lineOf: conversions.lineOf }).from(conversions).where(eq(conversions.id, id))
    expect(row?.lineOf).toBe('test 2 0')
  })
  test('one server does it', async () => {
    let isDone: () => void = () => undefined
    let first: Promise<string | undefined> | undefined
    await new Promise<void>((begun) => {
      first = onlyHere(h.db, 'a test', () => {
        begun()
        return new Promise<string>((resolve) => (isDone = () => resolve('done')))
      })
    })
    expect(await onlyHere(h.db, 'a test', () => Promise.resolve('too'))).toBeUndefined()
    expect(await onlyHere(h.db, 'another', () => Promise.resolve('too'))).toBe('too')
    isDone()
    expect(await first).toBe('done')
    expect(await onlyHere(h.db, 'a test', () => Promise.resolve('again'))).toBe('again')
  })
})

test('a plan that cannot be judged says what is wrong with it', async () => {
  const broken = { ...emptyPlan('Broken lathe'), survey: 'gone' }
  const [row] = await h.db.insert(conversions).values({ shopId, plan: broken }).returning({ id: conversions.id })
  const { body } = await h.api.get(`/api/conversions/${row?.id}/judged`).expect(422)
  expect(body.faults.length).toBeGreaterThan(0)
})
