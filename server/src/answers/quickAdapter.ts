import type { RequestListener } from 'node:http'
import { FastifyAdapter } from '@nestjs/platform-fastify'
import type { FastifyServerOptions } from 'fastify'
import { listener } from '../guard/listener'
import { answerProblem } from '../problems/answerProblem'
import { problemDetails } from '../problems/problem'

/** Nest on Fastify, with a server that waits for nobody for long. */
export class QuickAdapter extends FastifyAdapter {
  /** Every route, `GET /api/shops/:id`, as it was put up. */
  readonly routes: string[] = []
  /** What answers requests, for a listener of another kind. */
  readonly handler: RequestListener

  /** What a request may bring, and what a conversion file may have, which takes its photos along; bytes. */
  constructor(bodyLimit: number, largestFile: number) {
    let handler: RequestListener | undefined
    const options: FastifyServerOptions = {
      bodyLimit,
      return503OnClosing: true,
      serverFactory: (answer) => {
        handler = answer
        return listener(handler)
      },
      // An address that cannot be read, before there is a route to it.
      frameworkErrors: (error, _request, reply) =>
        answerProblem(reply, problemDetails(error.statusCode ?? 400, 'The request cannot be read.')),
    }
    super(options)
    if (!handler) throw new Error('Fastify asked for no server')
    this.handler = handler
    this.getInstance().addHook('onRoute', (route) => {
      const { method, url } = route
      if (url.endsWith('/import') || url.endsWith('/whole')) route.bodyLimit = largestFile
      for (const one of [method].flat()) this.routes.push(`${one} ${url}`)
    })
  }
}
