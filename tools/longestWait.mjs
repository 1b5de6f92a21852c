// @ts-check
import { performance } from 'node:perf_hooks'
import { setTimeout as sleep } from 'node:timers/promises'

/** The longest that somebody else waits for a word while something is done, ms. @param {string} url @param {() => Promise<unknown>} work */
export async function longestWait(url, work) {
  let [longest, going] = [0, true]
  const watching = (async () => {
    while (going) {
      const began = performance.now()
      await (await fetch(`${url}/api/access/me`)).arrayBuffer()
      longest = Math.max(longest, performance.now() - began)
      await sleep(2)
    }
  })()
  await work()
  going = false
  await watching
  return longest
}
