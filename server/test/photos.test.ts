import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { keptPhotoSchema, LARGEST_PHOTO } from '@zesty/core/http'
import { emptyManual } from '@zesty/core/manual'
import { harness, type Harness } from './harness'

let h: Harness
let shopId: string
beforeAll(async () => {
  h = await harness()
  shopId = await newShop()
})
afterAll(() => h.close())

const newShop = async (): Promise<string> =>
  (await h.api.post('/api/shops').send({ name: 'Photos' }).expect(201)).body.id
const begin = async (shop = shopId) =>
  (await h.api.post(`/api/shops/${shop}/conversions`).send({ name: 'Lathe' }).expect(201)).body.id as string
const at = (id: string) => `/api/conversions/${id}/photos`
let made = 0
const newId = () => `5a7e4f0e-3a54-4d5b-9a3e-${String((made += 1)).padStart(12, '0')}`

/** As long as is wanted, beginning as every JPEG does. */
const jpeg = (bytes = 40) => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(bytes - 4, 7)])
const photo = (more: object = {}, content = jpeg()) => ({
  id: newId(),
  of: 'step',
  subject: 'earth',
  note: 'screw',
  widthPx: 1600,
  heightPx: 1200,
  takenAt: '2026-03-01T10:00:00.000Z',
  jpeg: content.toString('base64'),
  ...more,
})

test('a photo is kept as it was sent, once, and told without its content', async () => {
  const id = await begin()
  const one = photo()
  const { jpeg: content, ...rest } = one
  const told = { ...rest, by: 'this computer' }
  expect(keptPhotoSchema.parse((await h.api.post(at(id)).send(one).expect(201)).body)).toEqual(told)
  await h.api.post(at(id)).send(one).expect(201)
  expect((await h.api.get(at(id)).expect(200)).body).toEqual([told])
  const { body, headers } = await h.api.get(`${at(id)}/${one.id}`).expect(200)
  expect((body as Buffer).toString('base64')).toBe(content)
  expect(headers['content-type']).toBe('image/jpeg')
  expect(headers['x-content-type-options']).toBe('nosniff')
  // Who has it need not have it sent again, and still has to ask.
  expect(headers['cache-control']).toBe('private, no-cache')
  const again = () => h.api.get(`${at(id)}/${one.id}`).set('if-none-match', String(headers['etag']))
  expect((await again().expect(304)).text).toBeFalsy()
  await h.api.delete(`${at(id)}/${one.id}`).expect(204)
  await again().expect(404)
})

test('what is seen on it can be said, and it can be taken away', async () => {
  const id = await begin()
  const one = photo()
  await h.api.post(at(id)).send(one).expect(201)
  await h.api
    .put(`${at(id)}/${one.id}/note`)
    .send({ note: ' drum, from the left ' })
    .expect(204)
  expect((await h.api.get(at(id))).body[0].note).toBe('drum, from the left')
  await h.api
    .put(`${at(id)}/${one.id}/note`)
    .send({ note: '' })
    .expect(204)
  expect((await h.api.get(at(id))).body[0].note).toBeUndefined()
  await h.api.delete(`${at(id)}/${one.id}`).expect(204)
  await h.api.get(`${at(id)}/${one.id}`).expect(404)
  await h.api.delete(`${at(id)}/${one.id}`).expect(404)
  await h.api
    .put(`${at(id)}/${one.id}/note`)
    .send({ note: 'gone' })
    .expect(404)
})

test.each([
  ['no JPEG', { jpeg: Buffer.from('<svg onload="alert(1)"/>').toString('base64') }, 'jpeg'],
  ['no base64', { jpeg: '/9j/***' }, 'jpeg'],
  ['too large', { jpeg: jpeg(LARGEST_PHOTO + 3).toString('base64') }, 'jpeg'],
  ['of nothing', { of: 'cat' }, 'of'],
  ['a note too long', { note: 'x'.repeat(201) }, 'note'],
])('%s is refused by its field', async (_what, more, field) => {
  const { body } = await h.api
    .post(at(await begin()))
    .send(photo(more))
    .expect(400)
  expect(body.faults.map((f: { field: string }) => f.field)).toContain(field)
})

test('a machine keeps 24 MB, and says so at the next', async () => {
  const id = await begin()
  for (let i = 0; i < 24; i += 1)
    await h.api
      .post(at(id))
      .send(photo({}, jpeg(LARGEST_PHOTO)))
      .expect(201)
  const { body } = await h.api.post(at(id)).send(photo()).expect(422)
  expect(body.detail).toContain('24 MB')
  expect((await h.api.get(at(id))).body).toHaveLength(24)
})

test('pages of a manual are the shop’s: seen at its every machine, and by no other shop', async () => {
  const shop = await newShop()
  const [first, second, stranger] = [await begin(shop), await begin(shop), await begin(await newShop())]
  const page = photo({ of: 'manual', subject: 'Heron' })
  await h.api.post(at(first)).send(page).expect(201)
  expect((await h.api.get(at(second))).body).toHaveLength(1)
  await h.api.get(`${at(second)}/${page.id}`).expect(200)
  await h.api.get(`/api/shops/${shop}/photos/${page.id}`).expect(200)
  expect((await h.api.get(`/api/shops/${shop}/photos`)).body).toHaveLength(1)
  expect((await h.api.get(at(stranger))).body).toEqual([])
  await h.api.get(`${at(stranger)}/${page.id}`).expect(404)
  await h.api.delete(`/api/conversions/${first}`).expect(204)
  await h.api.get(`${at(second)}/${page.id}`).expect(200)
})

test('a photo of one machine is no other machine’s', async () => {
  const [mine, other] = [await begin(), await begin()]
  const one = photo()
  await h.api.post(at(mine)).send(one).expect(201)
  await h.api.get(`${at(other)}/${one.id}`).expect(404)
  await h.api.delete(`${at(other)}/${one.id}`).expect(404)
  await h.api.post(at(other)).send(one).expect(422)
  await h.api.get(`/api/shops/${shopId}/photos/${one.id}`).expect(404)
})

test('a file takes photos and the pages of its manual along, to another shop', async () => {
  const shop = await newShop()
  const id = await begin(shop)
  const { body: kept } = await h.api.get(`/api/conversions/${id}`)
  const plan = { ...kept.plan, manual: emptyManual('Heron') }
  await h.api.put(`/api/conversions/${id}`).send({ baseRevision: 1, plan }).expect(200)
  for (const one of [
    photo(),
    photo({ of: 'found', subject: undefined }),
    photo({ of: 'manual', subject: 'Heron' }),
    photo({ of: 'manual', subject: 'Curlew' }),
  ])
    await h.api.post(at(id)).send(one).expect(201)
  const { body: file } = await h.api.get(`/api/conversions/${id}/export`).expect(200)
  expect(file.photos).toHaveLength(3)
  const elsewhere = await newShop()
  const { body: taken } = await h.api.post(`/api/shops/${elsewhere}/import`).send(file).expect(201)
  const { body: there } = await h.api.get(at(taken.id))
  expect(there.map((p: { of: string }) => p.of).sort()).toEqual(['found', 'manual', 'step'])
  const { body: content } = await h.api.get(`${at(taken.id)}/${there[0].id}`)
  expect(Buffer.compare(content as Buffer, jpeg())).toBe(0)
})

test('a file with photos of 10 MB is taken in; one with what is no photo is not', async () => {
  const id = await begin()
  for (let i = 0; i < 10; i += 1)
    await h.api
      .post(at(id))
      .send(photo({}, jpeg(LARGEST_PHOTO)))
      .expect(201)
  const { body: file } = await h.api.get(`/api/conversions/${id}/export`).expect(200)
  await h.api.post(`/api/shops/${shopId}/import`).send(file).expect(201)
  file.photos[3].jpeg = 'R0lGODlh'
  const { body } = await h.api.post(`/api/shops/${shopId}/import`).send(file).expect(422)
  expect(body.faults[0].field).toBe('photos[3].jpeg')
})

test('a copy begins without them', async () => {
  const id = await begin()
  await h.api.post(at(id)).send(photo()).expect(201)
  const { body: copy } = await h.api.post(`/api/conversions/${id}/copy`).expect(201)
  expect((await h.api.get(at(copy.id))).body).toEqual([])
})
