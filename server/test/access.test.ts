import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { randomUUID, X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { request } from 'node:https'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { applyPatch, emptyPlan, set, type Plan } from '@zesty/core'
import { eq } from 'drizzle-orm'
import { shopCertificate } from '../src/access/certificate'
import { openNetwork } from '../src/access/openNetwork'
import { changedPaths } from '../src/access/measuredPaths'
import { wordsMeant } from '../src/access/secrets'
import { attempts, devices, invitations } from '../src/db/schema'
import { operations } from '../src/openapi/operations'
import { harness, type Harness } from './harness'

let folder: string
let h: Harness
let server: Server
let port: number
let shopId: string
let machine: { id: string; plan: Plan }
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'access-'))
  const opened = await openNetwork({ host: '127.0.0.1', port: 0, names: ['shed.lan'], insecure: false, folder })
  h = await harness({ network: opened.network })
  server = await opened.listen(h.handler)
  port = (server.address() as AddressInfo).port
  shopId = (await h.api.post('/api/shops').send({ name: 'Network' }).expect(201)).body.id
  machine = (await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Lathe' }).expect(201)).body
})
afterAll(async () => {
  server.closeAllConnections()
  server.close()
  await h.close()
  rmSync(folder, { recursive: true })
})

interface Answer {
  status: number
  cookie: string | undefined
  // What is asked of it is said where it is asked.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  body: any
}
/** As a phone of the shop's network asks, with what it was given to show. */
const phone = (
  path: string,
  {
    method = 'GET',
    body,
    cookie,
    headers = {},
  }: { method?: string; body?: unknown; cookie?: string | undefined; headers?: object } = {},
) =>
  new Promise<Answer>((resolve, reject) => {
    const sent = request(
      {
        host: '127.0.0.1',
        port,
        path: `/api${path}`,
        method,
        ca: certificate(),
        servername: 'shed.lan',
        headers: {
          host: `shed.lan:${port}`,
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...(cookie === undefined ? {} : { cookie }),
          ...headers,
        },
      },
      (answer) => {
        let text = ''
        answer.setEncoding('utf8')
        answer.on('data', (part: string) => (text += part))
        answer.on('end', () =>
          resolve({
            status: answer.statusCode ?? 0,
            cookie: answer.headers['set-cookie']?.[0],
            body: /json/.test(answer.headers['content-type'] ?? '') && text !== '' ? JSON.parse(text) : undefined,
          }),
        )
      },
    )
    sent.on('error', reject)
    sent.end(body === undefined ? undefined : JSON.stringify(body))
  })
const certificate = () => (JSON.parse(readFileSync(join(folder, 'certificate.json'), 'utf8')) as { cert: string }).cert

const invite = async (rights: string, more = {}) =>
  (
    await h.api
      .post('/api/access/invitations')
      .send({ rights, ...more })
      .expect(201)
  ).body as {
    words: string
    address: string
    qr: string
    fingerprint: string
  }
/** Lets a phone in. Returns what it shows from then on. */
const paired = async (rights: string, more = {}, deviceName = 'Phone') => {
  const { words } = await invite(rights, more)
  const { status, cookie } = await phone('/access/pair', { method: 'POST', body: { words, deviceName } })
  expect(status).toBe(204)
  return (cookie ?? '').split(';')[0]
}

describe('a phone that nobody let in', () => {
  test.each(['/shops', '/access/me', '/access/devices', '/rules', '/schema/conversion-6.json'])(
    'gets nothing of %s',
    async (path) => {
      const { status, body } = await phone(path)
      expect([status, body]).toEqual([401, expect.objectContaining({ detail: expect.stringMatching(/six words/) })])
    },
  )
  test('gets no description of the API', async () => {
    for (const path of ['/docs', '/docs-json', '/docs/']) expect((await phone(path)).status).toBe(404)
  })
  test('gets nothing for a token that was never given', async () => {
    expect((await phone('/shops', { cookie: `__Host-zesty-device=${'x'.repeat(43)}` })).status).toBe(401)
  })
  test('is answered before any of what it sends is read', async () => {
    const status = await new Promise<number | undefined>((resolve, reject) => {
      const sent = request({
        ...{ host: '127.0.0.1', port, ca: certificate(), servername: 'shed.lan', method: 'POST' },
        path: `/api/shops/${shopId}/import`,
        headers: {
          host: `shed.lan:${port}`,
          'content-type': 'application/json',
          'content-length': 60_000_000,
        },
      })
      sent.on('response', (answer) => {
        resolve(answer.statusCode)
        sent.destroy()
      })
      sent.on('error', reject)
      // Of sixty megabytes the first letter, and then nothing.
      sent.write('{')
    })
    expect(status).toBe(401)
  })
  test('cannot say that it is the computer', async () => {
    for (const headers of [{ 'x-forwarded-for': '127.0.0.1' }, { forwarded: 'for=127.0.0.1' }, { 'x-real-ip': '::1' }])
      expect((await phone('/shops', { headers })).status).toBe(401)
    expect((await phone('/shops', { headers: { host: `localhost:${port}` } })).status).toBe(403)
  })
  test('cannot come by a name that is not this server’s', async () => {
    expect((await phone('/shops', { headers: { host: `rebound.example.test:${port}` } })).status).toBe(403)
  })
})

describe('pairing', () => {
  test('lets one device in, by words that are told once and kept only as a hash', async () => {
    const { words, address, qr, fingerprint } = await invite('all')
    expect(words.split(' ')).toHaveLength(6)
    expect(address).toBe(`https://shed.lan:0/pair#${words.replaceAll(' ', '-')}`)
    expect(qr).toMatch(/^<svg/)
    expect(fingerprint).toBe(new X509Certificate(certificate()).fingerprint256)
    // What the rows hold, not what their columns are called: a word may be part of such a name.
    const held = (await h.db.select().from(invitations)).flatMap((row) => Object.values(row).map(String))
    expect(held.join('\n')).not.toContain(words.split(' ')[0])
    const first = await phone('/access/pair', { method: 'POST', body: { words, deviceName: 'Phone' } })
    expect(first.cookie).toMatch(
      /^__Host-zesty-device=[\w-]{43}; Max-Age=34560000; Path=\/; .*HttpOnly; Secure; SameSite=Strict$/,
    )
    const cookie = first.cookie?.split(';')[0]
    expect((await phone('/shops', { cookie })).status).toBe(200)
    expect((await phone('/access/me', { cookie })).body).toMatchObject({ at: 'network', name: 'Phone', rights: 'all' })
    // Once: for nobody else, and not again.
    expect((await phone('/access/pair', { method: 'POST', body: { words, deviceName: 'Other' } })).status).toBe(403)
    const token = cookie?.split('=')[1] ?? 'none'
    expect(JSON.stringify(await h.db.select().from(devices))).not.toContain(token)
  })
  test('takes words as they are typed', () => {
    expect(wordsMeant('  Abandon-ABILITY able.  abou above absent\n')).toBe('abandon ability able about above absent')
    expect(wordsMeant('aban abil')).toBe('abandon ability')
  })
  test('ends after ten minutes', async () => {
    const { words } = await invite('all')
    await h.db.update(invitations).set({ expiresAt: new Date(Date.now() - 1) })
    expect((await phone('/access/pair', { method: 'POST', body: { words, deviceName: 'Late' } })).status).toBe(403)
  })
  test('is refused to a page of another site', async () => {
    const { words } = await invite('all')
    const headers = { origin: 'https://example.test', 'sec-fetch-site': 'cross-site' }
    expect((await phone('/access/pair', { method: 'POST', body: { words, deviceName: 'x' }, headers })).status).toBe(
      403,
    )
  })
  test('is not to be guessed: after ten wrong tries even the right words wait, on every server of the database', async () => {
    await h.db.delete(attempts)
    const { words } = await invite('all')
    const guess = (words: string) => phone('/access/pair', { method: 'POST', body: { words, deviceName: 'Guess' } })
    for (let n = 0; n < 10; n += 1) expect((await guess(`wrong ${n}`)).status).toBe(403)
    expect([(await guess('wrong again')).status, (await guess(words)).status]).toEqual([429, 429])
    await h.db.update(attempts).set({ at: new Date(Date.now() - 601_000) })
    expect((await guess(words)).status).toBe(204)
    await h.db.delete(attempts)
  })
  test('is not to be guessed by many at once either', async () => {
    await h.db.delete(attempts)
    const answers = await Promise.all(
      Array.from({ length: 25 }, (_, n) =>
        phone('/access/pair', { method: 'POST', body: { words: `wrong ${n}`, deviceName: 'Guess' } }),
      ),
    )
    const statuses = answers.map(({ status }) => status)
    expect(statuses.filter((status) => status === 403)).toHaveLength(10)
    expect(statuses.filter((status) => status === 429)).toHaveLength(15)
    await h.db.delete(attempts)
  })
  test('is for the computer alone to begin', async () => {
    const cookie = await paired('all')
    const post = (path: string, body: object) => phone(path, { method: 'POST', body, cookie })
    expect((await post('/access/invitations', { rights: 'all' })).status).toBe(403)
    expect((await post('/access/people', { name: 'x', passphrase: 'y'.repeat(12), rights: 'all' })).status).toBe(403)
    expect((await phone('/access/devices', { cookie })).status).toBe(403)
  })
})

describe('a device', () => {
  const save = (cookie: string | undefined, baseRevision: number, plan: Plan) =>
    phone(`/conversions/${machine.id}`, { method: 'PUT', body: { baseRevision, plan }, cookie })
  const revisionNow = async () =>
    (await h.api.get(`/api/conversions/${machine.id}`).expect(200)).body.revision as number

  test('that may do everything stands on what it saved', async () => {
    const cookie = await paired('all', {}, 'Tablet at the lathe')
    const base = await revisionNow()
    expect((await save(cookie, base, applyPatch(machine.plan, [set('motor.powerW', 1500)]))).status).toBe(200)
    const [latest] = (await h.api.get(`/api/conversions/${machine.id}/revisions`).expect(200)).body
    expect([latest.revision, latest.by]).toEqual([base + 1, 'Tablet at the lathe'])
    expect((await h.api.get(`/api/conversions/${machine.id}/revisions/1`)).body.by).toBe('this computer')
  })
  test('that measures keeps readings and ticks, and is told which field it may not change', async () => {
    const cookie = await paired('measure')
    const now = (await h.api.get(`/api/conversions/${machine.id}`)).body as { revision: number; plan: Plan }
    const read = applyPatch(now.plan, [set('checks.testMOhm', 500), set('settings.inDrive.baseFrequencyHz', 50)])
    expect((await save(cookie, now.revision, read)).status).toBe(200)
    const beyond = await save(
      cookie,
      now.revision + 1,
      applyPatch(read, [set('motor.powerW', 9999), set('checks.testC', 20)]),
    )
    expect([beyond.status, beyond.body.faults]).toEqual([
      403,
      [{ field: 'plan.motor.powerW', message: expect.stringMatching(/may not be changed/) }],
    ])
    // How far the build is may be ticked; how it is wired may not be changed.
    const ticked = applyPatch(read, [set('wiring.steps', { earth: { answer: 'done' as const } })])
    expect((await save(cookie, now.revision + 1, ticked)).status).toBe(200)
    const rewired = await save(cookie, now.revision + 2, applyPatch(ticked, [set('wiring.runWith', 'foot')]))
    expect(rewired.body.faults).toEqual([expect.objectContaining({ field: 'plan.wiring.runWith' })])
    const post = (path: string, body: object) => phone(path, { method: 'POST', body, cookie })
    expect((await post('/shops', { name: 'x' })).status).toBe(403)
    expect(
      (await post(`/conversions/${machine.id}/revisions/1/restore`, { baseRevision: now.revision + 2 })).status,
    ).toBe(403)
    expect((await phone(`/conversions/${machine.id}`, { method: 'DELETE', cookie })).status).toBe(403)
  })
  test('that measures takes back no decision, by a revision that is not there yet or that is gone', async () => {
    const cookie = await paired('measure')
    const old = (await h.api.get(`/api/conversions/${machine.id}`)).body as { revision: number; plan: Plan }
    expect((await save(cookie, old.revision + 1, old.plan)).status).toBe(409)
    const decided = applyPatch(old.plan, [set('motor.powerW', 2200)])
    await h.api.put(`/api/conversions/${machine.id}`).send({ baseRevision: old.revision, plan: decided }).expect(200)
    expect((await save(cookie, old.revision, old.plan)).status).toBe(409)
    expect((await save(cookie, old.revision + 1, old.plan)).status).toBe(403)
    const now = (await h.api.get(`/api/conversions/${machine.id}`)).body as { plan: Plan }
    expect(now.plan.motor.powerW).toBe(2200)
  })
  test('signs by what it is, whoever it says it was; at the computer somebody may be named', async () => {
    const cookie = await paired('measure', {}, 'Phone of the guest')
    const at = '2026-11-01T10:00:00.000Z'
    const line = (by: string) => ({ id: randomUUID(), kind: 'note', text: by, by, at })
    const reading = { kind: 'amps', value: 3, takenAt: at, by: 'The owner' }
    const post = (path: string, body: object) =>
      phone(`/conversions/${machine.id}/${path}`, { method: 'POST', body, cookie })
    expect((await post('log', { entries: [line('The owner')] })).status).toBe(201)
    expect((await post('measurements', { measurements: [reading] })).status).toBe(201)
    await h.api
      .post(`/api/conversions/${machine.id}/log`)
      .send({ entries: [line('Ida')] })
      .expect(201)
    const signed = async (path: string) =>
      ((await h.api.get(`/api/conversions/${machine.id}/${path}`)).body as { by?: string }[]).map(({ by }) => by)
    expect((await signed('log')).sort()).toEqual(['Ida', 'Phone of the guest'])
    expect(await signed('measurements')).toEqual(['Phone of the guest'])
  })
  test('that measures takes no page of the shop’s manuals away, and adds none', async () => {
    const jpeg = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 7, 7, 7, 7]).toString('base64')
    const photo = (of: string) => ({
      ...{ id: randomUUID(), of, widthPx: 1, heightPx: 1, takenAt: '2026-11-01T10:00:00.000Z', jpeg },
      ...(of === 'manual' ? { subject: 'Heron' } : {}),
    })
    const page = photo('manual')
    await h.api.post(`/api/conversions/${machine.id}/photos`).send(page).expect(201)
    const cookie = await paired('measure')
    const at = (path = '') => `/conversions/${machine.id}/photos${path}`
    expect((await phone(at(`/${page.id}`), { method: 'DELETE', cookie })).status).toBe(403)
    expect((await phone(at(`/${page.id}/note`), { method: 'PUT', body: { note: 'x' }, cookie })).status).toBe(403)
    expect((await phone(at(), { method: 'POST', body: photo('manual'), cookie })).status).toBe(403)
    const own = photo('found')
    expect((await phone(at(), { method: 'POST', body: own, cookie })).status).toBe(201)
    expect((await phone(at(`/${own.id}`), { method: 'DELETE', cookie })).status).toBe(204)
    await h.api.get(`/api/conversions/${machine.id}/photos/${page.id}`).expect(200)
  })
  test('is known by the cookie that is bound to this server, whatever else was planted', async () => {
    const cookie = (await paired('look', {}, 'Bound')) ?? ''
    const other = ((await paired('all', {}, 'Planted')) ?? '').replace('__Host-', '')
    expect((await phone('/shops', { cookie: other })).status).toBe(401)
    expect((await phone('/access/me', { cookie: `${other}; ${cookie}` })).body).toMatchObject({ name: 'Bound' })
  })
  test('that looks changes nothing', async () => {
    const cookie = await paired('look')
    expect((await phone(`/conversions/${machine.id}/judged`, { cookie })).status).toBe(200)
    const refused = await save(cookie, await revisionNow(), machine.plan)
    expect([refused.status, refused.body.detail]).toEqual([403, expect.stringMatching(/may only look/)])
  })
  test('that looks at one machine sees no other, and nothing of the shop but its units', async () => {
    const { body: other } = await h.api.post(`/api/shops/${shopId}/conversions`).send({ name: 'Mill' }).expect(201)
    const cookie = await paired('look', { conversionId: machine.id })
    const statusOf = async (path: string) => (await phone(path, { cookie })).status
    for (const path of [
      `/conversions/${machine.id}/judged`,
      `/conversions/${machine.id}/revisions`,
      `/shops/${shopId}`,
      '/rules/motor.rated-torque',
    ])
      expect([path, await statusOf(path)]).toEqual([path, 200])
    for (const path of [
      `/conversions/${other.id}`,
      `/conversions/${other.id}/judged`,
      '/shops',
      `/shops/${shopId}/conversions`,
      `/shops/${shopId}/library`,
    ])
      expect([path, await statusOf(path)]).toEqual([path, 403])
    // It goes with the machine.
    await h.api.delete(`/api/conversions/${other.id}`).expect(204)
  })
  test('is listed, and withdrawn it is a stranger', async () => {
    const cookie = await paired('all', {}, 'Lost phone')
    const list = async () => (await h.api.get('/api/access/devices').expect(200)).body as { id: string; name: string }[]
    const id = (await list()).find(({ name }) => name === 'Lost phone')?.id
    await h.api.delete(`/api/access/devices/${id}`).expect(204)
    expect((await phone('/shops', { cookie })).status).toBe(401)
    expect((await list()).map(({ name }) => name)).not.toContain('Lost phone')
  })
  test('can take itself out', async () => {
    const cookie = await paired('look', {}, 'Guest')
    const left = await phone('/access/me', { method: 'DELETE', cookie })
    expect([left.status, left.cookie]).toEqual([204, expect.stringMatching(/^__Host-zesty-device=;/)])
    expect((await phone('/shops', { cookie })).status).toBe(401)
  })
  test('is noted as seen', async () => {
    const cookie = await paired('look', {}, 'Seen')
    await h.db
      .update(devices)
      .set({ lastSeenAt: new Date(0) })
      .where(eq(devices.name, 'Seen'))
    await phone('/shops', { cookie })
    const [row] = await h.db.select().from(devices).where(eq(devices.name, 'Seen'))
    expect(Date.now() - (row?.lastSeenAt.getTime() ?? 0)).toBeLessThan(60_000)
  })
})

describe('a name with a pass-phrase', () => {
  const person = { name: 'Ida', passphrase: 'three long belts', rights: 'measure' }
  const signIn = (passphrase: string, name = 'Ida') =>
    phone('/access/sign-in', { method: 'POST', body: { name, passphrase, deviceName: 'Tablet' } })
  test('lets a device in, and stands beside it; with the name goes the device', async () => {
    const { body } = await h.api.post('/api/access/people').send(person).expect(201)
    await h.api.post('/api/access/people').send(person).expect(409)
    expect([(await signIn('three short belts')).status, (await signIn('three long belts', 'Ada')).status]).toEqual([
      403, 403,
    ])
    const { cookie } = await signIn('three long belts')
    const shown = cookie?.split(';')[0]
    expect((await phone('/access/me', { cookie: shown })).body).toMatchObject({
      name: 'Ida, Tablet',
      rights: 'measure',
    })
    await h.api.delete(`/api/access/people/${body.id}`).expect(204)
    expect((await phone('/shops', { cookie: shown })).status).toBe(401)
    await h.db.delete(attempts)
  })
  test('must be long enough', async () => {
    const { body } = await h.api
      .post('/api/access/people')
      .send({ ...person, passphrase: 'short' })
      .expect(400)
    expect(body.faults[0].field).toBe('passphrase')
  })
})

describe('the shop’s certificate', () => {
  test('is its owner’s alone, and the same the next time', async () => {
    const again = await shopCertificate(folder, ['shed.lan'])
    expect(again.cert).toBe(certificate())
    expect(statSync(join(folder, 'certificate.json')).mode & 0o777).toBe(0o600)
  })
  test('is for these names and addresses, for no longer than phones take', async () => {
    const { cert } = await shopCertificate(join(folder, 'other'), ['192.0.2.7', 'shed.lan'])
    const read = new X509Certificate(cert)
    expect([read.checkIP('192.0.2.7'), read.checkHost('shed.lan'), read.checkHost('other.lan')]).toEqual([
      '192.0.2.7',
      'shed.lan',
      undefined,
    ])
    expect(new Date(read.validTo).getTime() - new Date(read.validFrom).getTime()).toBeLessThan(825 * 86_400_000)
    expect(read.ca).toBe(false)
  })
  test('is made anew for a name that it lacks', async () => {
    const other = join(folder, 'third')
    const first = await shopCertificate(other, ['shed.lan'])
    const second = await shopCertificate(other, ['shed.lan', 'barn.lan'])
    expect(second.fingerprint).not.toBe(first.fingerprint)
  })
})

describe('who may ask what', () => {
  const LOOKS = [
    ...['listShops', 'findShop', 'listConversions', 'listPages', 'pageContent', 'listLibrary', 'findSchema'],
    ...['listRules', 'findRule', 'findConversion', 'evaluateConversion', 'openConversion', 'exportConversion'],
    ...['exportWhole', 'listRevisions', 'findRevision', 'findRevisionAt', 'listEntries', 'listMeasurements'],
    ...['listPhotos', 'photoContent', 'listLog', 'printPaper', 'helpSheet', 'calendar', 'whoAmI', 'leave'],
  ]
  const MEASURES = [
    ...['saveConversion', 'saveChanges', 'addMeasurements', 'removeMeasurement', 'addPhoto', 'notePhoto'],
    ...['removePhoto', 'addToLog', 'removeFromLog'],
  ]
  const AT_THE_COMPUTER = ['invite', 'listDevices', 'withdrawDevice', 'listPeople', 'addPerson', 'removePerson']
  const OF_ONE = LOOKS.filter(
    (id) => !/^(listShops|listConversions|listPages|pageContent|listLibrary|findSchema)$/.test(id),
  )
  const STRANGERS = ['pair', 'signIn']
  const every = operations.map(({ id }) => id)
  const roles: [string, string[], () => Promise<string | undefined>][] = [
    ['a stranger', STRANGERS, () => Promise.resolve(undefined)],
    ['who looks', [...STRANGERS, ...LOOKS], () => paired('look')],
    ['who measures', [...STRANGERS, ...LOOKS, ...MEASURES], () => paired('measure')],
    ['who may do all', every.filter((id) => !AT_THE_COMPUTER.includes(id)), () => paired('all')],
    ['who looks at one machine', [...STRANGERS, ...OF_ONE], () => paired('look', { conversionId: machine.id })],
  ]
  test.each(roles)(
    '%s, of every operation that there is',
    async (_, may, role) => {
      const asked: Record<string, boolean> = {}
      for (const { id, method, path } of operations) {
        // To leave ends the device: each asks as one of its own.
        const cookie = await role()
        const at = path
          .replace('/api', '')
          .replace(/^\/shops\/\{\w+\}/, `/shops/${shopId}`)
          .replace('{id}', id === 'findShop' ? shopId : machine.id)
          // What is named further stands nowhere: nothing is changed by who may.
          .replace(/\{\w+\}/g, '00000000-0000-4000-8000-000000000000')
        const destroys = ['removeShop', 'removeConversion', 'addSamples', 'copyConversion'].includes(id)
        const target = destroys ? at.replace(shopId, machine.id.replace(/.$/, 'z')).replace(machine.id, 'none') : at
        const { status } = await phone(target, {
          method: method.toUpperCase(),
          cookie,
          ...(method === 'get' || method === 'delete' ? {} : { body: {} }),
        })
        expect([id, status < 500]).toEqual([id, true])
        asked[id] = status !== 401 && status !== 403
      }
      const permitted = Object.keys(asked).filter((id) => asked[id])
      expect(permitted.sort()).toEqual([...may].sort())
      await h.db.delete(attempts)
    },
    120_000,
  )
  test('every operation is named by one of these lists', () => {
    const all = [...STRANGERS, ...LOOKS, ...MEASURES, ...AT_THE_COMPUTER]
    const rest = every.filter((id) => !all.includes(id))
    expect(rest.sort()).toEqual(
      [
        ...['addSamples', 'beginConversion', 'changeItem', 'changeShop', 'copyConversion', 'createShop'],
        ...['importConversion', 'importWhole', 'keepItem', 'nameRevision', 'removeConversion', 'removeItem'],
        ...['removeShop', 'restoreRevision', 'takeInItems'],
      ].sort(),
    )
  })
  test('a machine is known by its whole id, and one that is seen by link is never changed', async () => {
    const cookie = await paired('all', { conversionId: machine.id })
    expect((await phone(`/conversions/${machine.id}`, { cookie })).status).toBe(200)
    expect((await phone(`/conversions/${machine.id}0`, { cookie })).status).toBe(403)
    expect((await phone(`/conversions/${machine.id}`, { method: 'PUT', body: {}, cookie })).status).toBe(403)
  })
})

describe('an address that can be read in more than one way', () => {
  test.each([
    '/%61ccess/devices',
    '/access/device%73',
    '//access/devices',
    '/x/../access/devices',
    '/./access/devices',
    '/access/devices.',
    '/access\\devices',
    '/access/devices#/conversions',
    '/access%2Fdevices',
    '/access/devices%00',
    '/access/%ff',
  ])('%s is refused, whoever asks', async (path) => {
    const cookie = await paired('measure')
    expect((await phone(path, { cookie })).status).toBe(400)
  })
  test('opens nothing that the guard did not look at', async () => {
    const cookie = await paired('measure')
    const { status } = await phone(`/conversions/${machine.id}#/photos`, { method: 'DELETE', cookie })
    expect(status).toBe(400)
    await h.api.get(`/api/conversions/${machine.id}`).expect(200)
    expect((await phone('/%61ccess/people', { cookie })).status).toBe(400)
    expect((await phone('/../%61pi/docs-json')).status).toBe(400)
  })
  test('is none where what must be encoded is', async () => {
    const cookie = await paired('look')
    const moment = encodeURIComponent('2026-12-01T10:00:00.000+01:00')
    expect((await phone(`/conversions/${machine.id}/at/${moment}`, { cookie })).status).not.toBe(400)
    expect((await phone('/schema/a%20b', { cookie })).status).toBe(404)
  })
})

test('what differs is told place by place', () => {
  const plan = emptyPlan('Lathe')
  expect(changedPaths(plan, structuredClone(plan))).toEqual([])
  expect(changedPaths({ a: { b: 1, c: [1, 2] } }, { a: { b: 2, c: [1, 3] }, d: 0 })).toEqual(['a.b', 'a.c.1', 'd'])
  expect(changedPaths({ a: [1] }, { a: [1, 2] })).toEqual(['a'])
  expect(changedPaths({ a: [] }, { a: {} })).toEqual(['a'])
})
