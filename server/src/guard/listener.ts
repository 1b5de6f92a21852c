import { createServer, type RequestListener, type Server } from 'node:http'
import { createServer as createTlsServer } from 'node:https'

/** A request is here whole within seconds, or it is given up: whoever sends a letter a minute must not hold a place. */
const deadlines = { headersTimeout: 5000, requestTimeout: 15_000, connectionsCheckingInterval: 1000 }
/** Longer than browsers and proxies keep a connection for another request: else one comes just as it is shut. */
const KEEP_ALIVE_MS = 75_000
/** Whoever reads nothing of an answer for so long has gone. */
const IDLE_MS = 60_000

/** What proves to a client whom it talks to, and keeps the talk from others. */
export interface TlsKeys {
  key: string
  cert: string
}

/** A server that waits for nobody for long; encrypted where it is given keys. */
export function listener(handler: RequestListener, tls?: TlsKeys): Server {
  const options = { ...deadlines, keepAliveTimeout: KEEP_ALIVE_MS }
  const server = tls
    ? createTlsServer(
        { ...options, ...tls, minVersion: 'TLSv1.2', handshakeTimeout: deadlines.headersTimeout },
        handler,
      )
    : createServer(options, handler)
  server.setTimeout(IDLE_MS)
  return server
}
