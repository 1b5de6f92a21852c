import 'reflect-metadata'
import { createApplication } from './application'
import { openDatabase } from './db/database'
import { migrationsUpTo } from './db/migrationsUpTo'
import { readSamples } from './library/samples'
import { settleDemo, type DemoWish } from './demo/demoShops'

/** For tools that keep and restore the database. */
export { migrationsUpTo, openDatabase }

export interface ServeOptions {
  host: string
  port: number
  databaseUrl: string
  webRoot: string
  migrations: string
  demoFolder: string
  /** Holds the motors and drives that ship. */
  samplesFolder: string
  demo: DemoWish
}

/** Opens the database, settles the demo data and listens; resolves once it serves. */
export async function serve({
  host,
  port,
  databaseUrl,
  webRoot,
  migrations,
  demoFolder,
  samplesFolder,
  demo,
}: ServeOptions) {
  const database = await openDatabase(databaseUrl, migrations)
  try {
    const samples = readSamples(samplesFolder)
    const notes = await settleDemo(database.db, demoFolder, samples, demo)
    const app = await createApplication({ db: database.db, samples, webRoot, open: !isLoopback(host) })
    // Longer than browsers and proxies keep a connection for another request: else one comes just as it is shut.
    app.getHttpServer().keepAliveTimeout = KEEP_ALIVE_MS
    await app.listen(port, host)
    return {
      url: `http://${host.includes(':') ? `[${host}]` : host}:${port}`,
      notes,
      close: async () => {
        await app.close()
        await database.close()
      },
    }
  } catch (error) {
    await database.close()
    throw error
  }
}

const KEEP_ALIVE_MS = 75_000

const isLoopback = (host: string): boolean => host === 'localhost' || host === '::1' || host.startsWith('127.')
