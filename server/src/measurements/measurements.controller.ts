import { Body, Controller, Delete, Get, Param, Post, Req } from '@nestjs/common'
import { newMeasurementsSchema, type NewMeasurements } from '@zesty/core/http'
import type { FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { MeasurementsService } from './measurements.service'

@Controller('api/conversions/:id/measurements')
export class MeasurementsController {
  constructor(private readonly measurements: MeasurementsService) {}

  @Get()
  list(@Param('id') id: string) {
    return this.measurements.list(idOf(id, 'conversion'))
  }

  @Post()
  add(
    @Param('id') id: string,
    @Body(new ZodPipe(newMeasurementsSchema)) body: NewMeasurements,
    @Req() req: FastifyRequest,
  ) {
    return this.measurements.add(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Delete(':measurementId')
  remove(@Param('id') id: string, @Param('measurementId') measurementId: string) {
    return this.measurements.remove(idOf(id, 'conversion'), idOf(measurementId, 'reading'))
  }
}
