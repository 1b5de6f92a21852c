// @ts-check
import { setTimeout as sleep } from 'node:timers/promises'
import { ask, newData, newMachine, removed, signalDatabase, started, stopped } from './running.mjs'

const WRITERS = 8

/**
 * Kills of the server alone, and of server and database together, under writers. What was acknowledged must be there.
 * @param {{kills: number}} size
 */
export async function kills({ kills: count }) {
  const data = newData()
  /** @type {Map<string, Map<number, number>>} machine, revision, the power that was acknowledged */
  const acknowledged = new Map()
  let [lost, saves, faults] = [0, 0, 0]
  try {
    let running = await started(data)
    const { url, port } = running
    const machines = await Promise.all(Array.from({ length: WRITERS }, () => newMachine(url)))
    for (let kill = 0; kill < count; kill += 1) {
      let going = true
      const write = async (/** @type {{id: string, plan: object}} */ { id, plan }) => {
        const kept = acknowledged.get(id) ?? new Map()
        acknowledged.set(id, kept)
        try {
          let { revision } = (await ask(`${url}/api/conversions/${id}`)).body
          while (going) {
            const powerW = 100 + ((saves * 7 + kill) % 5000)
            const answer = await ask(`${url}/api/conversions/${id}`, 'PUT', {
              baseRevision: revision,
              plan: { ...plan, motor: { powerW } },
            })
            if (answer.status === 200) {
              ;({ revision } = answer.body)
              kept.set(revision, powerW)
              saves += 1
            } else if (answer.status >= 500 && answer.status !== 503) faults += 1
          }
        } catch {
          // It was killed before it answered.
        }
      }
      const writing = machines.map(write)
      await sleep(100 + Math.random() * 400)
      running.kill('SIGKILL')
      if (kill % 2 === 1) signalDatabase(data, 'SIGKILL')
      going = false
      await Promise.all(writing)
      await running.ended
      running = await started(data, port)
      for (const [id, kept] of acknowledged) lost += await lostOf(url, id, kept)
    }
    await stopped(running)
  } finally {
    await removed(data)
  }
  return { says: `${count} kills under ${WRITERS} writers, ${saves} saves acknowledged, ${lost} lost`, lost, faults }
}

/**
 * How many acknowledged saves are not there: what is kept now must be the last of them or one sent after it, and what is
 * kept of the past must be what was sent. A burst of saves is one revision, its last.
 * @param {string} url @param {string} id @param {Map<number, number>} kept watts by the revision they were acknowledged as
 */
async function lostOf(url, id, kept) {
  const { body: now } = await ask(`${url}/api/conversions/${id}`)
  const { body: lines } = await ask(`${url}/api/conversions/${id}/revisions`)
  let lost = now?.revision >= Math.max(...kept.keys()) && lines?.[0]?.revision === now.revision ? 0 : 1
  const past = await Promise.all(
    (lines ?? []).map(async (/** @type {{revision: number}} */ { revision }) => {
      const { body } = await ask(`${url}/api/conversions/${id}/revisions/${revision}`)
      return { revision, plan: body?.plan }
    }),
  )
  for (const { revision, plan } of [...past, now])
    if (kept.has(revision) && plan?.motor?.powerW !== kept.get(revision)) lost += 1
  return lost
}
