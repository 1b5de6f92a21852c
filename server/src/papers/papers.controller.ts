import { Controller, Get, Logger, Param, Req, Res } from '@nestjs/common'
import { paperKindParameterSchema, paperSizeParameterSchema, type PaperEvents } from '@zesty/core/http'
import type { PaperKind } from '@zesty/core/papers'
import type { Paper as PaperSize } from '@zesty/pdf'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { PassThrough } from 'node:stream'
import { attachment } from '../answers/attachment'
import { faultInWords } from '../problems/faultInWords'
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { problemDetails } from '../problems/problem'
import { ZodPipe } from '../problems/zod.pipe'
import { PapersService, type ToBeMade } from './papers.service'

const EVENTS = 'text/event-stream'

@Controller('api/conversions/:id')
export class PapersController {
  private readonly log = new Logger('Papers')

  constructor(private readonly papers: PapersService) {}

  /** The PDF; to whoever asks for events, how far it is and then the PDF. */
  @Get('papers/:paper/:size')
  @Said({
    id: 'printPaper',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'A paper by where it is read, as PDF',
    says: 'The paper',
    file: 'application/pdf',
    errors: [400, 404, 422],
  })
  async pdf(
    @Param('id') id: string,
    @Param('paper', new ZodPipe(paperKindParameterSchema)) paper: PaperKind,
    @Param('size', new ZodPipe(paperSizeParameterSchema)) size: PaperSize,
    @Req() request: FastifyRequest,
    @Res() reply: FastifyReply,
  ) {
    const gone = goneOf(reply)
    const wanted = await this.papers.pdf(idOf(id, 'conversion'), paper, size)
    if (request.headers.accept?.includes(EVENTS) !== true)
      return this.file(reply, gone, wanted, 'application/pdf', 'pdf')
    const { name, make } = wanted
    const stream = new PassThrough()
    const tell = <K extends keyof PaperEvents>(event: K, data: PaperEvents[K]) =>
      stream.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
    void make((progress) => tell('progress', progress), gone)
      .then(
        (bytes) => tell('paper', { name, pdf: Buffer.from(bytes).toString('base64') }),
        (error: unknown) => {
          if (gone.aborted) return
          this.log.error(faultInWords(error))
          tell('problem', problemDetails(500, 'This is a fault of the program: the paper was not made.'))
        },
      )
      .finally(() => stream.end())
    return reply.type(EVENTS).header('cache-control', 'no-store').send(stream)
  }

  @Get('help-sheet')
  @Said({
    id: 'helpSheet',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'The sheet for a friend who knows, as one page that stands by itself',
    says: 'The page',
    file: 'text/html',
    errors: [404, 422],
  })
  async helpSheet(@Param('id') id: string, @Res() reply: FastifyReply) {
    const gone = goneOf(reply)
    return this.file(
      reply,
      gone,
      await this.papers.helpSheet(idOf(id, 'conversion')),
      'text/html; charset=utf-8',
      'html',
    )
  }

  @Get('calendar')
  @Said({
    id: 'calendar',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'The days of what is to be done, as iCalendar',
    says: 'The calendar',
    file: 'text/calendar',
    errors: [404, 422],
  })
  async calendar(@Param('id') id: string, @Res() reply: FastifyReply) {
    const { name, text } = await this.papers.calendar(idOf(id, 'conversion'))
    return attachment(reply, 'text/calendar; charset=utf-8', `${name}.ics`, Buffer.from(text))
  }

  private async file(
    reply: FastifyReply,
    gone: AbortSignal,
    { name, make }: ToBeMade,
    type: string,
    ending: 'pdf' | 'html',
  ) {
    let bytes: Uint8Array
    try {
      bytes = await make(() => undefined, gone)
    } catch (error) {
      // Nobody is there to hear anything.
      if (gone.aborted) return reply.hijack()
      throw error
    }
    return attachment(reply, type, `${name}.${ending}`, bytes)
  }
}

/** Raised when whoever asked has gone before there was an answer. */
function goneOf(reply: FastifyReply): AbortSignal {
  const gone = new AbortController()
  reply.raw.once('close', () => {
    if (!reply.raw.writableFinished) gone.abort()
  })
  return gone.signal
}
