import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { applyPatch, emptyPlan, evaluate, set, type Plan } from '@zesty/core'
import { sql } from 'drizzle-orm'
import { thinRevisions } from '../src/conversions/thinning'
import { operations } from '../src/openapi/operations'
import { harness, routesOf, type Harness } from './harness'

let h: Harness
let shopId: string
beforeAll(async () => {
  h = await harness()
  shopId = (await h.api.post('/api/shops').send({ name: 'Test shed' }).expect(201)).body.id
})
afterAll(() => h.close())

const begin = async (name = 'Lathe') =>
  (await h.api.post(`/api/shops/${shopId}/conversions`).send({ name }).expect(201)).body as {
    id: string
    revision: number
    plan: Plan
  }
const save = (id: string, baseRevision: number, plan: unknown) =>
  h.api.put(`/api/conversions/${id}`).send({ baseRevision, plan })

describe('keeping a plan', () => {
  test('steps the revision and gives the plan back as it was sent', async () => {
    const { id, plan } = await begin()
    const next = applyPatch(plan, [set('motor.powerW', 1500)])
    expect((await save(id, 1, next).expect(200)).body).toMatchObject({ revision: 2, plan: { motor: { powerW: 1500 } } })
    expect((await h.api.get(`/api/conversions/${id}`).expect(200)).body.plan).toEqual(next)
  })

  test('a stale save is refused with both sides and changes nothing', async () => {
    const { id, plan } = await begin()
    const theirs = applyPatch(plan, [set('motor.powerW', 1100)])
    const yours = applyPatch(plan, [set('motor.powerW', 750)])
    await save(id, 1, theirs).expect(200)
    const refused = await save(id, 1, yours)
      .expect(409)
      .expect('content-type', /application\/problem\+json/)
    expect(refused.body).toMatchObject({
      status: 409,
      title: 'Changed elsewhere',
      yours: { baseRevision: 1, plan: yours },
      theirs: { revision: 2, plan: theirs },
    })
    expect((await h.api.get(`/api/conversions/${id}`)).body).toMatchObject({ revision: 2, plan: theirs })
  })

  test('the same save sent twice is no conflict', async () => {
    const { id, plan } = await begin()
    const next = applyPatch(plan, [set('motor.powerW', 1100)])
    await save(id, 1, next).expect(200)
    expect((await save(id, 1, next).expect(200)).body.revision).toBe(2)
  })

  test('of many saves at once on one revision exactly one is kept', async () => {
    const { id, plan } = await begin()
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) => save(id, 1, applyPatch(plan, [set('motor.powerW', 100 + i)]))),
    )
    expect(answers.map((a) => a.status).sort()).toEqual([200, ...Array.from({ length: 11 }, () => 409)])
    expect((await h.api.get(`/api/conversions/${id}/revisions`)).body).toHaveLength(2)
  })

  test('another is begun from one: a conversion of its own in the same shop, without what was measured', async () => {
    const { id, plan } = await begin()
    await save(id, 1, {
      ...plan,
      survey: { ...plan.survey, coastS: 20 },
      settings: { ...plan.settings, chosen: { maximumHz: 90 } },
    })
    const copy = (await h.api.post(`/api/conversions/${id}/copy`).expect(201)).body
    expect([copy.id === id, copy.revision, copy.plan.name]).toEqual([false, 1, `${plan.name}, copy`])
    expect([copy.plan.survey.coastS, copy.plan.settings.chosen.maximumHz]).toEqual([undefined, 90])
    const [first] = (await h.api.get(`/api/conversions/${copy.id}/revisions`)).body
    expect(first.origin).toBe(`begun from ${plan.name}`)
    expect((await h.api.get(`/api/conversions/${id}`)).body.revision).toBe(2)
    await h.api.post('/api/conversions/00000000-0000-4000-8000-000000000000/copy').expect(404)
  })

  test.each<[string, unknown, string]>([
    ['negative', { motor: { powerW: -1 } }, 'plan.motor.powerW'],
    ['unknown key', { colour: 'red' }, 'plan.colour'],
    ['future version', { schemaVersion: 99 }, 'plan.schemaVersion'],
    ['wrong kind', { motor: 'big' }, 'plan.motor'],
  ])('a plan with a %s is refused at its field', async (_, wrong, field) => {
    const { id } = await begin()
    const refused = await save(id, 1, { ...emptyPlan('x'), ...(wrong as object) }).expect(400)
    expect(refused.body.faults[0].field).toBe(field)
    expect((await h.api.get(`/api/conversions/${id}`)).body.revision).toBe(1)
  })
})

describe('keeping what changed of a plan', () => {
  const send = (id: string, baseRevision: number, ...changes: { path: string; value?: unknown }[]) =>
    h.api.patch(`/api/conversions/${id}`).send({ baseRevision, changes })
  const power = (value: unknown) => ({ path: 'motor.powerW', value })

  test('is the same as keeping the whole, and answers without it', async () => {
    const { id, plan } = await begin()
    const { body } = await send(id, 1, power(1500), { path: 'name', value: 'Mill' }).expect(200)
    expect(body).toEqual({ id, shopId, revision: 2, savedAt: expect.any(String) })
    const whole = applyPatch(plan, [set('motor.powerW', 1500), set('name', 'Mill')])
    expect((await h.api.get(`/api/conversions/${id}`).expect(200)).body).toMatchObject({ revision: 2, plan: whole })
    await send(id, 2, { path: 'motor.powerW' }).expect(200)
    expect((await h.api.get(`/api/conversions/${id}`)).body.plan.motor).toEqual({})
  })
  test('a stale one is refused with both sides and changes nothing; one sent twice is none', async () => {
    const { id } = await begin()
    await send(id, 1, power(1100)).expect(200)
    expect((await send(id, 1, power(1100)).expect(200)).body.revision).toBe(2)
    expect((await send(id, 1, power(750)).expect(409)).body).toMatchObject({
      yours: { baseRevision: 1, changes: [power(750)] },
      theirs: { revision: 2, plan: { motor: { powerW: 1100 } } },
    })
  })
  test('of many at once on one revision exactly one is kept', async () => {
    const { id } = await begin()
    const answers = await Promise.all(Array.from({ length: 12 }, (_, i) => send(id, 1, power(100 + i))))
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array.from({ length: 11 }, () => 409)])
  })
  test('what no plan may hold is refused by its field, and nothing of it is kept', async () => {
    const { id, plan } = await begin()
    expect((await send(id, 1, power(-1), { path: 'name', value: 'Mill' }).expect(400)).body.faults).toMatchObject([
      { field: 'plan.motor.powerW' },
    ])
    for (const path of ['schemaVersion', 'nothing.such', 'motor.powerW.x', '__proto__.x', ''])
      await send(id, 1, { path, value: 7 }).expect(400)
    await send(id, 1).expect(400)
    await send(id, 1, { path: 'survey.mainPositionId', value: 'nowhere' }).expect(400)
    await send('00000000-0000-4000-8000-000000000000', 1, power(1)).expect(404)
    expect((await h.api.get(`/api/conversions/${id}`)).body).toMatchObject({ revision: 1, plan })
  })
})

describe('revisions', () => {
  interface Line {
    revision: number
    origin: string
    name?: string
    changed?: { count: number; first: string[] }
  }
  const lines = async (id: string) => (await h.api.get(`/api/conversions/${id}/revisions`).expect(200)).body as Line[]
  /** As if everything kept so far had been kept that much earlier. */
  const age = (id: string, by: string) =>
    h.db.execute(sql`update revisions set saved_at = saved_at - ${by}::interval, begun_at = begun_at - ${by}::interval
      where conversion_id = ${id}`)
  /** As if it had been thinned before all of that. */
  const neverThinned = () => h.db.execute(sql`delete from marks where name = 'thinned'`)
  const power = (plan: Plan, watts: number) => applyPatch(plan, [set('motor.powerW', watts)])

  test('every kept plan can be looked at and restored, which is a revision too', async () => {
    const { id, plan } = await begin()
    const second = applyPatch(plan, [set('motor.powerW', 1100)])
    await save(id, 1, second).expect(200)
    await age(id, '2 minutes')
    await save(id, 2, applyPatch(second, [set('motor.powerW', undefined)])).expect(200)
    expect((await h.api.get(`/api/conversions/${id}/revisions/2`).expect(200)).body.plan).toEqual(second)
    expect(
      (await h.api.post(`/api/conversions/${id}/revisions/2/restore`).send({ baseRevision: 3 }).expect(200)).body,
    ).toMatchObject({ revision: 4, plan: second })
    expect((await lines(id)).map(({ origin }) => origin)).toEqual(['restored from 2', 'edited', 'edited', 'begun'])
    await h.api.get(`/api/conversions/${id}/revisions/9`).expect(404)
    await h.api.get(`/api/conversions/${id}/revisions/x`).expect(400)
  })

  test('a burst of work is one, and says what it changed since the one before', async () => {
    const { id, plan } = await begin()
    const [first, second] = [power(plan, 1100), power(plan, 1500)]
    await save(id, 1, first).expect(200)
    await save(id, 2, applyPatch(second, [set('motor.lowVoltageA', 4)])).expect(200)
    expect(await lines(id)).toMatchObject([
      { revision: 3, changed: { count: 2, first: ['Motor, Power', 'Motor, Amps'] } },
      { revision: 1, origin: 'begun' },
    ])
    const gone = await h.api.get(`/api/conversions/${id}/revisions/2`).expect(404)
    expect(gone.body.detail).toMatch(/Revision 2 was not kept by itself/)
    // Said anew once more work joins the burst.
    await save(id, 3, applyPatch(second, [set('motor.lowVoltageA', 6), set('motor.ratedSpeedRpm', 950)])).expect(200)
    expect((await lines(id))[0]?.changed).toEqual({
      count: 3,
      first: ['Motor, Power', 'Motor, Amps', 'Motor, Speed'],
    })
  })

  test('one with a name is never gone over, and can lose its name again', async () => {
    const { id, plan } = await begin()
    const [first, second] = [power(plan, 1100), power(plan, 1500)]
    await save(id, 1, first).expect(200)
    const name = (to: string | null, revision = 2) =>
      h.api.put(`/api/conversions/${id}/revisions/${revision}/name`).send({ name: to })
    await name('  Before the bigger motor ').expect(204)
    await save(id, 2, second).expect(200)
    expect((await lines(id)).map((l) => [l.revision, l.name])).toEqual([
      [3, undefined],
      [2, 'Before the bigger motor'],
      [1, undefined],
    ])
    await name(null).expect(204)
    expect((await lines(id))[1]).not.toHaveProperty('name')
    await name('').expect(400)
    await name('x', 9).expect(404)
  })

  test('after a day the last of each hour stays, and what has a name; the others say so', async () => {
    const { id, plan } = await begin()
    for (const [i, watts] of [370, 550, 750, 1100, 1500].entries()) {
      await save(id, i + 1, power(plan, watts)).expect(200)
      await age(id, '20 minutes')
    }
    await h.api.put(`/api/conversions/${id}/revisions/2/name`).send({ name: 'First' }).expect(204)
    const kept = async () => (await lines(id)).map(({ revision }) => revision)
    await neverThinned()
    await thinRevisions(h.db)
    expect(await kept()).toEqual([6, 5, 4, 3, 2, 1])
    // The hours are those of the clock: set so that 3 and 4 share one, 5 and 6 the next.
    await h.db.execute(sql`update revisions set saved_at =
      date_trunc('hour', now()) - interval '50 hours' + ((revision - 3) * 30 + 5) * interval '1 minute'
      where conversion_id = ${id}`)
    await neverThinned()
    expect(await thinRevisions(h.db)).toBe(2)
    expect(await kept()).toEqual([6, 4, 2, 1])
    expect((await lines(id))[0]?.changed).toEqual({ count: 1, first: ['Motor, Power'] })
    expect((await h.api.get(`/api/conversions/${id}`)).body.revision).toBe(6)
    expect(await thinRevisions(h.db)).toBe(0)
  })
})

describe('what is ticked and read back', () => {
  test('is a row for each time it changes, whatever becomes of the revisions', async () => {
    const { id, plan } = await begin()
    const steps = [
      [set('checks.earthProved', true), set('motor.powerW', 1100)],
      [set('settings.inDrive.maximumHz', 60), set('settings.state', 'entered')],
      [set('settings.inDrive.maximumHz', 70)],
      [set('checks.earthProved', undefined)],
    ]
    let now = plan
    for (const [i, patch] of steps.entries()) {
      now = applyPatch(now, patch)
      await save(id, i + 1, now).expect(200)
    }
    const { body } = await h.api.get(`/api/conversions/${id}/entries`).expect(200)
    expect(body.map(({ path, value }: { path: string; value?: unknown }) => [path, value])).toEqual([
      ['checks.earthProved', true],
      ['settings.inDrive.maximumHz', 60],
      ['settings.state', 'entered'],
      ['settings.inDrive.maximumHz', 70],
      ['checks.earthProved', undefined],
    ])
    expect(body[0]).toMatchObject({ by: 'this computer' })
    expect((await h.api.get(`/api/conversions/${id}/revisions`)).body).toHaveLength(2)
  })
  test('carries why, where that was said with the change, and what became of a line of the card', async () => {
    const { id, plan } = await begin()
    const steps = [
      [set('settings.chosen.decelerationS', 12), set('settings.why', { decelerationS: 'the chuck let go' })],
      [
        set('settings.entered', { '2.15': { answer: 'refused', value: '12.0', said: 'not so' } }),
        set('wiring.codesHeld', { '5.05': 'enable' }),
      ],
      [set('settings.chosen.decelerationS', 15)],
      [set('settings.why', { decelerationS: 'still squeals' })],
    ] as const
    let now = plan
    for (const [i, patch] of steps.entries()) {
      now = applyPatch(now, patch)
      await save(id, i + 1, now).expect(200)
    }
    const { body } = await h.api.get(`/api/conversions/${id}/entries`).expect(200)
    expect(
      body.map(({ path, value, reason }: { path: string; value?: unknown; reason?: string }) => [path, value, reason]),
    ).toEqual([
      ['settings.chosen.decelerationS', 12, 'the chuck let go'],
      ['settings.entered.2.15', 'refused, 12.0, not so', undefined],
      ['wiring.codesHeld.5.05', 'enable', undefined],
      ['settings.chosen.decelerationS', 15, undefined],
      ['settings.chosen.decelerationS', 15, 'still squeals'],
    ])
  })
})

describe('a past day', () => {
  test('has the conversion as it stood then, and none before it was begun', async () => {
    const { id, plan } = await begin()
    const before = new Date(Date.now() - 86_400_000).toISOString()
    await h.api.get(`/api/conversions/${id}`).expect(200)
    const then = new Date().toISOString()
    await save(id, 1, applyPatch(plan, [set('settings.chosen.stopMode', 'coast')])).expect(200)
    const at = (moment: string) => h.api.get(`/api/conversions/${id}/at/${encodeURIComponent(moment)}`)
    expect((await at(then).expect(200)).body).toMatchObject({ revision: 1, plan: { settings: { chosen: {} } } })
    const now = (await at(new Date(Date.now() + 1000).toISOString()).expect(200)).body
    expect(now.plan.settings.chosen.stopMode).toBe('coast')
    await at(before).expect(404)
    await at('yesterday').expect(400)
  })
})

describe('files', () => {
  test('export and import give the same plan and evaluation in another shop', async () => {
    const { id, plan } = await begin()
    await save(
      id,
      1,
      applyPatch(plan, [
        set('motor.powerW', 1500),
        set('motor.ratedSpeedRpm', 1420),
        set('motor.ratedFrequencyHz', 50),
      ]),
    ).expect(200)
    const file = (await h.api.get(`/api/conversions/${id}/export`).expect(200)).body
    const other = (await h.api.post('/api/shops').send({ name: 'Other' })).body.id
    const taken = (await h.api.post(`/api/shops/${other}/import`).send(file).expect(201)).body
    const evaluation = async (of: string) => (await h.api.get(`/api/conversions/${of}/evaluation`).expect(200)).body
    expect(await evaluation(taken.id)).toEqual(await evaluation(id))
    expect(await evaluation(taken.id)).toEqual(JSON.parse(JSON.stringify(evaluate(file.plan))))
  })
  test('a bad file is refused whole, with every fault, and nothing is made of it', async () => {
    const before = (await h.api.get(`/api/shops/${shopId}/conversions`)).body.length
    const refused = await h.api
      .post(`/api/shops/${shopId}/import`)
      .send({ format: 'zesty-lathe/conversion', plan: { ...emptyPlan('x'), motor: { powerW: -1, extra: 1 } } })
      .expect(422)
    expect(refused.body.faults).toHaveLength(2)
    expect((await h.api.get(`/api/shops/${shopId}/conversions`)).body).toHaveLength(before)
  })
  test('a file of 80 MB, broken JSON and no JSON at all', async () => {
    const at = `/api/shops/${shopId}/import`
    expect(
      (
        await h.api
          .post(at)
          .set('content-type', 'application/json')
          .send(`"${'x'.repeat(80_000_000)}"`)
          .expect(413)
      ).body,
    ).toMatchObject({ status: 413, title: 'Too large' })
    expect(
      (await h.api.post(at).set('content-type', 'application/json').send('{"format":').expect(400)).body.title,
    ).toBe('Bad input')
    await h.api.post(at).set('content-type', 'text/plain').send('hello').expect(422)
    await h.api.post(at).send([1, 2]).expect(422)
  })
  test('rules are served in words, one by one and as a list', async () => {
    const { body } = await h.api.get('/api/rules/motor.rated-torque').expect(200)
    expect(body).toMatchObject({ id: 'motor.rated-torque', formula: expect.stringMatching(/60 P/) })
    expect((await h.api.get('/api/rules').expect(200)).body.length).toBeGreaterThan(60)
    expect((await h.api.get('/api/rules/motor.guess').expect(404)).body.status).toBe(404)
  })
  test('the schema is served', async () => {
    expect((await h.api.get('/api/schema/conversion-6.json').expect(200)).body.title).toBe('Zesty Lathe conversion')
    await h.api.get('/api/schema/constructor').expect(404)
    await h.api.get('/api/schema/conversion-9.json').expect(404)
  })
})

describe('what is not there', () => {
  test.each([
    '/api/conversions/00000000-0000-4000-8000-000000000000',
    '/api/conversions/nonsense',
    '/api/shops/nonsense',
    '/api/nothing',
  ])('%s', async (path) => {
    expect(
      (
        await h.api
          .get(path)
          .expect(404)
          .expect('content-type', /problem\+json/)
      ).body,
    ).toMatchObject({ status: 404, type: 'about:blank' })
  })
  test('a conversion cannot begin in a shop that is not there', async () => {
    await h.api.post('/api/shops/00000000-0000-4000-8000-000000000000/conversions').send({ name: 'x' }).expect(404)
  })
  test('a conversion taken away is gone, and so are its revisions', async () => {
    const { id } = await begin()
    await h.api.delete(`/api/conversions/${id}`).expect(204)
    await h.api.get(`/api/conversions/${id}`).expect(404)
    await h.api.get(`/api/conversions/${id}/revisions`).expect(404)
    await h.api.delete(`/api/conversions/${id}`).expect(404)
  })
})

test('a conversion is opened with what is said of that very revision', async () => {
  const { body: shop } = await h.api.post('/api/shops').send({ name: 'Opened' })
  const { body: begun } = await h.api.post(`/api/shops/${shop.id}/conversions`).send({ name: 'Lathe' }).expect(201)
  const plan = { ...emptyPlan('Lathe'), motor: { powerW: 1500, ratedFrequencyHz: 50, ratedSpeedRpm: 1420 } }
  await h.api.put(`/api/conversions/${begun.id}`).send({ baseRevision: 1, plan }).expect(200)
  const { body } = await h.api.get(`/api/conversions/${begun.id}/judged`).expect(200)
  expect([body.conversion.revision, body.conversion.plan]).toEqual([2, plan])
  expect(body.evaluation).toEqual(JSON.parse(JSON.stringify(evaluate(plan))))
  expect(body.evaluation.figures['motor.poles'].value).toBe(4)
  await h.api.get('/api/conversions/00000000-0000-4000-8000-000000000000/judged').expect(404)
})

test('a stored plan that cannot be read says so, and can still be taken out as it is', async () => {
  const { body } = await h.api.post('/api/shops').send({ name: 'Torn' })
  const plan = { ...emptyPlan('Torn lathe'), motor: { kind: 'steam' }, schemaVersion: 2 }
  const { rows } = await h.db.execute<{ id: string }>(
    sql`insert into conversions (shop_id, plan) values (${body.id}, ${JSON.stringify(plan)}) returning id`,
  )
  const id = rows[0]?.id ?? ''
  const [line] = (await h.api.get(`/api/shops/${body.id}/conversions`).expect(200)).body
  expect(line).toMatchObject({ id, name: 'Torn lathe', unreadable: expect.stringMatching(/motor/) })
  expect((await h.api.get(`/api/conversions/${id}`).expect(422)).body.faults.length).toBeGreaterThan(0)
  const file = await h.api.get(`/api/conversions/${id}/export`).expect(200)
  expect(JSON.parse(file.text)).toMatchObject({ plan })
})

describe('documentation of the API', () => {
  test('is served, with the schemas that the server reads by', async () => {
    await h.api.get('/api/docs').expect(200)
    const { paths, components } = (await h.api.get('/api/docs-json').expect(200)).body
    const { content } = paths['/api/conversions/{id}'].put.requestBody
    expect(content['application/json'].schema).toEqual({ $ref: '#/components/schemas/Save' })
    expect(Object.keys(components.schemas.Save.properties)).toEqual(['baseRevision', 'plan'])
  })
  test('has every route of the server and no other', () => {
    const described = operations.map(({ method, path }) => `${method} ${path.replace(/\{(\w+)\}/g, ':$1')}`)
    expect(routesOf(h).sort()).toEqual(described.sort())
  })
})

test('answers only to names of this machine', async () => {
  await h.api.get('/api/shops').set('host', 'evil.example').expect(403)
  await h.api.get('/api/shops').set('host', 'localhost:4747').expect(200)
})

test('carries a strict content-security policy', async () => {
  const policy = (await h.api.get('/api/shops')).headers['content-security-policy']
  expect(policy).toContain("script-src 'self'")
  expect(policy).not.toContain('upgrade-insecure-requests')
})
