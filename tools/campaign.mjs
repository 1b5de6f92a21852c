// @ts-check
import { brokenBackups } from './campaign/brokenBackups.mjs'
import { cutOffStarts, twoStartsAtOnce } from './campaign/cutOffStarts.mjs'
import { editors, twoServers } from './campaign/editors.mjs'
import { fuzz } from './campaign/fuzz.mjs'
import { kills } from './campaign/kills.mjs'
import { databaseTrouble, slowClients } from './campaign/trouble.mjs'
import { ensureApplication, ensureCommandLine } from './setUp.mjs'

/**
 * What one part of the campaign came to: in words, what was lost or hung, and answers that were a fault of the program.
 * @typedef {{says: string, lost: number, faults: number}} Outcome
 */

/** The parts, in the form of two minutes and in the whole. @type {Record<string, [short: () => Promise<Outcome>, whole: () => Promise<Outcome>]>} */
const parts = {
  kills: [() => kills({ kills: 2 }), () => kills({ kills: 30 })],
  'cut-off starts': [() => cutOffStarts({ everyMs: 1200, rest: 2 }), () => cutOffStarts({ everyMs: 50, rest: 10 })],
  'two starts': [() => twoStartsAtOnce({ times: 1 }), () => twoStartsAtOnce({ times: 4 })],
  'database trouble': [() => databaseTrouble({ times: 1 }), () => databaseTrouble({ times: 5 })],
  'slow clients': [() => slowClients({ clients: 30 }), () => slowClients({ clients: 150 })],
  editors: [() => editors({ editors: 20, saves: 10 }), () => editors({ editors: 50, saves: 40 })],
  'two servers': [() => twoServers({ saves: 10 }), () => twoServers({ saves: 60 })],
  'broken backups': [() => brokenBackups({ times: 70 }), () => brokenBackups({ times: 700 })],
  fuzz: [() => fuzz({ times: 300 }), () => fuzz({ times: 10_000 })],
}

/**
 * Everything that may go wrong around the data, tried: one loss, one answer of 500, one hang fails it.
 * @param {'short' | 'whole'} form @returns {Promise<{passed: number, failed: number}>}
 */
export async function campaign(form) {
  ensureApplication()
  ensureCommandLine()
  let [passed, failed] = [0, 0]
  for (const [name, [short, whole]] of Object.entries(parts)) {
    const began = performance.now()
    try {
      const { says, lost, faults } = await (form === 'short' ? short : whole)()
      const good = lost === 0 && faults === 0
      good ? (passed += 1) : (failed += 1)
      const seconds = ((performance.now() - began) / 1000).toFixed(0)
      console.log(`${good ? 'held' : 'FAILED'}  ${name}: ${says}; ${lost} lost, ${faults} faults (${seconds} s)`)
    } catch (error) {
      failed += 1
      console.log(`FAILED  ${name}: ${error instanceof Error ? error.message : error}`)
    }
  }
  return { passed, failed }
}
