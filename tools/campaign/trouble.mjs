// @ts-check
import { existsSync } from 'node:fs'
import { connect } from 'node:net'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { ask, newData, postmaster, removed, signalDatabase, started, stopped } from './running.mjs'

/** No answer may take longer, though there be no database. */
const ANSWER_MS = 2000
/** In good order, and when told twice. */
const STOP_MS = 5000
const STOP_AT_ONCE_MS = 1000

/** Asks until the answer is another, for at most so long. @param {string} url @param {number} status @param {number} most */
async function until(url, status, most) {
  const began = performance.now()
  while (performance.now() - began < most) {
    const answer = await ask(url).catch(() => undefined)
    if (answer?.status === status) return true
    await sleep(100)
  }
  return false
}

/** The database hangs, and is killed: told in time, and good again by itself. @param {{times: number}} size */
export async function databaseTrouble({ times }) {
  const data = newData()
  let [lost, faults, slowest] = [0, 0, 0]
  try {
    const running = await started(data)
    const url = `${running.url}/api/shops`
    const told = async () => {
      const began = performance.now()
      const { status } = await ask(url)
      slowest = Math.max(slowest, performance.now() - began)
      if (status !== 503) faults += 1
    }
    for (let n = 0; n < times; n += 1) {
      signalDatabase(data, 'SIGSTOP')
      await Promise.all([told(), told(), told()])
      signalDatabase(data, 'SIGCONT')
      if (!(await until(url, 200, 5000))) lost += 1
      const before = postmaster(data)
      signalDatabase(data, 'SIGKILL')
      await told()
      if (!(await until(url, 200, 20_000)) || postmaster(data) === before) lost += 1
    }
    if (slowest > ANSWER_MS) lost += 1
    await stopped(running)
  } finally {
    await removed(data)
  }
  return {
    says: `${times} times hung and ${times} times killed: told within ${Math.round(slowest)} ms, back by itself`,
    lost,
    faults,
  }
}

/** Clients that send slowly, send half, or read nothing. @param {{clients: number}} size */
export async function slowClients({ clients }) {
  const data = newData()
  let [lost, faults, slowest] = [0, 0, 0]
  try {
    const running = await started(data)
    const open = () =>
      Array.from({ length: clients }, (_, i) => {
        const socket = connect(running.port, '127.0.0.1')
        socket.on('error', () => undefined)
        const host = `Host: 127.0.0.1:${running.port}\r\n`
        if (i % 3 !== 2) socket.resume()
        if (i % 3 === 0) socket.write(`GET /api/shops HTTP/1.1\r\n${host}X: `)
        if (i % 3 === 1)
          socket.write(
            `POST /api/shops HTTP/1.1\r\n${host}Content-Type: application/json\r\nContent-Length: 500\r\n\r\n{`,
          )
        if (i % 3 === 2) {
          socket.pause()
          socket.write(`GET /api/docs-json HTTP/1.1\r\n${host}\r\n`.repeat(50))
        }
        return socket
      })
    const held = open()
    const closed = held.map((socket) => new Promise((resolve) => socket.on('close', resolve)))
    for (let n = 0; n < 20; n += 1) {
      const began = performance.now()
      if ((await ask(`${running.url}/api/shops`)).status !== 200) faults += 1
      slowest = Math.max(slowest, performance.now() - began)
      await sleep(50)
    }
    if (slowest > ANSWER_MS) lost += 1
    // Those that never finish what they send are not waited for.
    const unfinished = closed.filter((_, i) => i % 3 !== 2)
    if ((await Promise.race([Promise.all(unfinished), sleep(20_000, 'held', { ref: false })])) === 'held') lost += 1
    const again = open()
    await sleep(300)
    const took = await stopped(running)
    if (took > STOP_MS || existsSync(join(data, 'data', 'postmaster.pid'))) lost += 1
    for (const socket of [...held, ...again]) socket.destroy()

    const second = await started(data)
    const more = open()
    await sleep(300)
    const began = performance.now()
    second.kill('SIGINT')
    await sleep(50)
    second.kill('SIGINT')
    await second.ended
    const twice = performance.now() - began
    if (twice > STOP_AT_ONCE_MS || existsSync(join(data, 'data', 'postmaster.pid'))) lost += 1
    for (const socket of more) socket.destroy()
    return {
      says: `${clients} slow clients: others answered within ${Math.round(slowest)} ms; stopped in ${Math.round(took)} ms, told twice in ${Math.round(twice)} ms`,
      lost,
      faults,
    }
  } finally {
    await removed(data)
  }
}
