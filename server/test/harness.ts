import 'reflect-metadata'
import { randomBytes } from 'node:crypto'
import type { RequestListener } from 'node:http'
import { join } from 'node:path'
import type { NestFastifyApplication } from '@nestjs/platform-fastify'
import pg from 'pg'
import supertest from 'supertest'
import type { Network } from '../src/access/network'
import { createApplication } from '../src/application'
import type { Judge } from '../src/judging/judge'
import { readSamples } from '../src/library/samples'
import { openDatabase, type Database } from '../src/db/database'

export const demoFolder = join(import.meta.dirname, '..', '..', 'demo')
export const samples = readSamples(join(import.meta.dirname, '..', '..', 'samples'))
export const migrations = join(import.meta.dirname, '..', 'migrations')

export interface Harness {
  app: NestFastifyApplication
  db: Database
  api: ReturnType<typeof supertest>
  url: string
  /** What answers requests, for a listener of another kind. */
  handler: RequestListener
  routes: readonly string[]
  close: () => Promise<void>
}

/** A machine under load takes its time; that an answer comes soon is looked at in database.test. */
const PATIENCE = { connectionTimeoutMillis: 30_000, query_timeout: 30_000, statement_timeout: 30_000 }

/** The whole application on a database of its own, in the PostgreSQL that `./zesty check` has started. */
export async function harness(
  options: { webRoot?: string; docsRoot?: string; network?: Network; judge?: Judge } = {},
): Promise<Harness> {
  const url = await freshDatabase()
  const database = await openDatabase(url, migrations, url, PATIENCE)
  const { app, handler, routes } = await createApplication({ db: database.db, samples, release: 'test', ...options })
  await app.init()
  await app.getHttpAdapter().getInstance().ready()
  return {
    app,
    db: database.db,
    api: supertest(app.getHttpServer()),
    url,
    handler,
    routes,
    close: async () => {
      await app.close()
      await database.close()
    },
  }
}

/** An empty database of its own. Returns its address. */
export async function freshDatabase(): Promise<string> {
  const admin = process.env['ZESTY_TEST_DATABASE_URL']
  if (!admin) throw new Error('ZESTY_TEST_DATABASE_URL is not set: run these through ./zesty check server')
  const name = `test_${randomBytes(6).toString('hex')}`
  const client = new pg.Client({ connectionString: admin })
  await client.connect()
  await client.query(`create database ${name}`)
  await client.end()
  return admin.replace(/\/[^/]*$/, `/${name}`)
}

/** Every route of the API as the router has it, `get /api/shops/:id`, without its documentation. */
export const routesOf = ({ routes }: Harness): string[] =>
  routes.flatMap((route) => {
    const [method = '', path = ''] = route.split(' ')
    // Fastify answers HEAD wherever it answers GET.
    return method === 'HEAD' || !path.startsWith('/api/') || path.startsWith('/api/docs')
      ? []
      : [`${method.toLowerCase()} ${path}`]
  })
