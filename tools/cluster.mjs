// @ts-check
import { createHash, randomBytes } from 'node:crypto'
import {
  chmodSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  rmdirSync,
  writeFileSync,
} from 'node:fs'
import { join, resolve } from 'node:path'
import { setInterval } from 'node:timers'
import { setTimeout as sleep } from 'node:timers/promises'
import { ADMIN, kept, newPassword, settleRoles } from './clusterRoles.mjs'
import { signIn } from './clusterUsers.mjs'
import { oneAtATime } from './oneAtATime.mjs'
import { local, root } from './paths.mjs'
import { freePort, isFree } from './ports.mjs'
import { isLivePostgres, workingIn } from './processes.mjs'
import { handOver, ownFolder, runAsService, serviceMay } from './serviceUser.mjs'
import { ensureDependencies, ensurePostgres } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

const DEBIAN_PORT = 5432

/**
 * Where the data lies: where ZESTY_DATA says, else under .local, or, where a parent folder is closed to the service
 * user, in a folder of the system's kept for this copy of the project.
 */
export function homeFolder() {
  if (process.env.ZESTY_DATA) return resolve(process.env.ZESTY_DATA)
  mkdirSync(local, { recursive: true })
  if (serviceMay('x', local)) return join(local, 'postgres')
  const copy = createHash('sha256').update(root).digest('hex').slice(0, 12)
  mkdirSync('/var/lib/zesty-lathe', { recursive: true })
  chmodSync('/var/lib/zesty-lathe', 0o755)
  return join('/var/lib/zesty-lathe', copy)
}

/** How long another start may take to make the database, and how long a stop waits for another's start. */
const START_WAIT_S = 180
const STOP_WAIT_S = 1

/**
 * @typedef {object} Cluster
 * @property {import('./clusterRoles.mjs').Addresses} urls
 * @property {string} home holds the data and all that belongs to it, for the service user alone
 * @property {(how?: {now?: boolean}) => Promise<void>} stop ends the server unless another process still uses it
 * @property {(tell: (what: string) => void) => void} keepRunning starts it again where something has ended it
 */

/**
 * Starts the project's own PostgreSQL, made on first use, or joins it where it runs.
 * @param {{home?: string, throwAway?: boolean}} [options] throwAway: no waiting for the disk; for tests only
 * @returns {Promise<Cluster>}
 */
export async function startCluster({ home = homeFolder(), throwAway = false } = {}) {
  ensureDependencies()
  const programs = ensurePostgres()
  ownFolder(home)
  const lock = join(home, 'lock')
  writeFileSync(lock, '', { flag: 'a', mode: 0o600 })
  handOver(lock)
  const release = await oneAtATime(lock, START_WAIT_S)
  if (!release) throw new Trouble(`Another start has been making the database for ${START_WAIT_S} seconds (${home}).`)
  const data = join(home, 'data')
  try {
    const password = kept(join(home, 'secret'), newPassword)
    if (!existsSync(join(data, 'PG_VERSION'))) await makeData(programs, home, data, throwAway)
    const cluster = { programs, home, data, throwAway }
    const port = await joinOrLaunch(cluster)
    const urls = await settleRoles(home, port, password)
    const signOut = signIn(home)
    return {
      urls,
      home,
      stop: (how) => stopCluster(cluster, signOut, how),
      keepRunning: (tell) => keepRunning(cluster, port, tell),
    }
  } finally {
    release()
  }
}

/** @typedef {{programs: string, home: string, data: string, throwAway: boolean}} Place */

/** A cluster gets its name when it is whole: a start that is cut off leaves nothing that looks like one. @param {string} programs @param {string} home @param {string} data @param {boolean} throwAway */
async function makeData(programs, home, data, throwAway) {
  console.error('Making a database of its own ...')
  if (existsSync(data)) {
    if (readdirSync(data).length > 0)
      throw new Trouble(
        `${data} holds files, but no database that can be started. Nothing was deleted: look what they are, and move the folder away to begin anew.`,
      )
    rmdirSync(data)
  }
  for (const name of readdirSync(home))
    if (name.startsWith('data.making-')) rmSync(join(home, name), { recursive: true, force: true })
  const making = join(home, `data.making-${randomBytes(4).toString('hex')}`)
  const log = join(home, 'initdb.log')
  const status = await runAsService('/bin/sh', [
    '-c',
    `exec "$0" -D "$1" -U ${ADMIN} -E UTF8 --locale=C.UTF-8 --auth=scram-sha-256 --data-checksums ${throwAway ? '--no-sync' : ''} --pwfile="$2" >"$3" 2>&1`,
    join(programs, 'initdb'),
    making,
    join(home, 'secret'),
    log,
  ])
  if (status !== 0) throw new Trouble(`The database could not be made: ${lastLine(log)}`)
  renameSync(making, data)
}

/** @param {string} file */
const lastLine = (file) =>
  existsSync(file) ? (readFileSync(file, 'utf8').trim().split('\n').pop() ?? '') : 'no log was written'

/** The lines of the file that a running PostgreSQL keeps: its process, folder, start, port. @param {string} data */
const runningLines = (data) => {
  const file = join(data, 'postmaster.pid')
  return existsSync(file) ? readFileSync(file, 'utf8').split('\n') : []
}
/** @param {string} data */
const isRunning = (data) => isLivePostgres(runningLines(data)[0] ?? '')

/** Returns the port. @param {Place} place */
async function joinOrLaunch(place) {
  const { data, programs } = place
  await clearStalePid(data)
  // A start that was killed may have left it coming up: `pg_ctl status` knows its process, not whether it answers.
  if ((await runAsService(join(programs, 'pg_ctl'), ['status', '-D', data])) === 0) {
    for (let tries = 0; tries < TRIES && !runningLines(data)[7]?.startsWith('ready'); tries += 1) await sleep(500)
    if (isRunning(data)) return Number(runningLines(data)[3])
  }
  return launch(place)
}

/**
 * After a kill of everything the lock file may name a process that is dead or only a zombie, and
 * PostgreSQL then takes itself for running. The file goes once nothing works in the folder any more.
 * @param {string} data
 */
async function clearStalePid(data) {
  const file = join(data, 'postmaster.pid')
  if (!existsSync(file) || isRunning(data)) return
  for (let attempt = 0; attempt < TRIES && workingIn(data).length > 0; attempt += 1) await sleep(500)
  if (workingIn(data).length === 0) rmSync(file, { force: true })
}

/** How often a start is tried while remains of a killed server still let go of its memory. */
const TRIES = 20

/** Returns the port. @param {Place} place @param {number} [only] no other port will do */
async function launch({ programs, home, data, throwAway }, only) {
  const log = join(home, 'server.log')
  const portFile = join(home, 'port')
  const last = existsSync(portFile) ? Number(readFileSync(portFile, 'utf8')) : 0
  const fast = throwAway ? '-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c autovacuum=off' : ''
  for (let attempt = 1; attempt <= TRIES; attempt += 1) {
    let port = only ?? (last > 0 && (await isFree(last)) ? last : await freePort())
    if (port === DEBIAN_PORT && only === undefined) port = await freePort()
    const settings = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories= -c max_connections=60 ${fast}`
    const status = await runAsService(join(programs, 'pg_ctl'), [
      ...['start', '-D', data, '-w', '-t', '60', '-l', log, '-o', settings],
    ])
    if (status === 0) {
      writeFileSync(portFile, String(port), { mode: 0o600 })
      handOver(portFile)
      return port
    }
    if (/No space left/i.test(lastLine(log)))
      throw new Trouble('The disk is full. Free some space and try again; nothing that was kept is lost.')
    if (
      !/in use|pre-existing|another server might be running|lock file/i.test(
        existsSync(log) ? readFileSync(log, 'utf8').slice(-2000) : '',
      )
    )
      break
    await sleep(500)
  }
  throw new Trouble(`The database does not start: ${lastLine(log)} (log: ${log})`)
}

/** Seconds that PostgreSQL may take to end in good order. What is committed is safe either way. */
const FAST_STOP_S = 2

/** @param {Place} place @param {() => boolean} signOut @param {{now?: boolean}} [how] */
async function stopCluster({ programs, home, data }, signOut, { now = false } = {}) {
  // A start that has the lock is about to join, and will stop it in its time.
  const release = await oneAtATime(join(home, 'lock'), now ? STOP_WAIT_S / 2 : STOP_WAIT_S)
  const last = signOut()
  if (last && release) {
    const stop = (/** @type {string} */ mode) =>
      runAsService(join(programs, 'pg_ctl'), ['stop', '-D', data, '-m', mode, '-w', '-t', String(FAST_STOP_S)])
    if (now || (await stop('fast')) !== 0) await stop('immediate')
  }
  release?.()
}

const WATCH_MS = 1000

/** @param {Place} place @param {number} port @param {(what: string) => void} tell */
function keepRunning(place, port, tell) {
  let starting = false
  const look = async () => {
    if (starting || isRunning(place.data)) return
    starting = true
    const release = await oneAtATime(join(place.home, 'lock'), STOP_WAIT_S)
    try {
      if (!release || isRunning(place.data)) return
      tell('The database has ended; it is started again.')
      await clearStalePid(place.data)
      await launch(place, port)
    } catch (error) {
      tell(error instanceof Error ? error.message : String(error))
    } finally {
      release?.()
      starting = false
    }
  }
  setInterval(() => void look(), WATCH_MS).unref()
}

/** A cluster in a folder of its own, gone after use. @returns {Promise<Cluster & {remove: () => Promise<void>}>} */
export async function throwAwayCluster() {
  const home = `/tmp/zesty-test-${process.pid}-${randomBytes(4).toString('hex')}`
  const cluster = await startCluster({ home, throwAway: true })
  return {
    ...cluster,
    remove: async () => {
      await cluster.stop()
      rmSync(home, { recursive: true, force: true })
    },
  }
}
