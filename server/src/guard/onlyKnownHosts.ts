import type { NextFunction, Request, Response } from 'express'
import { answerProblem } from '../problems/answerProblem'
import { problemDetails } from '../problems/problem'
import { readHost } from './hostName'

/**
 * Answers only to names that are known to be this server's: a foreign page that has its own name point here
 * (DNS rebinding) sends that name, and gets nothing.
 */
export const onlyKnownHosts =
  (isKnown: (name: string, req: Request) => boolean) =>
  (req: Request, res: Response, next: NextFunction): void => {
    // Several `Host` lines are one that is refused: a proxy and a server may each have taken another.
    const read = req.headersDistinct['host']?.length === 1 ? readHost(req.headers.host) : undefined
    if (read && isKnown(read.name, req)) next()
    else
      answerProblem(
        res,
        problemDetails(
          403,
          'This server does not answer to this name: it knows 127.0.0.1, localhost, and those it was started with (--host, --name).',
        ),
      )
  }
