import { Body, Controller, Delete, Get, HttpCode, Param, Post, Req } from '@nestjs/common'
import { newLogEntriesSchema, type NewLogEntries } from '@zesty/core/http'
import type { FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { RecordService } from './record.service'

@Controller('api/conversions/:id/log')
export class RecordController {
  constructor(private readonly record: RecordService) {}

  @Get()
  @Said({
    id: 'listLog',
    may: 'look',
    one: 'machine',
    tag: 'Record',
    summary: 'The machine’s log, in the order of time',
    says: 'Every line',
    answer: 'LogEntry',
    list: true,
    errors: [404],
  })
  list(@Param('id') id: string) {
    return this.record.list(idOf(id, 'conversion'))
  }

  @Post()
  @Said({
    id: 'addToLog',
    may: 'measure',
    tag: 'Record',
    summary: 'Keep lines of the log; one whose id is there already is kept once',
    says: 'Every line, with those',
    answer: 'LogEntry',
    list: true,
    errors: [404, 422],
  })
  add(
    @Param('id') id: string,
    @Body(new ZodPipe(newLogEntriesSchema)) body: NewLogEntries,
    @Req() req: FastifyRequest,
  ) {
    return this.record.add(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Delete(':entryId')
  @Said({
    id: 'removeFromLog',
    may: 'measure',
    tag: 'Record',
    summary: 'Take a line of the log away',
    says: 'It is gone',
    errors: [404],
  })
  @HttpCode(204)
  remove(@Param('id') id: string, @Param('entryId') entryId: string) {
    return this.record.remove(idOf(id, 'conversion'), idOf(entryId, 'log entry'))
  }
}
