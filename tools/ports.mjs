// @ts-check
import { randomInt } from 'node:crypto'
import { createServer } from 'node:net'

/** Whether a port is free to listen on. @param {number} port @param {string} [host] @returns {Promise<boolean>} */
export const isFree = (port, host = '127.0.0.1') =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.on('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

/**
 * Below the ports that a system lends to outgoing connections, which may take one between the look and the use: from
 * 32 768 on with Linux as it comes, from 16 000 on in some sandboxes.
 */
const OWN_PORTS = { from: 10_000, below: 15_900 }

/**
 * A port nobody listens on, on any address, nor on the next one, where a start for the network listens too.
 * Drawn by lot, so that two that look at the same moment do not find the same.
 * @returns {Promise<number>}
 */
export async function freePort() {
  for (let tries = 0; tries < 200; tries += 1) {
    const port = randomInt(OWN_PORTS.from, OWN_PORTS.below)
    if ((await isFree(port, '0.0.0.0')) && (await isFree(port + 1, '0.0.0.0'))) return port
  }
  throw new Error(`No two ports free from ${OWN_PORTS.from} to ${OWN_PORTS.below}`)
}
