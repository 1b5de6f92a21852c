import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common'
import type { Problem as ProblemDetails } from '@zesty/core/http'
import type { FastifyReply } from 'fastify'
import { databaseTrouble } from '../db/databaseTrouble'
import { answerProblem } from './answerProblem'
import { faultInWords } from './faultInWords'
import { NOTHING_HERE, problemDetails } from './problem'

const details: Record<number, string> = {
  404: NOTHING_HERE,
  415: 'The content is packed in a way that is not read here: as it is, or as gzip, br or deflate.',
  413: 'The content is larger than this server takes: 2 MB, a conversion file 68 MB.',
}

/** Answers every error as problem details; what was not foreseen is logged and kept from the reader. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log = new Logger('Problem')

  catch(error: unknown, host: ArgumentsHost): void {
    const reply = host.switchToHttp().getResponse<FastifyReply>()
    if (!reply.sent) answerProblem(reply, this.toProblem(error))
  }

  private toProblem(error: unknown): ProblemDetails {
    if (error instanceof HttpException) {
      const body = error.getResponse()
      const status = error.getStatus()
      return isProblem(body) ? body : problemDetails(status, details[status] ?? error.message)
    }
    const status = statusOf(error)
    if (status !== undefined && status < 500)
      return problemDetails(
        status,
        details[status] ?? (error instanceof SyntaxError ? 'The content is not JSON.' : 'The request cannot be read.'),
      )
    const trouble = databaseTrouble(error)
    if (trouble !== undefined) {
      this.log.warn(trouble)
      return problemDetails(503, `${trouble} What you typed is kept on this page; it will be sent again.`)
    }
    this.log.error(faultInWords(error))
    return problemDetails(500, 'This is a fault of the program. What you typed is kept on this page.')
  }
}

const isProblem = (body: unknown): body is ProblemDetails =>
  typeof body === 'object' && body !== null && 'type' in body && 'detail' in body

/** The HTTP status that a body parser, or what unpacks a body, puts on its errors. */
function statusOf(error: unknown): number | undefined {
  if (typeof error !== 'object' || error === null) return undefined
  const status = 'status' in error ? error.status : 'statusCode' in error ? error.statusCode : undefined
  return typeof status === 'number' ? status : undefined
}
