import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { emptyPlan, set, applyPatch } from '@zesty/core'
import { readWhole, WHOLE_DOCUMENT } from '@zesty/core/formats'
import { eq, asc } from 'drizzle-orm'
import { strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { conversions, entries, logEntries, measurements, photos, revisions } from '../src/db/schema'
import { bytesOf } from './bytesOf'
import { harness, type Harness } from './harness'

let h: Harness
let shopId: string
beforeAll(async () => {
  h = await harness()
  shopId = await newShop('Here')
})
afterAll(() => h.close())

const newShop = async (name: string): Promise<string> =>
  (await h.api.post('/api/shops').send({ name }).expect(201)).body.id
const jpeg = (fill: number) => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(60, fill)])
const zipOf = async (id: string) =>
  (await h.api.get(`/api/conversions/${id}/whole`).buffer().parse(bytesOf).expect(200)).body as Buffer
const send = (shop: string, zip: Uint8Array) =>
  h.api.post(`/api/shops/${shop}/whole`).set('content-type', 'application/zip').send(Buffer.from(zip))

/** A conversion with something in every table. */
async function full(): Promise<string> {
  const { id } = (await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Lathe' }).expect(201)).body
  let plan = emptyPlan('Lathe')
  for (const [i, patch] of [
    [set('motor.powerW', 1100)],
    [set('checks.earthProved', true), set('settings.inDrive', { overloadA: 6 })],
    [set('runIn.seen', { 'bare-low.direction': 'good' })],
  ].entries()) {
    plan = applyPatch(plan, patch)
    await h.api
      .put(`/api/conversions/${id}`)
      .send({ baseRevision: i + 1, plan })
      .expect(200)
  }
  await h.api
    .post(`/api/conversions/${id}/measurements`)
    .send({
      measurements: [
        { kind: 'amps', value: 3.1, lead: 'u', hz: 50, takenAt: '2026-03-01T10:00:00.000Z', note: 'é, “quoted”' },
        { kind: 'spindle-speed', value: 412, dial: 5, commandedRpm: 400, takenAt: '2026-03-01T10:05:00.000Z' },
      ],
    })
    .expect(201)
  await h.api
    .post(`/api/conversions/${id}/log`)
    .send({
      entries: [
        {
          id: '5a7e4f0e-3a54-4d5b-9a3e-100000000001',
          kind: 'symptom',
          symptom: 'slows',
          at: '2026-03-02T10:00:00.000Z',
        },
        {
          id: '5a7e4f0e-3a54-4d5b-9a3e-100000000002',
          kind: 'cost',
          price: 42.5,
          text: '<b>box</b>',
          at: '2026-03-03T10:00:00.000Z',
        },
      ],
    })
    .expect(201)
  for (const n of [1, 2])
    await h.api
      .post(`/api/conversions/${id}/photos`)
      .send({
        id: `5a7e4f0e-3a54-4d5b-9a3e-20000000000${n}`,
        of: 'found',
        widthPx: 10,
        heightPx: 10,
        takenAt: `2026-03-0${n}T10:00:00.000Z`,
        note: `photo ${n}`,
        jpeg: jpeg(n).toString('base64'),
      })
      .expect(201)
  return id
}

/** Every row of a conversion in every table, without the ids that are of one database only. */
async function rowsOf(id: string) {
  const without = (rows: Record<string, unknown>[]) =>
    rows.map((row) =>
      Object.fromEntries(Object.entries(row).filter(([key]) => !/^(id|conversionId|shopId)$/.test(key))),
    )
  const { db } = h
  const [conversion] = await db.select().from(conversions).where(eq(conversions.id, id))
  return {
    conversion: without([conversion ?? {}]).map(({ plan, revision, createdAt, savedAt }) => ({
      plan,
      revision,
      createdAt,
      savedAt,
    })),
    revisions: without(
      await db.select().from(revisions).where(eq(revisions.conversionId, id)).orderBy(asc(revisions.revision)),
    ).map((row) => ({ ...row, changed: null, changedSince: null })),
    entries: without(
      await db.select().from(entries).where(eq(entries.conversionId, id)).orderBy(asc(entries.at), asc(entries.path)),
    ),
    measurements: without(
      await db.select().from(measurements).where(eq(measurements.conversionId, id)).orderBy(asc(measurements.takenAt)),
    ),
    log: without(await db.select().from(logEntries).where(eq(logEntries.conversionId, id)).orderBy(asc(logEntries.at))),
    photos: without(await db.select().from(photos).where(eq(photos.conversionId, id)).orderBy(asc(photos.takenAt))),
  }
}

test('a conversion comes back whole in another shop, equal in every table', async () => {
  const id = await full()
  const zip = await zipOf(id)
  const other = await newShop('There')
  const { body } = await send(other, zip).expect(201)
  expect(body.shopId).toBe(other)
  const [was, is] = [await rowsOf(id), await rowsOf(body.id)]
  expect(was.revisions.length).toBeGreaterThan(0)
  expect([was.entries.length, was.measurements.length, was.log.length, was.photos.length]).toEqual([
    was.entries.length > 0 ? was.entries.length : 1,
    2,
    2,
    2,
  ])
  expect(is).toEqual(was)
  // And once more from there, the same to the last byte of its document.
  const document = (of: Uint8Array) => Buffer.from(unzipSync(of)[WHOLE_DOCUMENT] ?? []).toString()
  expect(document(await zipOf(body.id))).toBe(document(zip))
})

test('it opens with another program, and its document fits its published schema', async () => {
  const zip = await zipOf(
    await full().catch(async () => (await h.api.get(`/api/shops/${shopId}/conversions`)).body[0].id),
  )
  expect(zip.subarray(0, 2).toString()).toBe('PK')
  const files = unzipSync(zip)
  expect(Object.keys(files)).toEqual([WHOLE_DOCUMENT, 'photos/0001.jpg', 'photos/0002.jpg'])
  expect(readWhole(files).ok).toBe(true)
  expect((await h.api.get('/api/schema/whole-1.json').expect(200)).body.title).toBe('Zesty Lathe whole conversion')
})

test('one that is not right is refused whole, with every reason', async () => {
  const [{ id }] = (await h.api.get(`/api/shops/${shopId}/conversions`)).body
  const zip = await zipOf(id)
  const files = unzipSync(zip)
  const count = async () => ((await h.api.get(`/api/shops/${shopId}/conversions`)).body as unknown[]).length
  const before = await count()
  const document = (): Record<string, unknown> =>
    JSON.parse(Buffer.from(files[WHOLE_DOCUMENT] ?? []).toString()) as Record<string, unknown>
  const again = (more: Zippable, json: Record<string, unknown> = document()) =>
    zipSync({ ...files, [WHOLE_DOCUMENT]: strToU8(JSON.stringify(json)), ...more })
  const refused: [Uint8Array, RegExp][] = [
    [Buffer.from('no zip at all'), /is no ZIP that can be read/],
    [zipSync({ 'other.txt': strToU8('x') }), /holds no whole\.json/],
    [again({ 'script.js': strToU8('alert(1)') }), /script\.js is a file not known here/],
    [again({ '../../etc/passwd': strToU8('x') }), /is a file not known here/],
    [again({ 'photos/0001.jpg': strToU8('<svg onload=alert(1)>') }), /photos\/0001\.jpg is no JPEG/],
    [again({}, { ...document(), format: 'other' }), /format must be/],
    [again({}, { ...document(), revision: 99 }), /revision 99 is not among the revisions/],
    [again({}, { ...document(), extra: 1 }), /extra is not a key known here/],
    [
      again({}, { ...document(), conversion: { ...(document()['conversion'] as object), plan: { schemaVersion: 6 } } }),
      /conversion\.plan/,
    ],
  ]
  for (const [bad, why] of refused) {
    const { status, body } = await send(shopId, bad)
    expect([status, String(body.detail)]).toEqual([422, expect.stringMatching(why)])
  }
  expect(await count()).toBe(before)
})

/** A ZIP whose directory says that its first file unpacks to so many bytes. */
function saying(size: number): Buffer {
  const zip = Buffer.from(zipSync({ [WHOLE_DOCUMENT]: strToU8('{}') }))
  zip.writeUInt32LE(size, zip.indexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02])) + 24)
  return zip
}

test('one that says it unpacks to more than is taken is refused before it is unpacked', async () => {
  const { status, body } = await send(shopId, saying(170_000_000))
  expect([status, body.detail]).toEqual([422, expect.stringMatching(/unpacks to more than 160 MB/)])
})

test('ticks that no database keeps are mended or refused, never a fault of the program', async () => {
  const { id } = (await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Ticks' }).expect(201)).body
  const files = unzipSync(await zipOf(id))
  const document = JSON.parse(new TextDecoder().decode(files[WHOLE_DOCUMENT])) as { entries: object[] }
  const tick = { path: 'checks.earthProved', at: '2026-03-01T10:00:00.000Z' }
  const deep = (levels: number): unknown => (levels === 0 ? 1 : [deep(levels - 1)])
  const sentWith = (entry: object) =>
    send(
      shopId,
      zipSync({
        ...(files as Zippable),
        [WHOLE_DOCUMENT]: strToU8(JSON.stringify({ ...document, entries: [...document.entries, entry] })),
      }),
    )
  await sentWith({ ...tick, value: 'a\0\ud800b' }).expect(201)
  await sentWith({ ...tick, value: { 'a\0': 'b' } }).expect(422)
  await sentWith({ ...tick, value: deep(2000) }).expect(422)
  await sentWith({ ...tick, value: 1, at: '0000-01-01T00:00:00.000Z' }).expect(422)
})
