import type { NextFunction, Request, Response } from 'express'
import { answerProblem } from '../problems/answerProblem'
import { problemDetails } from '../problems/problem'
import { readHost } from './hostName'

const reading = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Takes changes from the server's own pages only, and from programs that are no browser. Browsers say where a change
 * comes from, in `Sec-Fetch-Site` and `Origin`; a foreign page cannot leave either out.
 */
export function onlyOwnPages(req: Request, res: Response, next: NextFunction): void {
  if (reading.has(req.method) || (isSameSite(req) && isSameOrigin(req))) next()
  else answerProblem(res, problemDetails(403, 'A change is taken only from this server’s own page.'))
}

function isSameSite({ headers }: Request): boolean {
  const site = headers['sec-fetch-site']
  return site === undefined || site === 'same-origin' || site === 'none'
}

function isSameOrigin({ headers }: Request): boolean {
  const { origin } = headers
  if (origin === undefined) return true
  const [from, here] = [readHost(/^https?:\/\/(.*)$/i.exec(origin)?.[1]), readHost(headers.host)]
  return from !== undefined && from.name === here?.name && from.port === here.port
}
