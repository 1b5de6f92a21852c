import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { settleDemo } from '../src/demo/demoShops'
import { demoFolder, harness, samples, type Harness } from './harness'

let h: Harness
beforeAll(async () => {
  h = await harness()
})
afterAll(() => h.close())

const shops = async () =>
  (await h.api.get('/api/shops').expect(200)).body as { id: string; name: string; machines: number; units: string }[]

describe('shops', () => {
  test('are made, renamed, given other units and taken away', async () => {
    const { id } = (await h.api.post('/api/shops').send({ name: '  Back shed ' }).expect(201)).body
    expect((await h.api.patch(`/api/shops/${id}`).send({ units: 'imperial' }).expect(200)).body).toMatchObject({
      name: 'Back shed',
      units: 'imperial',
    })
    expect((await h.api.patch(`/api/shops/${id}`).send({}).expect(200)).body.units).toBe('imperial')
    await h.api.delete(`/api/shops/${id}`).expect(204)
    await h.api.get(`/api/shops/${id}`).expect(404)
  })
  test.each([
    [{}, 'name'],
    [{ name: ' ' }, 'name'],
    [{ name: 'x'.repeat(81) }, 'name'],
    [{ name: 'x', units: 'cubits' }, 'units'],
    [{ name: 'x', admin: true }, 'admin'],
  ])('%j is refused at %s', async (body, field) => {
    const refused = await h.api.post('/api/shops').send(body).expect(400)
    expect(refused.body.faults[0].field).toBe(field)
  })
})

describe('demo data', () => {
  test('comes once, goes where untouched, stays where changed, and comes back when asked', async () => {
    await settleDemo(h.db, demoFolder, samples, 'as-before')
    await settleDemo(h.db, demoFolder, samples, 'as-before')
    expect((await shops()).map((s) => [s.name, s.machines])).toEqual([
      ['Saltpan Row', 6],
      ['Juniper Wash', 4],
    ])
    const [first] = await shops()
    const [machine] = (await h.api.get(`/api/shops/${first?.id}/conversions`).expect(200)).body
    const { plan } = (await h.api.get(`/api/conversions/${machine.id}`)).body
    await h.api
      .put(`/api/conversions/${machine.id}`)
      .send({ baseRevision: 1, plan: { ...plan, name: 'Mine' } })
      .expect(200)
    expect(await settleDemo(h.db, demoFolder, samples, 'remove')).toEqual([
      'Kept, because you changed it: Saltpan Row.',
    ])
    expect((await shops()).map((s) => s.name)).toEqual(['Saltpan Row'])
    await settleDemo(h.db, demoFolder, samples, 'as-before')
    expect(await shops()).toHaveLength(1)
    await settleDemo(h.db, demoFolder, samples, 'add')
    expect(await shops()).toHaveLength(3)
  })
  test('a demo shop whose library was changed stays too', async () => {
    await settleDemo(h.db, demoFolder, samples, 'add')
    const all = await shops()
    for (const shop of all.slice(0, -1)) await h.api.delete(`/api/shops/${shop.id}`).expect(204)
    const left = all.at(-1)
    await h.api.post(`/api/shops/${left?.id}/library`).send({ kind: 'motor', name: 'Mine', item: {} }).expect(201)
    expect(await settleDemo(h.db, demoFolder, samples, 'remove')).toEqual([
      `Kept, because you changed it: ${left?.name}.`,
    ])
    await settleDemo(h.db, demoFolder, samples, 'add')
  })
  test('its machines stand on circuits of their shop', async () => {
    for (const shop of (await shops()).slice(-2)) {
      const library = (await h.api.get(`/api/shops/${shop.id}/library`).expect(200)).body as { id: string }[]
      const ids = library.map((i) => i.id)
      for (const m of (await h.api.get(`/api/shops/${shop.id}/conversions`)).body)
        expect(ids).toContain(m.branchCircuitId)
    }
  })
  test('every machine of it has something to act on; the one that is finished nothing to mend', async () => {
    const finished = 'Plain-bed lathe, west wall'
    for (const shop of await shops())
      for (const m of (await h.api.get(`/api/shops/${shop.id}/conversions`)).body)
        expect([m.name, Number(m.stops) + Number(m.watches) > 0, m.next !== undefined]).toEqual([
          m.name,
          m.name !== finished,
          true,
        ])
  })
})
