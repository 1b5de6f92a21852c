import type { NextFunction, Request, Response } from 'express'
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
export function securityHeaders(): (req: Request, res: Response, next: NextFunction) => void {
  const headers = new Map<string, string>()
  const listening = {
    setHeader: (name: string, value: string) => headers.set(name, value),
    removeHeader: () => undefined,
  }
  setting({} as Request, listening as unknown as Response, () => undefined)
  const all = [...headers]
  return (_req, res, next) => {
    for (const [name, value] of all) res.setHeader(name, value)
    next()
  }
}
