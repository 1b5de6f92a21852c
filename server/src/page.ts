import type { NextFunction, Request, Response } from 'express'
import expressStaticGzip from 'express-static-gzip'

/**
 * Serves the built page, as Brotli or gzip of what the build has compressed: files with a hash in their name for ever,
 * the page itself never cached.
 */
export function servePage(app: { use: (...handlers: unknown[]) => unknown }, webRoot: string): void {
  const files = expressStaticGzip(webRoot, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: { setHeaders: (res, path) => setCaching(res as Response, path) },
  })
  app.use((req: Request, res: Response, next: NextFunction) => {
    // No file of the page has such an address, and to look for one takes as long as the answer.
    if ((req.method !== 'GET' && req.method !== 'HEAD') || isApi(req.path)) {
      next()
      return
    }
    files(req, res, (error?: unknown) => {
      if (error !== undefined) {
        next(error)
        return
      }
      // An address of the page's own, such as a conversion's: the page's router takes it from here.
      req.url = '/index.html'
      files(req, res, next)
    })
  })
}

const isApi = (path: string): boolean => path === '/api' || path.startsWith('/api/')

function setCaching(res: Response, path: string): void {
  res.setHeader('Cache-Control', /[/\\]assets[/\\]/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache')
}
