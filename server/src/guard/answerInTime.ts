import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common'
import { throwError, timeout, type Observable } from 'rxjs'
import { Problem } from '../problems/problem'

/** Within two seconds there is an answer, if only that there is none yet. */
const ANSWER_MS = 1800

const tooSlow = (): Problem =>
  new Problem(503, 'The database does not answer in time. What you typed is kept on this page; it will be sent again.')

/** Says so where an answer takes too long: a database that hangs must not hang the page as well. */
@Injectable()
export class AnswerInTime implements NestInterceptor {
  intercept(_context: ExecutionContext, next: CallHandler): Observable<unknown> {
    return next.handle().pipe(timeout({ first: ANSWER_MS, with: () => throwError(tooSlow) }))
  }
}
