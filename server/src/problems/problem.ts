import { HttpException } from '@nestjs/common'
import type { Problem as ProblemDetails } from '@zesty/core/http'
import { firstFaults, type Fault } from '@zesty/core/rules'

const titles: Record<number, string> = {
  400: 'Bad input',
  401: 'Not let in',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Changed elsewhere',
  413: 'Too large',
  415: 'Wrong kind of content',
  422: 'Cannot be read',
  429: 'Too many attempts',
  500: 'Something broke here',
  503: 'Not available',
}

export function problemDetails(status: number, detail: string, extra: Record<string, unknown> = {}): ProblemDetails {
  return { type: 'about:blank', title: titles[status] ?? 'Error', status, detail, ...extra }
}

/** Thrown by services; answered as problem details. */
export class Problem extends HttpException {
  constructor(status: number, detail: string, extra: Record<string, unknown> = {}) {
    super(problemDetails(status, detail, extra), status)
  }
}

const sentence = (faults: readonly Fault[]): string =>
  faults
    .slice(0, 3)
    .map((f) => `${f.field === '' ? 'The whole' : f.field} ${f.message}`)
    .join('; ')

export const badInput = (faults: Fault[], status = 400): Problem =>
  new Problem(status, `${sentence(faults)}.`, { faults: firstFaults(faults) })

export const notFound = (what: string): Problem => new Problem(404, `There is no such ${what}.`)

export const NOTHING_HERE = 'There is nothing at this address.'

/** At an address that leads nowhere, or nowhere for whoever asks. */
export const notFoundHere = (): Problem => new Problem(404, NOTHING_HERE)
