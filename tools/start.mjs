// @ts-check
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { dropReplaced, keepBeforeMigration, keepDaily } from './backup.mjs'
import { isFree, startCluster } from './cluster.mjs'
import { root } from './paths.mjs'
import { ensureApplication } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

const FIRST_PORT = 4747
const PORTS_TRIED = 50

/** @param {string[]} args */
export function readOptions(args) {
  /** @type {{port?: number, host: string, demo: 'add' | 'remove' | 'as-before'}} */
  const options = { host: '127.0.0.1', demo: 'as-before' }
  for (let i = 0; i < args.length; i += 1) {
    const arg = args[i]
    const value = () => {
      i += 1
      const given = args[i]
      if (given === undefined) throw new Trouble(`${arg} needs a value.`, 2)
      return given
    }
    if (arg === '--port') {
      options.port = Number(value())
      if (!Number.isInteger(options.port) || options.port < 1 || options.port > 65535)
        throw new Trouble('--port takes a number from 1 to 65535.', 2)
    } else if (arg === '--host') options.host = value()
    else if (arg === '--empty') options.demo = 'remove'
    else if (arg === '--demo') options.demo = 'add'
    else throw new Trouble(`start does not know ${arg}; it takes --port N, --host ADDRESS, --empty and --demo.`, 2)
  }
  return options
}

/**
 * Database, server and page; until Ctrl-C.
 * @param {string[]} args
 */
export async function start(args) {
  const options = readOptions(args)
  const { server, webRoot } = ensureApplication()
  const given = process.env.DATABASE_URL
  const cluster = given ? { url: given, stop: () => {} } : await startCluster()
  /** @type {{serve: (o: object) => Promise<{url: string, notes: string[], close: () => Promise<void>}>}} */
  const { serve } = await import(pathToFileURL(server).href)
  /** @type {Awaited<ReturnType<typeof serve>> | undefined} */
  let serving
  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    await serving?.close()
    cluster.stop()
    process.exit(0)
  }
  process.on('SIGINT', () => void stop())
  process.on('SIGTERM', () => void stop())
  process.on('SIGHUP', () => void stop())
  const common = {
    host: options.host,
    databaseUrl: cluster.url,
    webRoot,
    migrations: join(root, 'server', 'migrations'),
    demoFolder: join(root, 'demo'),
    samplesFolder: join(root, 'samples'),
    demo: options.demo,
  }
  try {
    await keepBeforeMigration(cluster.url)
    serving = await listen(serve, common, options.port)
  } catch (error) {
    cluster.stop()
    throw error
  }
  for (const note of serving.notes) console.log(note)
  console.log(`Zesty Lathe is at ${serving.url}  (Ctrl-C stops it)`)
  // Nobody waits for what only tidies up and keeps.
  void dropReplaced(cluster.url).catch(tellTrouble)
  keepDaily(cluster.url, tellTrouble)
}

/** What goes wrong beside serving is told, and serving goes on. @param {unknown} error */
const tellTrouble = (error) => console.error(`zesty: ${error instanceof Error ? error.message : error}`)

/** @param {(o: object) => Promise<{url: string, notes: string[], close: () => Promise<void>}>} serve @param {{host: string}} common @param {number | undefined} chosen */
async function listen(serve, common, chosen) {
  if (chosen !== undefined) {
    if (!(await isFree(chosen, common.host)))
      throw new Trouble(
        `Port ${chosen} is in use by another program, or not yours to use. Choose another with --port, or leave it out.`,
      )
    return serve({ ...common, port: chosen })
  }
  for (let port = FIRST_PORT; port < FIRST_PORT + PORTS_TRIED; port += 1) {
    if (!(await isFree(port, common.host))) continue
    const serving = await serve({ ...common, port })
    if (port !== FIRST_PORT) console.log(`Port ${FIRST_PORT} is in use by another program, so this is port ${port}.`)
    return serving
  }
  throw new Trouble(`Ports ${FIRST_PORT} to ${FIRST_PORT + PORTS_TRIED - 1} are all in use. Choose one with --port.`)
}
