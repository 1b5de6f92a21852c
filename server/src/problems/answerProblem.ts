import type { Problem } from '@zesty/core/http'
import type { FastifyReply } from 'fastify'

/** Seconds after which it is worth asking again. */
const RETRY_AFTER_S = 2

/** Sends problem details (RFC 9457); what may pass by itself says when to ask again. */
export function answerProblem(reply: FastifyReply, problem: Problem): void {
  if (problem.status === 503 || problem.status === 429) reply.header('Retry-After', String(RETRY_AFTER_S))
  void reply
    .code(problem.status)
    .header('Content-Type', 'application/problem+json; charset=utf-8')
    .send(JSON.stringify(problem))
}
