// @ts-check
import { cpSync, readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { dropReplaced, keepBeforeMigration, keepDaily } from './backup.mjs'
import { prepareBackups } from './backupFolder.mjs'
import { startCluster } from './cluster.mjs'
import { localPath, root } from './paths.mjs'
import { isFree } from './ports.mjs'
import { dropRoot, handOver, serviceMay } from './serviceUser.mjs'
import { ensureApplication } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

const FIRST_PORT = 4747
const PORTS_TRIED = 50

/** @param {string[]} args */
export function readOptions(args) {
  /** @type {{port?: number, host?: string, names: string[], insecure: boolean, demo: 'add' | 'remove' | 'as-before'}} */
  const options = { names: [], insecure: false, demo: 'as-before' }
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
    else if (arg === '--name') options.names.push(value())
    else if (arg === '--insecure') options.insecure = true
    else if (arg === '--empty') options.demo = 'remove'
    else if (arg === '--demo') options.demo = 'add'
    else
      throw new Trouble(
        `start does not know ${arg}; it takes --port N, --host ADDRESS, --name NAME, --insecure, --empty and --demo.`,
        2,
      )
  }
  if (options.host === undefined && (options.insecure || options.names.length > 0))
    throw new Trouble(
      '--name and --insecure are for the shop’s network: they need --host and this machine’s address.',
      2,
    )
  return options
}

/** @typedef {{address: string, fingerprint?: string}} Network */
/** @typedef {{url: string, network?: Network, notes: string[], hangUp: () => void, close: () => Promise<void>}} Serving */

/** With DATABASE_URL set, that database serves, and is nobody's to start or stop. */
async function openCluster() {
  const given = process.env.DATABASE_URL
  if (!given) return startCluster()
  return { urls: { owner: given, serving: given }, home: undefined, stop: async () => {}, keepRunning: () => {} }
}

/**
 * Database, server and page; until Ctrl-C.
 * @param {string[]} args
 */
export async function start(args) {
  const options = readOptions(args)
  const { server, openApiFile, webRoot } = ensureApplication()
  // What is made from here on is nobody else's to read.
  process.umask(0o077)
  const cluster = await openCluster()
  /** @type {{serve: (o: object) => Promise<Serving>}} */
  const { serve } = await import(pathToFileURL(server).href)
  /** @type {Serving | undefined} */
  let serving
  stopWhenTold(() => serving, cluster)
  const common = {
    host: '127.0.0.1',
    databaseUrl: cluster.urls.serving,
    ownerUrl: cluster.urls.owner,
    openApiFile,
    webRoot: readableByService(webRoot, 'web', cluster.home),
    docsRoot: readableByService(join(root, 'node_modules', 'swagger-ui-dist'), 'docs', cluster.home),
    migrations: join(root, 'server', 'migrations'),
    demoFolder: join(root, 'demo'),
    samplesFolder: join(root, 'samples'),
    demo: options.demo,
  }
  try {
    await keepBeforeMigration(cluster.urls.owner)
    serving = await listen(serve, common, options, cluster.home ?? localPath('network', '.'))
  } catch (error) {
    await cluster.stop()
    throw error
  }
  prepareBackups()
  dropRoot()
  for (const note of serving.notes) console.log(note)
  console.log(`Zesty Lathe is at ${serving.url}  (Ctrl-C stops it)`)
  if (serving.network) tellNetwork(serving.network)
  cluster.keepRunning(console.error)
  // Nobody waits for what only tidies up and keeps.
  void dropReplaced(cluster.urls.owner).catch(tellTrouble)
  keepDaily(cluster.urls.owner, tellTrouble)
}

/**
 * Ends server and database, in this order, when told to: in good order the first time, at once the second.
 * @param {() => Serving | undefined} serving @param {Pick<import('./cluster.mjs').Cluster, 'stop'>} cluster
 */
function stopWhenTold(serving, cluster) {
  let told = 0
  const stop = async () => {
    told += 1
    if (told > 2) return
    if (told === 2) serving()?.hangUp()
    else await serving()?.close()
    await cluster.stop({ now: told > 1 })
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop())
}

/** A page's files where the service user may read them: a copy beside the data where they lie in a closed folder. @param {string} folder @param {string} name @param {string | undefined} home */
function readableByService(folder, name, home) {
  if (home === undefined || serviceMay('r', join(folder, 'index.html'))) return folder
  const copy = join(home, name)
  rmSync(copy, { recursive: true, force: true })
  cpSync(folder, copy, { recursive: true })
  for (const name of ['', ...readdirSync(copy, { recursive: true, encoding: 'utf8' })]) handOver(join(copy, name))
  return copy
}

/** What goes wrong beside serving is told, and serving goes on. @param {unknown} error */
const tellTrouble = (error) => console.error(`zesty: ${error instanceof Error ? error.message : error}`)

/** @param {Network} network */
function tellNetwork({ address, fingerprint }) {
  console.log(`Phones and tablets reach it at ${address}, once they are let in: open Devices on this computer.`)
  if (fingerprint) console.log(`Its certificate is the shop's own, SHA-256 ${fingerprint}`)
  else
    console.log(
      'WARNING: NOT ENCRYPTED. EVERYBODY ON THIS NETWORK CAN READ ALONG, AND CAN TAKE THE PLACE OF A DEVICE THAT WAS LET IN.',
    )
}

/** Whether an address is this machine's own to itself; others do not come in by it. @param {string} host */
const isLoopback = (host) => host === 'localhost' || host === '::1' || host.startsWith('127.')

/**
 * On this machine itself as always; where others may reach it, on the next port too.
 * @param {(o: object) => Promise<Serving>} serve @param {{host: string}} common
 * @param {ReturnType<typeof readOptions>} options @param {string} home for the shop's certificate
 */
async function listen(serve, common, { port: chosen, host, names, insecure }, home) {
  const open = host !== undefined && !isLoopback(host)
  const network = (/** @type {number} */ port) =>
    open ? { network: { host, port: port + 1, names, insecure, folder: join(home, 'certificate') } } : {}
  const free = async (/** @type {number} */ port) =>
    (await isFree(port, common.host)) && (!open || (await isFree(port + 1, host)))
  if (open && !(await isFree(0, host)))
    throw new Trouble(`${host} is no address of this machine. 0.0.0.0 stands for all of them.`)
  if (chosen !== undefined) {
    if (!(await free(chosen)))
      throw new Trouble(
        `Port ${chosen}${open ? ` or ${chosen + 1}` : ''} is in use by another program, or not yours to use. Choose another with --port, or leave it out.`,
      )
    return serve({ ...common, port: chosen, ...network(chosen) })
  }
  for (let port = FIRST_PORT; port < FIRST_PORT + PORTS_TRIED; port += 1) {
    if (!(await free(port))) continue
    const serving = await serve({ ...common, port, ...network(port) })
    if (port !== FIRST_PORT) console.log(`Port ${FIRST_PORT} is in use by another program, so this is port ${port}.`)
    return serving
  }
  throw new Trouble(`Ports ${FIRST_PORT} to ${FIRST_PORT + PORTS_TRIED - 1} are all in use. Choose one with --port.`)
}
