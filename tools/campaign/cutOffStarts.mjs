// @ts-check
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { ask, begin, newData, removed, serves, started, stopped } from './running.mjs'

/**
 * First starts that are cut off: every so many milliseconds over the making of the database, and at moments of the rest.
 * The next start must serve, with everything that ships.
 * @param {{everyMs: number, rest: number}} size
 */
export async function cutOffStarts({ everyMs, rest }) {
  const whole = await timesOfAStart()
  const moments = [
    ...Array.from({ length: Math.ceil(whole.made / everyMs) }, (_, i) => whole.began + i * everyMs),
    ...Array.from({ length: rest }, (_, i) => whole.began + whole.made + ((i + 0.5) * whole.rest) / rest),
  ]
  let lost = 0
  for (const moment of moments) {
    const data = newData()
    try {
      const cut = await begin(data)
      await sleep(moment)
      cut.kill('SIGKILL')
      await cut.ended
      const next = await begin(data)
      const good = (await serves(next)) && (await ask(`${next.url}/api/shops`)).body?.length > 0
      if (!good) {
        lost += 1
        console.error(`  cut off after ${Math.round(moment)} ms: the next start does not serve`)
      }
      if (good) await stopped(next)
      else next.kill('SIGKILL')
    } finally {
      await removed(data)
    }
  }
  return {
    says: `${moments.length} first starts cut off, ${moments.length - lost} served the next time`,
    lost,
    faults: 0,
  }
}

/** How long a first start takes to begin with the database, to make it, and for the rest. */
async function timesOfAStart() {
  const data = newData()
  try {
    const began = performance.now()
    const running = await begin(data)
    /** @param {string} name */
    const there = async (name) => {
      while (!existsSync(join(data, name))) await sleep(5)
      return performance.now() - began
    }
    const from = await there('secret')
    const made = await there('data')
    await serves(running)
    const all = performance.now() - began
    await stopped(running)
    return { began: from, made: made - from, rest: all - made }
  } finally {
    await removed(data)
  }
}

/** Two starts at once, first and later: both must serve. @param {{times: number}} size */
export async function twoStartsAtOnce({ times }) {
  let lost = 0
  for (let n = 0; n < times; n += 1) {
    const data = newData()
    try {
      for (const which of ['first', 'later']) {
        const both = await Promise.all([begin(data), begin(data)])
        const good = await Promise.all(both.map(serves))
        if (good.includes(false)) {
          lost += 1
          console.error(`  of two starts at once, ${which}, not both serve`)
        }
        // The one that stays has its database still.
        await stopped(both[0])
        if ((await ask(`${both[1].url}/api/shops`)).status !== 200) lost += 1
        await stopped(both[1])
        if (existsSync(join(data, 'data', 'postmaster.pid'))) lost += 1
      }
      const again = await started(data)
      await stopped(again)
    } finally {
      await removed(data)
    }
  }
  return { says: `${times} times two starts at once, first and later`, lost, faults: 0 }
}
