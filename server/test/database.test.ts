import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net'
import supertest from 'supertest'
import { createApplication } from '../src/application'
import { openDatabase } from '../src/db/database'
import { databaseTrouble } from '../src/db/databaseTrouble'
import { conversions } from '../src/db/schema'
import { faultInWords } from '../src/problems/faultInWords'
import { freshDatabase, migrations, samples } from './harness'

/** A wire to the database that can be cut, or go dead without being cut. */
async function wire(target: URL) {
  const sockets = new Set<Socket>()
  let way: 'open' | 'cut' | 'dead' = 'open'
  const accept = (from: Socket) => {
    sockets.add(from)
    from.on('error', () => undefined).on('close', () => sockets.delete(from))
    if (way === 'cut') {
      from.destroy()
      return
    }
    const to = connect(Number(target.port), target.hostname)
    to.on('error', () => from.destroy()).on('close', () => from.destroy())
    from.on('close', () => to.destroy())
    from.on('data', (part) => {
      if (way === 'open') to.write(part)
    })
    to.on('data', (part) => {
      if (way === 'open') from.write(part)
    })
  }
  const server: Server = createServer(accept)
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const url = new URL(target)
  url.port = String((server.address() as AddressInfo).port)
  return {
    url: url.toString(),
    set: (now: typeof way) => {
      way = now
      // A wire that was dead lost what went over it: the ends must begin anew.
      if (now !== 'dead') for (const socket of sockets) socket.destroy()
    },
    close: () => {
      for (const socket of sockets) socket.destroy()
      server.close()
    },
  }
}

let line: Awaited<ReturnType<typeof wire>>
let api: ReturnType<typeof supertest>
let close: () => Promise<void>
let db: Awaited<ReturnType<typeof openDatabase>>['db']
beforeEach(async () => {
  line = await wire(new URL(await freshDatabase()))
  const database = await openDatabase(line.url, migrations)
  const { app } = await createApplication({ db: database.db, samples, release: 'test' })
  await app.init()
  await app.getHttpAdapter().getInstance().ready()
  api = supertest(app.getHttpServer())
  db = database.db
  close = async () => {
    await app.close()
    await database.close()
    line.close()
  }
})
afterEach(() => close())

const ask = async () => {
  const began = performance.now()
  const answer = await api.get('/api/shops')
  return { answer, took: performance.now() - began }
}

describe('a database that', () => {
  for (const [what, way] of [
    ['is gone', 'cut'],
    ['hangs', 'dead'],
  ] as const)
    test(`${what} is told within two seconds, and is used again when it is back`, async () => {
      expect((await ask()).answer.status).toBe(200)
      line.set(way)
      for (const times of [1, 2]) {
        const { answer, took } = await ask()
        expect([answer.status, answer.headers['retry-after'], answer.headers['content-type']]).toEqual([
          503,
          '2',
          'application/problem+json; charset=utf-8',
        ])
        expect(answer.body.detail).toMatch(/^The database .* kept on this page/)
        expect([times, took < 2000]).toEqual([times, true])
      }
      line.set('open')
      expect((await ask()).answer.status).toBe(200)
    }, 20_000)
  test('is busy with somebody else’s lock is told within two seconds, and nothing is half kept', async () => {
    const { body: shop } = await api.post('/api/shops').send({ name: 'Locked' }).expect(201)
    const { body: machine } = await api.post(`/api/shops/${shop.id}/conversions`).send({ name: 'Lathe' }).expect(201)
    const save = () => api.put(`/api/conversions/${machine.id}`).send({ baseRevision: 1, plan: machine.plan })
    await db.transaction(async (tx) => {
      await tx.execute('lock table revisions in exclusive mode')
      expect((await save()).status).toBe(503)
    })
    // What was sent again is the same save, whether or not the first went through in the end.
    expect((await save()).body.revision).toBe(2)
    expect((await api.get(`/api/conversions/${machine.id}/revisions`)).body).toHaveLength(2)
  }, 20_000)
})

describe('trouble of the database', () => {
  test.each([
    ['53100', /disk of the database is full/],
    ['53300', /no connection free/],
    ['57P03', /does not answer/],
    ['08006', /does not answer/],
    ['ECONNREFUSED', /does not answer/],
    ['57014', /too busy/],
    ['25006', /takes no changes/],
  ])('%s is told in words', (code, says) =>
    expect(databaseTrouble(new Error('outer', { cause: Object.assign(new Error('inner'), { code }) }))).toMatch(says),
  )
  test.each(['23505', '22P05', '42601'])('%s is none of them', (code) =>
    expect(databaseTrouble(Object.assign(new Error('x'), { code }))).toBeUndefined(),
  )
})

test('a query that fails is logged without what was typed', async () => {
  const error: unknown = await db
    .insert(conversions)
    .values({ shopId: '00000000-0000-4000-8000-000000000000', plan: { name: 'Aunt Agatha’s lathe' } })
    .catch((e: unknown) => e)
  expect(String(error)).toContain('Agatha')
  const logged = faultInWords(error)
  expect(logged).not.toContain('Agatha')
  expect(logged).toMatch(/insert into "conversions"[\s\S]*23503[\s\S]*\n\s+at /)
})
