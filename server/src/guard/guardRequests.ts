import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import type { Network } from '../access/network'
import { isFromNetwork } from '../access/who'
import { answerProblem } from '../problems/answerProblem'
import { problemDetails } from '../problems/problem'
import { isLoopbackName } from './hostName'
import { isKnownHost } from './isKnownHost'
import { isOwnPage } from './isOwnPage'
import { isPlainPath } from './isPlainPath'
import { securityHeaders } from './securityHeaders'

export const isApi = (url: string): boolean => /^\/api(?:[/?]|$)/.test(url)
const STRANGE_NAME =
  'This server does not answer to this name: it knows 127.0.0.1, localhost, and those it was started with (--host, --name).'
const STRANGE_PAGE = 'A change is taken only from this server’s own page.'
const STRANGE_ADDRESS = 'This address is written so that it can be read in more than one way.'

/** Looks at every request before anything else does: the name it came under, the page it came from. */
export function guardRequests(fastify: FastifyInstance, network: Network | undefined): void {
  const everywhere = securityHeaders()
  // What the API says is true for a moment, and of one shop alone: nothing on the way keeps it.
  const ofApi = { ...everywhere, 'Cache-Control': 'no-store' }
  const isOfNetwork = (name: string) => network?.names.has(name) === true
  fastify.addHook('onRequest', (request: FastifyRequest, reply: FastifyReply, done) => {
    const { raw } = request
    const api = isApi(request.url)
    reply.headers(api ? ofApi : everywhere)
    const fromNetwork = isFromNetwork(raw)
    if (!isKnownHost(raw, fromNetwork ? isOfNetwork : isLoopbackName))
      answerProblem(reply, problemDetails(403, STRANGE_NAME))
    else if (!isOwnPage(raw)) answerProblem(reply, problemDetails(403, STRANGE_PAGE))
    else if (!isPlainPath(request.url)) answerProblem(reply, problemDetails(400, STRANGE_ADDRESS))
    else done()
  })
}
