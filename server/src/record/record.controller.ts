import { Body, Controller, Delete, Get, HttpCode, Param, Post, Req } from '@nestjs/common'
import { newLogEntriesSchema, type NewLogEntries } from '@zesty/core/http'
import type { FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { RecordService } from './record.service'

@Controller('api/conversions/:id/log')
export class RecordController {
  constructor(private readonly record: RecordService) {}

  @Get()
  list(@Param('id') id: string) {
    return this.record.list(idOf(id, 'conversion'))
  }

  @Post()
  add(
    @Param('id') id: string,
    @Body(new ZodPipe(newLogEntriesSchema)) body: NewLogEntries,
    @Req() req: FastifyRequest,
  ) {
    return this.record.add(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Delete(':entryId')
  @HttpCode(204)
  remove(@Param('id') id: string, @Param('entryId') entryId: string) {
    return this.record.remove(idOf(id, 'conversion'), idOf(entryId, 'log entry'))
  }
}
