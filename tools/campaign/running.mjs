// @ts-check
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { root } from '../paths.mjs'
import { freePort } from '../ports.mjs'
import { workingIn } from '../processes.mjs'

/** A folder for the data of one trial. */
export const newData = () => mkdtempSync(join(tmpdir(), 'zesty-campaign-'))

/** A start or an answer that takes longer than this hangs. */
export const HANG_MS = 60_000

/**
 * ./zesty start as a person runs it, in a group of processes of its own.
 * @param {string} data @param {number} [port] @param {string[]} [args] beyond the port
 */
export async function begin(data, port, args = []) {
  const chosen = port ?? (await freePort())
  const child = spawn(join(root, 'zesty'), ['start', '--port', String(chosen), ...args], {
    env: { ...process.env, ZESTY_DATA: data, DATABASE_URL: '' },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  })
  let heard = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (heard += part))
  /** @type {Promise<number | null>} */
  const ended = new Promise((resolve) => child.on('exit', resolve))
  const kill = (/** @type {NodeJS.Signals} */ signal) => {
    try {
      process.kill(-(child.pid ?? 0), signal)
    } catch {
      // It has gone already.
    }
  }
  return { url: `http://127.0.0.1:${chosen}`, port: chosen, pid: child.pid ?? 0, ended, kill, heard: () => heard }
}
/** @typedef {Awaited<ReturnType<typeof begin>>} Running */

/** Whether it serves before it ends or hangs. @param {Running} running */
export async function serves(running) {
  const outcome = await Promise.race([
    running.ended.then(() => 'ended'),
    sleep(HANG_MS, 'hangs', { ref: false }),
    (async () => {
      while (!running.heard().includes('Zesty Lathe is at')) await sleep(20, undefined, { ref: false })
      return 'serves'
    })(),
  ])
  if (outcome !== 'serves') console.error(`  a start that ${outcome}: ${running.heard().trim()}`)
  return outcome === 'serves'
}

/** How often a start may find that another took its port between the draw and the use. */
const DRAWS = 3

/** @param {string} data @param {number} [port] where it must be just that one @param {string[]} [args] */
export async function started(data, port, args) {
  for (let draw = 1; ; draw += 1) {
    const running = await begin(data, port, args)
    if (await serves(running)) return running
    const taken = running.heard().includes('is in use by another program')
    if (!taken || port !== undefined || draw === DRAWS) throw new Error(`It does not start: ${running.heard()}`)
  }
}

/** Ends a start in good order; it is given up after the time of a hang. @param {Running} running @returns {Promise<number>} milliseconds */
export async function stopped(running) {
  const began = performance.now()
  running.kill('SIGINT')
  if ((await Promise.race([running.ended, sleep(HANG_MS, 'hangs', { ref: false })])) === 'hangs')
    throw new Error('It does not stop')
  return performance.now() - began
}

/** The database's process in a data folder, where it runs. @param {string} data */
export function postmaster(data) {
  const file = join(data, 'data', 'postmaster.pid')
  return existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) : undefined
}

/** Signals every process of the database. @param {string} data @param {NodeJS.Signals} signal */
export function signalDatabase(data, signal) {
  for (const pid of workingIn(join(data, 'data')))
    try {
      process.kill(Number(pid), signal)
    } catch {
      // It has gone already.
    }
}

/** @param {string} data */
export async function removed(data) {
  signalDatabase(data, 'SIGKILL')
  await sleep(100)
  rmSync(data, { recursive: true, force: true })
}

/** @param {string} url @param {string} [method] @param {unknown} [body] */
export async function ask(url, method = 'GET', body) {
  const response = await fetch(url, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    signal: globalThis.AbortSignal.timeout(HANG_MS),
  })
  const text = await response.text()
  return { status: response.status, body: text === '' ? undefined : JSON.parse(text) }
}

/** A shop with one machine. @param {string} url @returns {Promise<{shopId: string, id: string, plan: Record<string, any>}>} */
export async function newMachine(url, name = 'Lathe') {
  const shop = await ask(`${url}/api/shops`, 'POST', { name: 'Campaign' })
  const { body } = await ask(`${url}/api/shops/${shop.body.id}/conversions`, 'POST', { name })
  return { shopId: shop.body.id, id: body.id, plan: body.plan }
}
