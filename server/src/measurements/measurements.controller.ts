import { Body, Controller, Delete, Get, Param, Post, Query, Req, Res } from '@nestjs/common'
import { newMeasurementsSchema, type NewMeasurements } from '@zesty/core/http'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { listPageSchema, sayNext, type ListPage } from '../answers/listPage'
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { MeasurementsService } from './measurements.service'

@Controller('api/conversions/:id/measurements')
export class MeasurementsController {
  constructor(private readonly measurements: MeasurementsService) {}

  @Get()
  @Said({
    id: 'listMeasurements',
    may: 'look',
    one: 'machine',
    tag: 'Measurements',
    summary: 'What was read off the machine, in the order it was taken',
    says: 'Every reading',
    answer: 'Measurement',
    list: true,
    errors: [404],
  })
  async list(
    @Param('id') id: string,
    @Query(new ZodPipe(listPageSchema)) page: ListPage,
    @Res({ passthrough: true }) reply: FastifyReply,
  ) {
    const { rows, next } = await this.measurements.list(idOf(id, 'conversion'), page)
    sayNext(reply, `/api/conversions/${id}/measurements`, next)
    return rows
  }

  @Post()
  @Said({
    id: 'addMeasurements',
    may: 'measure',
    tag: 'Measurements',
    summary: 'Keep readings; one whose id is there already is kept once',
    says: 'What was kept, and what all readings now come to',
    answer: 'KeptMeasurements',
    errors: [404, 422],
  })
  add(
    @Param('id') id: string,
    @Body(new ZodPipe(newMeasurementsSchema)) body: NewMeasurements,
    @Req() req: FastifyRequest,
  ) {
    return this.measurements.add(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Delete(':measurementId')
  @Said({
    id: 'removeMeasurement',
    may: 'measure',
    tag: 'Measurements',
    summary: 'Take a reading away',
    says: 'What the readings that are left come to',
    answer: 'Measured',
    errors: [404],
  })
  remove(@Param('id') id: string, @Param('measurementId') measurementId: string) {
    return this.measurements.remove(idOf(id, 'conversion'), idOf(measurementId, 'reading'))
  }
}
