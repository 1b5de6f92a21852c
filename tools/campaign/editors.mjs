// @ts-check
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { ask, newData, newMachine, removed, started, stopped } from './running.mjs'

/**
 * Editors that save and save again; a stale save is refused, read anew and sent again. Every save that was taken is one
 * step, and the last of each stands.
 * @param {{url: string}[]} servers @param {{id: string, plan: object}[]} machines @param {number} editors @param {number} saves
 */
async function edit(servers, machines, editors, saves) {
  /** @type {Map<string, number>} */
  const taken = new Map()
  let [faults, busy] = [0, 0]
  const revisionOf = async (/** @type {string} */ id) =>
    /** @type {number} */ ((await ask(`${servers[0]?.url}/api/conversions/${id}`)).body.revision)
  const before = await Promise.all(machines.map(({ id }) => revisionOf(id)))
  const editor = async (/** @type {number} */ n) => {
    const machine = machines[n % machines.length]
    if (!machine) throw new Error('no machine')
    const at = () => `${servers[Math.floor(Math.random() * servers.length)]?.url}/api/conversions/${machine.id}`
    let { revision } = (await ask(at())).body
    for (let save = 0; save < saves;) {
      const answer = await ask(at(), 'PUT', {
        baseRevision: revision,
        plan: { ...machine.plan, motor: { powerW: 100 + n + save / 100 } },
      })
      if (answer.status === 200) {
        ;({ revision } = answer.body)
        taken.set(machine.id, (taken.get(machine.id) ?? 0) + 1)
        save += 1
      } else if (answer.status === 409) ({ revision } = answer.body.theirs)
      else if (answer.status === 503) busy += 1
      else faults += 1
    }
  }
  await Promise.all(Array.from({ length: editors }, (_, n) => editor(n)))
  let lost = 0
  for (const [n, { id }] of machines.entries()) {
    const steps = (await revisionOf(id)) - (before[n] ?? 0)
    // A save that was told to come again may have been taken all the same.
    if (steps < (taken.get(id) ?? 0) || steps > (taken.get(id) ?? 0) + busy) lost += 1
  }
  return { lost, faults, busy, taken: [...taken.values()].reduce((a, b) => a + b, 0) }
}

/** Many editors, on one plan and each on one of their own. @param {{editors: number, saves: number}} size */
export async function editors({ editors: count, saves }) {
  const data = newData()
  try {
    const running = await started(data)
    const many = await Promise.all(Array.from({ length: count }, () => newMachine(running.url)))
    const together = await edit([running], many.slice(0, 1), count, Math.ceil(saves / 5))
    const apart = await edit([running], many, count, saves)
    await stopped(running)
    return {
      says: `${count} editors: ${together.taken} saves on one plan, ${apart.taken} on ${count}; ${together.busy + apart.busy} told to come again`,
      lost: together.lost + apart.lost,
      faults: together.faults + apart.faults,
    }
  } finally {
    await removed(data)
  }
}

/** Two servers on one database, one of them killed on the way; the database goes with the last. @param {{saves: number}} size */
export async function twoServers({ saves }) {
  const data = newData()
  try {
    const both = await Promise.all([started(data), started(data)])
    const machines = await Promise.all(Array.from({ length: 5 }, () => newMachine(both[0].url)))
    const first = await edit(both, machines, 10, saves)
    both[0].kill('SIGKILL')
    await both[0].ended
    const second = await edit([both[1]], machines.slice(0, 0).concat(await newMachine(both[1].url)), 3, saves)
    await stopped(both[1])
    const left = existsSync(join(data, 'data', 'postmaster.pid')) ? 1 : 0
    return {
      says: `two servers on one database: ${first.taken} saves, ${second.taken} more after one was killed`,
      lost: first.lost + second.lost + left,
      faults: first.faults + second.faults,
    }
  } finally {
    await removed(data)
  }
}
