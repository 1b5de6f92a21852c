// @ts-check
import { fullMachineLines } from './benchMachine.mjs'
import { Buffer } from 'node:buffer'
import { spawn } from 'node:child_process'
import { Agent, request } from 'node:http'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { setTimeout as sleep } from 'node:timers/promises'
import { root } from './paths.mjs'
import { longestWait } from './longestWait.mjs'
import { freePort } from './ports.mjs'

/** @typedef {import('./benchLine.mjs').Line} Line */

const CONNECTIONS = 8
const ROUND_MS = 2500
const ROUNDS = 4
/** Of what a bare handler with the same statements does in the same run. */
const SHARE = 0.75

const agent = new Agent({ keepAlive: true, maxSockets: 64 })

/** @param {string} url @param {string} [method] @param {string} [body] @param {Record<string, string>} [headers] @returns {Promise<{status: number, text: string}>} */
const ask = (url, method = 'GET', body, headers = {}) =>
  new Promise((resolve, reject) => {
    const sent = request(
      url,
      {
        agent,
        method,
        headers: {
          ...headers,
          ...(body ? { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) } : {}),
        },
      },
      (answer) => {
        let text = ''
        answer.setEncoding('utf8')
        answer.on('data', (part) => (text += part))
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text }))
      },
    )
    sent.on('error', reject)
    sent.end(body)
  })

/** How many a second, from several connections at once. @param {(n: number) => Promise<void>} once */
async function rate(once) {
  let done = 0
  const began = performance.now()
  await Promise.all(
    Array.from({ length: CONNECTIONS }, async (_, n) => {
      while (performance.now() - began < ROUND_MS) {
        await once(n)
        done += 1
      }
    }),
  )
  return (1000 * done) / (performance.now() - began)
}

/** Reads and saves of a plan, by turns from the server and from the bare handler. @param {string} url @param {string} bare @param {string[]} machines */
async function compare(url, bare, machines) {
  const bases = machines.slice(0, CONNECTIONS)
  /** @type {Map<string, {revision: number, plan: object}>} */
  const now = new Map()
  for (const id of bases) now.set(id, JSON.parse((await ask(`${url}/api/conversions/${id}`)).text))
  const read = (/** @type {string} */ at) => async (/** @type {number} */ n) => {
    const { status } = await ask(`${at}/api/conversions/${bases[n]}`)
    if (status !== 200) throw new Error(`${at} answered ${status}`)
  }
  const save = (/** @type {string} */ at) => async (/** @type {number} */ n) => {
    const id = bases[n] ?? ''
    const is = now.get(id)
    if (!is) throw new Error('no machine')
    const { status } = await ask(
      `${at}/api/conversions/${id}`,
      'PUT',
      JSON.stringify({ baseRevision: is.revision, plan: is.plan }),
    )
    if (status !== 200) throw new Error(`${at} answered ${status}`)
    is.revision += 1
  }
  let power = 1000
  // As the page saves: what changed, and nothing else.
  const change = async (/** @type {number} */ n) => {
    const id = bases[n] ?? ''
    const is = now.get(id)
    if (!is) throw new Error('no machine')
    power += 1
    const changes = [{ path: 'motor.powerW', value: power }]
    const { status } = await ask(
      `${url}/api/conversions/${id}`,
      'PATCH',
      JSON.stringify({ baseRevision: is.revision, changes }),
    )
    if (status !== 200) throw new Error(`a change was answered ${status}`)
    is.revision += 1
  }
  /** @type {Record<string, number[]>} */
  const rates = { read: [], readBare: [], save: [], saveBare: [], change: [] }
  // Once for nothing, to warm both.
  for (let round = 0; round <= ROUNDS; round += 1)
    for (const [name, once] of /** @type {const} */ ([
      ['readBare', read(bare)],
      ['read', read(url)],
      ['saveBare', save(bare)],
      ['save', save(url)],
      ['change', change],
    ])) {
      const measured = await rate(once)
      if (round > 0) rates[name]?.push(measured)
    }
  const mean = (/** @type {string} */ name) => (rates[name] ?? []).reduce((a, b) => a + b, 0) / ROUNDS
  return {
    read: mean('read'),
    readBare: mean('readBare'),
    save: mean('save'),
    saveBare: mean('saveBare'),
    change: mean('change'),
  }
}

/** @param {string} databaseUrl */
async function bareServer(databaseUrl) {
  const port = await freePort()
  const child = spawn(process.execPath, [join(root, 'tools', 'bareServer.mjs'), databaseUrl, String(port)], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise((resolve, reject) => {
    child.stdout.once('data', resolve)
    child.once('exit', () => reject(new Error('the bare server ended')))
  })
  return { url: `http://127.0.0.1:${port}`, stop: () => void child.kill() }
}

const MACHINES = 50

/** A shop of many machines, all the fullest demo machine. @param {string} url @param {string} machine */
async function largeShop(url, machine) {
  const file = (await ask(`${url}/api/conversions/${machine}/export`)).text
  const shop = JSON.parse((await ask(`${url}/api/shops`, 'POST', '{"name":"Bench"}')).text)
  /** @type {string[]} */
  const ids = []
  for (let n = 0; n < MACHINES; n += 1)
    ids.push(JSON.parse((await ask(`${url}/api/shops/${shop.id}/import`, 'POST', file)).text).id)
  return { shopId: shop.id, ids }
}

const EDITORS = 50

/** Editors that save twice a second. @param {string} url @param {string[]} ids @param {number} seconds */
async function edit(url, ids, seconds) {
  const until = performance.now() + 1000 * seconds
  await Promise.all(
    Array.from({ length: EDITORS }, async (_, n) => {
      const at = `${url}/api/conversions/${ids[n % ids.length]}`
      let { revision, plan } = JSON.parse((await ask(at)).text)
      while (performance.now() < until) {
        const { status, text } = await ask(at, 'PUT', JSON.stringify({ baseRevision: revision, plan }))
        if (status !== 200) throw new Error(`a save was answered ${status}`)
        ;({ revision, plan } = JSON.parse(text))
        await sleep(400 + 200 * Math.random())
      }
    }),
  )
}

const READINGS = 5000

/** A machine with thousands of readings: their list, and one more with what all then come to. @param {string} url @param {string} id @returns {Promise<Line[]>} */
async function readingsLines(url, id) {
  const at = `${url}/api/conversions/${id}/measurements`
  const takenAt = '2026-03-01T10:00:00.000Z'
  const reading = (/** @type {number} */ n) => ({
    ...{ kind: n % 3 === 0 ? 'amps' : 'spindle-speed', value: n % 3 === 0 ? 2 + (n % 7) / 10 : 590 + (n % 9) },
    ...{ hz: 50, positionId: n % 2 === 0 ? 'a' : 'b', instrument: 'Optical tachometer', takenAt },
  })
  const add = (/** @type {object[]} */ measurements) => ask(at, 'POST', JSON.stringify({ measurements }))
  const { status } = await add(Array.from({ length: READINGS }, (_, n) => reading(n)))
  if (status !== 201) throw new Error(`${READINGS} readings were answered ${status}`)
  /** @param {string} name @param {() => Promise<{status: number}>} once @returns {Promise<Line>} */
  const timed = async (name, once) => {
    const times = []
    for (let n = 0; n < 30; n += 1) {
      const began = performance.now()
      if ((await once()).status >= 300) throw new Error(`${name} failed`)
      times.push(performance.now() - began)
    }
    const ms = times.sort((a, b) => a - b)[15] ?? NaN
    return { name, measured: `${ms.toFixed(1)} ms`, budget: 'under 50 ms', met: ms < 50, ms }
  }
  return [
    // Compressed, as a browser asks for it.
    await timed(`list of ${READINGS} readings, median`, () => ask(at, 'GET', undefined, { 'accept-encoding': 'gzip' })),
    await timed(`one reading beside ${READINGS}, and the fit`, () => add([reading(1)])),
  ]
}

/**
 * The server against a bare handler, a large shop, and many editors.
 * @param {{url: string, pid: number}} server @param {string} databaseUrl @param {string} machine
 * @param {(pid: number) => number} residentMegabytes @param {number} seconds of editing
 * @returns {Promise<Line[]>}
 */
export async function serverLines(server, databaseUrl, machine, residentMegabytes, seconds) {
  const { url } = server
  const { shopId, ids } = await largeShop(url, machine)
  const list = () => ask(`${url}/api/shops/${shopId}/conversions`)
  const firstWait = await longestWait(url, list)
  const times = []
  for (let n = 0; n < 30; n += 1) {
    const began = performance.now()
    await list()
    times.push(performance.now() - began)
  }
  const listMs = times.sort((a, b) => a - b)[15] ?? NaN
  const full = ids.at(-1) ?? ''
  const readings = await readingsLines(url, full)
  const whole = await fullMachineLines(url, full)
  const bare = await bareServer(databaseUrl)
  try {
    const rates = await compare(url, bare.url, ids)
    await edit(url, ids, seconds)
    const resident = residentMegabytes(server.pid)
    /** @param {string} what @param {number} own @param {number} theirs @returns {Line} */
    const share = (what, own, theirs) => ({
      name: `${what} a second, against a bare handler`,
      measured: `${own.toFixed(0)} of ${theirs.toFixed(0)}, ${(own / theirs).toFixed(2)}`,
      budget: `at least ${SHARE}`,
      met: own / theirs >= SHARE,
    })
    return [
      share('reads', rates.read, rates.readBare),
      share('saves of a whole plan', rates.save, rates.saveBare),
      share('saves of what changed', rates.change, rates.saveBare),
      {
        name: `list of ${MACHINES} machines, median`,
        measured: `${listMs.toFixed(1)} ms`,
        budget: 'under 20 ms',
        met: listMs < 20,
        ms: listMs,
      },
      {
        name: `longest wait of others while ${MACHINES} are judged`,
        measured: `${firstWait.toFixed(0)} ms`,
        budget: 'under 50 ms',
        met: firstWait < 50,
        ms: firstWait,
      },
      ...readings,
      ...whole,
      {
        name: `server resident after ${seconds} s of ${EDITORS} editors`,
        measured: `${resident.toFixed(0)} MB`,
        budget: 'under 180 MB',
        met: resident < 180,
      },
    ]
  } finally {
    bare.stop()
  }
}
