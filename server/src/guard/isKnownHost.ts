import type { IncomingMessage } from 'node:http'
import { readHost } from './hostName'

/**
 * Whether a request came under a name that is known to be this server's. A foreign page that has its own name point here
 * (DNS rebinding) sends that name, and gets nothing.
 */
export function isKnownHost(req: IncomingMessage, isKnown: (name: string) => boolean): boolean {
  // Several `Host` lines are one that is refused: a proxy and a server may each have taken another.
  const read = req.headersDistinct['host']?.length === 1 ? readHost(req.headers.host) : undefined
  return read !== undefined && isKnown(read.name)
}
