// @ts-check
import { spawn, spawnSync } from 'node:child_process'
import { chownSync, mkdirSync } from 'node:fs'
import { Trouble } from './trouble.mjs'

/** Ids that were found; one that is missing may come with a package that is installed meanwhile. @type {Map<string, number>} */
const found = new Map()

/** @param {string} user @param {string} flag */
function idOf(user, flag) {
  const asked = `${flag} ${user}`
  const known = found.get(asked)
  if (known !== undefined) return known
  const { status, stdout } = spawnSync('id', [flag, user], { encoding: 'utf8' })
  if (status !== 0) return undefined
  found.set(asked, Number(stdout))
  return Number(stdout)
}

/**
 * PostgreSQL refuses to run as root; Debian's package brings a user for it. Where we are root, we serve as it too, and
 * as nobody where another machine's database is used and there is none.
 */
const serviceUser = () => (idOf('postgres', '-u') === undefined ? 'nobody' : 'postgres')

/** Asked each time: it ends once `dropRoot` was called. */
const isRoot = () => process.getuid?.() === 0

function serviceIds() {
  const [uid, gid] = ['-u', '-g'].map((flag) => idOf(serviceUser(), flag))
  if (uid === undefined || gid === undefined) throw new Trouble('This machine has no user to serve as instead of root.')
  return { uid, gid }
}

/**
 * Runs a program as the service user where we are root. Resolves to its exit code.
 * @param {string} program @param {string[]} args @returns {Promise<number>}
 */
export const runAsService = (program, args) =>
  new Promise((resolve, reject) => {
    const [command, all] = isRoot() ? ['runuser', ['-u', serviceUser(), '--', program, ...args]] : [program, args]
    // pg_ctl's child keeps the pipes open, so output goes to files and never to pipes.
    const child = spawn(command, all, { cwd: '/', stdio: 'ignore' })
    child.on('error', reject)
    child.on('exit', (code) => resolve(code ?? 1))
  })

/** Whether the service user may do something with a path: enter (x), read (r). @param {'r' | 'x'} what @param {string} path */
export const serviceMay = (what, path) =>
  !isRoot() || spawnSync('runuser', ['-u', serviceUser(), '--', 'test', `-${what}`, path], { cwd: '/' }).status === 0

/** Gives what we made to the service user. @param {string} path */
export function handOver(path) {
  if (!isRoot()) return
  const { uid, gid } = serviceIds()
  chownSync(path, uid, gid)
}

/** A folder for the service user alone. @param {string} folder */
export function ownFolder(folder) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  handOver(folder)
}

/** From here on this process is the service user's, and cannot become root again. */
export function dropRoot() {
  if (!isRoot()) return
  const { uid, gid } = serviceIds()
  process.setgroups?.([gid])
  process.setgid?.(gid)
  process.setuid?.(uid)
}
