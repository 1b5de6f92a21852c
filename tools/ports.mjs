// @ts-check
import { createServer } from 'node:net'

/** A port nobody listens on. @returns {Promise<number>} */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer()
    probe.on('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      const port = typeof address === 'object' && address ? address.port : 0
      probe.close(() => resolve(port))
    })
  })

/** Whether a port is free to listen on. @param {number} port @param {string} [host] @returns {Promise<boolean>} */
export const isFree = (port, host = '127.0.0.1') =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.on('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })
