import { Controller, Get, Param, Req, Res } from '@nestjs/common'
import { paperKindParameterSchema, paperSizeParameterSchema } from '@zesty/core/http'
import type { PaperKind } from '@zesty/core/papers'
import type { Paper as PaperSize } from '@zesty/pdf'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { attachment } from '../answers/attachment'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { PapersService } from './papers.service'

@Controller('api/conversions/:id')
export class PapersController {
  constructor(private readonly papers: PapersService) {}

  @Get('papers/:paper/:size')
  async pdf(
    @Param('id') id: string,
    @Param('paper', new ZodPipe(paperKindParameterSchema)) paper: PaperKind,
    @Param('size', new ZodPipe(paperSizeParameterSchema)) size: PaperSize,
    @Req() request: FastifyRequest,
    @Res() reply: FastifyReply,
  ) {
    const made = await this.papers.pdf(idOf(id, 'conversion'), paper, size, () => !request.raw.destroyed)
    // Nobody is there to hear anything.
    if (!made) return reply.hijack()
    return attachment(reply, 'application/pdf', `${made.name}.pdf`, made.bytes)
  }

  @Get('help-sheet')
  async helpSheet(@Param('id') id: string, @Res() reply: FastifyReply) {
    const { name, text } = await this.papers.helpSheet(idOf(id, 'conversion'))
    return attachment(reply, 'text/html; charset=utf-8', `${name}.html`, Buffer.from(text))
  }

  @Get('calendar')
  async calendar(@Param('id') id: string, @Res() reply: FastifyReply) {
    const { name, text } = await this.papers.calendar(idOf(id, 'conversion'))
    return attachment(reply, 'text/calendar; charset=utf-8', `${name}.ics`, Buffer.from(text))
  }
}
