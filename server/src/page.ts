import fastifyStatic from '@fastify/static'
import type { FastifyInstance } from 'fastify'
import { readdirSync } from 'node:fs'
import { isApi } from './guard/guardRequests'
import { answerProblem } from './problems/answerProblem'
import { NOTHING_HERE, problemDetails } from './problems/problem'

/**
 * Serves the built page, as Brotli or gzip of what the build has compressed: files with a hash in their name for ever,
 * the page itself never cached.
 */
export async function servePage(fastify: FastifyInstance, webRoot: string): Promise<void> {
  // They are what the build has made: none comes or goes while it serves.
  const files = new Set(readdirSync(webRoot, { recursive: true, encoding: 'utf8' }).map((name) => `/${name}`))
  await fastify.register(fastifyStatic, {
    root: webRoot,
    serve: false,
    preCompressed: true,
    cacheControl: false,
    setHeaders: (reply, path) => void reply.header('Cache-Control', cachingOf(path)),
  })
  // What the build has not compressed is not worth it.
  fastify.get('/*', { compress: false }, (request, reply) => {
    const [path = ''] = request.url.split('?')
    if (isApi(request.url)) answerProblem(reply, problemDetails(404, NOTHING_HERE))
    // An address of the page's own, such as a conversion's: the page's router takes it from here.
    else void reply.sendFile(files.has(path) && /\.\w+$/.test(path) ? path : '/index.html')
  })
}

const cachingOf = (path: string): string =>
  /[/\\]assets[/\\]/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache'
