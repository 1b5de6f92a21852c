import type { RequestListener } from 'node:http'
import { hostname, networkInterfaces } from 'node:os'
import { listener } from '../guard/listener'
import { networkTools, type Network } from './network'
import { markNetwork } from './who'

/** What the person wished: an address of this machine, and further names that others may use for it. */
export interface NetworkWish {
  host: string
  port: number
  names: readonly string[]
  /** Not encrypted: whoever is on the network can read along and take a device's place. */
  insecure: boolean
  /** Holds the shop's certificate. */
  folder: string
}

const isEvery = (host: string): boolean => host === '0.0.0.0' || host === '::'

/** Addresses of this machine that others can reach. */
const ownAddresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((list = []) =>
    list.filter(({ internal, family }) => !internal && family === 'IPv4').map(({ address }) => address),
  )

const inBrackets = (host: string): string => (host.includes(':') ? `[${host}]` : host)

/** Finds out under which names other machines may ask, and makes the listener for them. */
export async function openNetwork({ host, port, names, insecure, folder }: NetworkWish) {
  const addresses = isEvery(host) ? ownAddresses() : [host]
  const own = hostname().toLowerCase()
  const all = [...new Set([...addresses, own, `${own}.local`, ...names.map((name) => name.toLowerCase())])]
  await networkTools()
  const keys = insecure ? undefined : await (await import('./certificate')).shopCertificate(folder, all)
  const network: Network = {
    address: `${insecure ? 'http' : 'https'}://${inBrackets(names[0] ?? addresses[0] ?? host)}:${port}`,
    names: new Set(all.map(inBrackets)),
    ...(keys ? { fingerprint: keys.fingerprint } : {}),
  }
  return {
    network,
    listen: async (handler: RequestListener) => {
      const server = listener((req, res) => {
        markNetwork(req)
        handler(req, res)
      }, keys)
      await new Promise<void>((resolve, reject) => server.once('error', reject).listen(port, host, resolve))
      return server
    },
  }
}
