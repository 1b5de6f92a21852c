import type { Problem } from '@zesty/core/http'
import type { Response } from 'express'

/** Seconds after which it is worth asking again. */
const RETRY_AFTER_S = 2

/** Sends problem details (RFC 9457); what may pass by itself says when to ask again. */
export function answerProblem(response: Response, problem: Problem): void {
  if (problem.status === 503 || problem.status === 429) response.setHeader('Retry-After', String(RETRY_AFTER_S))
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
}
