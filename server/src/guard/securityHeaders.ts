import type { IncomingMessage, ServerResponse } from 'node:http'
import helmet from 'helmet'

const setting = helmet({
  strictTransportSecurity: false,
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      frameAncestors: ["'none'"],
      baseUri: ["'self'"],
      formAction: ["'self'"],
    },
  },
})

/**
 * What tells a browser to run only what the page itself brings, and to let nobody frame it. The same on every answer, so
 * that they are asked for once.
 */
export function securityHeaders(): Readonly<Record<string, string>> {
  const headers: Record<string, string> = {}
  const reply = {
    setHeader: (name: string, value: string) => void (headers[name] = value),
    removeHeader: () => undefined,
  }
  setting({} as unknown as IncomingMessage, reply as unknown as ServerResponse, () => undefined)
  return headers
}
