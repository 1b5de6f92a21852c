import 'reflect-metadata'
import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { Server } from 'node:http'
import { openNetwork, type NetworkWish } from './access/openNetwork'
import { createApplication } from './application'
import { openDatabase, type Patience } from './db/database'
import { migrationsUpTo } from './db/migrationsUpTo'
import { openApiDocument } from './openapi/document'
import { readSamples } from './library/samples'
import { readFonts } from './papers/fonts'
import { judgeInWorker } from './judging/judge'
import { makeInWorkers } from './papers/paperMaker'
import { settleDemo, type DemoWish } from './demo/demoShops'

/** For tools that keep and restore the database. */
export { migrationsUpTo, openApiDocument, openDatabase }

export interface ServeOptions {
  host: string
  port: number
  databaseUrl: string
  /** Opens the database for one who may change its tables; the same unless given. */
  ownerUrl?: string
  webRoot: string
  /** Holds the files of the page that describes the API. */
  docsRoot?: string
  migrations: string
  demoFolder: string
  /** Holds the motors and drives that ship. */
  samplesFolder: string
  demo: DemoWish
  /** The description of the API, written by the build. */
  openApiFile?: string
  /** How long it waits for the database, where not as it ships. */
  patience?: Patience
  /** How other machines may reach it, where they may. */
  network?: NetworkWish
}

/** How long requests under way may take when the server closes, and then the database's connections. */
const GRACE_MS = 1000

const sleep = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms).unref())

/** Opens the database, settles the demo data and listens; resolves once it serves. */
export async function serve({
  host,
  port,
  databaseUrl,
  ownerUrl,
  webRoot,
  docsRoot,
  migrations,
  demoFolder,
  samplesFolder,
  demo,
  openApiFile,
  patience,
  network: wish,
}: ServeOptions) {
  const database = await openDatabase(databaseUrl, migrations, ownerUrl, patience)
  try {
    const samples = readSamples(samplesFolder)
    const notes = await settleDemo(database.db, demoFolder, samples, demo)
    const opened = wish && (await openNetwork(wish))
    const { app, handler } = await createApplication({
      db: database.db,
      samples,
      release: releaseOfThis(),
      paperMaker: makeInWorkers(programOf('paper'), readFonts()),
      judge: judgeInWorker(programOf('judge')),
      webRoot,
      ...(docsRoot === undefined ? {} : { docsRoot }),
      ...(openApiFile === undefined ? {} : { openApi: readFileSync(openApiFile) }),
      ...(opened ? { network: opened.network } : {}),
    })
    await app.listen(port, host)
    const servers: Server[] = [app.getHttpServer()]
    if (opened) servers.push(await opened.listen(handler))
    /** Ends every connection at once, whatever its client does. */
    const hangUp = () => servers.forEach((server) => server.closeAllConnections())
    return {
      url: `http://${host.includes(':') ? `[${host}]` : host}:${port}`,
      network: opened?.network,
      notes,
      hangUp,
      /** Takes no more requests, lets those under way end, but waits for nobody for long; the database goes last. */
      close: async () => {
        const late = setTimeout(hangUp, GRACE_MS)
        servers.forEach((server) => server.close())
        await app.close()
        clearTimeout(late)
        await Promise.race([database.close(), sleep(GRACE_MS)])
      },
    }
  } catch (error) {
    await database.close()
    throw error
  }
}

/** The program of a thread, built beside this one; read while whoever serves may still read it. */
const programOf = (worker: 'paper' | 'judge'): string =>
  readFileSync(new URL(`${worker}Worker/${worker}Worker.cjs`, import.meta.url), 'utf8')

/** A fingerprint of the program that runs. */
const releaseOfThis = (): string =>
  createHash('sha256')
    .update(readFileSync(new URL(import.meta.url)))
    .digest('hex')
    .slice(0, 16)
