import type { FastifyInstance, FastifyRequest } from 'fastify'
import type { AccessService } from '../access/access.service'
import { isEncrypted, tokenIn } from '../access/deviceCookie'
import { mayAsk } from '../access/mayAsk'
import { isFromNetwork, setAsker } from '../access/who'
import { operations } from '../openapi/operations'
import type { Words } from '../openapi/said'
import { notFoundHere, Problem } from '../problems/problem'

/** What each route declares of itself, by the route as the router has it. */
const declared: ReadonlyMap<string, Words> = new Map(
  operations.map((one) => [`${one.method.toUpperCase()} ${one.path.replace(/\{(\w+)\}/g, ':$1')}`, one]),
)

/** Whatever is under no route of the API: the page, and what is nowhere. */
const PAGE = '/*'

/**
 * Lets a request from another machine through where its device may ask that, and says why where it may not: by the route
 * that the router has chosen, never by the text of an address, and before any of its body is read. A route that declares
 * nothing is none for other machines.
 */
export function letIn(fastify: FastifyInstance, access: AccessService): void {
  fastify.addHook('onRequest', async (request: FastifyRequest) => {
    const route = request.routeOptions.url
    if (!isFromNetwork(request.raw) || route === undefined || route === PAGE) return
    const operation = declared.get(`${request.method === 'HEAD' ? 'GET' : request.method} ${route}`)
    if (operation === undefined) throw notFoundHere()
    if (operation.may === 'a stranger') return
    const token = tokenIn(request.headers.cookie, isEncrypted(request))
    const asker = token === undefined ? undefined : await access.askerOf(token)
    if (!asker)
      throw new Problem(401, 'This device is not let in: have six words shown at the computer, and type them here.')
    if (!mayAsk(asker, operation, request.params as Record<string, string>))
      throw new Problem(403, refusals[asker.rights])
    setAsker(request, asker)
  })
}

const refusals = {
  all: 'This is done at the computer itself.',
  measure: 'This device may look, measure and tick; it may not do this.',
  look: 'This device may only look: nothing that is changed on it is kept.',
} as const
