import type { IncomingMessage } from 'node:http'
import { readHost } from './hostName'

const reading = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Whether a request changes nothing, or comes from the server's own page or from a program that is no browser. Browsers
 * say where a change comes from, in `Sec-Fetch-Site` and `Origin`; a foreign page cannot leave either out.
 */
export const isOwnPage = (req: IncomingMessage): boolean =>
  reading.has(req.method ?? '') || (isSameSite(req) && isSameOrigin(req))

function isSameSite({ headers }: IncomingMessage): boolean {
  const site = headers['sec-fetch-site']
  return site === undefined || site === 'same-origin' || site === 'none'
}

function isSameOrigin({ headers }: IncomingMessage): boolean {
  const { origin } = headers
  if (origin === undefined) return true
  const [from, here] = [readHost(/^https?:\/\/(.*)$/i.exec(origin)?.[1]), readHost(headers.host)]
  return from !== undefined && from.name === here?.name && from.port === here.port
}
