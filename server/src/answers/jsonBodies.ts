import type { FastifyInstance } from 'fastify'
import { JsonText } from './jsonText'
import { Problem } from '../problems/problem'

/**
 * Reads JSON, a ZIP as its bytes, and nothing else: what is no JSON is no body, and each address says what it wanted. Writes JSON, some of
 * which is text already.
 */
export function jsonBodies(fastify: FastifyInstance): void {
  fastify.setReplySerializer((payload) => (payload instanceof JsonText ? payload.text : JSON.stringify(payload)))
  fastify.removeAllContentTypeParsers()
  fastify.addContentTypeParser('application/json', { parseAs: 'string' }, (_request, body, done) => {
    if (body === '') {
      done(null, undefined)
      return
    }
    try {
      done(null, JSON.parse(String(body)))
    } catch {
      done(new Problem(400, 'The content is not JSON.'), undefined)
    }
  })
  fastify.addContentTypeParser('application/zip', { parseAs: 'buffer' }, (_request, body, done) => done(null, body))
  fastify.addContentTypeParser('*', { parseAs: 'buffer' }, (_request, _body, done) => done(null, undefined))
}
