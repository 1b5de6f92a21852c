import { Body, Controller, Get, Param, Post, Req, Res } from '@nestjs/common'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { attachment } from '../answers/attachment'
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { WholeService } from './whole.service'

@Controller('api')
export class WholeController {
  constructor(private readonly whole: WholeService) {}

  @Get('conversions/:id/whole')
  @Said({
    id: 'exportWhole',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'The conversion whole: plan, revisions, ticks, readings, log and photos in one ZIP',
    says: 'The ZIP',
    file: 'application/zip',
    errors: [404, 422],
  })
  async zip(@Param('id') id: string, @Res() reply: FastifyReply) {
    const { name, bytes } = await this.whole.zip(idOf(id, 'conversion'))
    return attachment(reply, 'application/zip', `${name}.zip`, bytes)
  }

  @Post('shops/:shopId/whole')
  @Said({
    id: 'importWhole',
    may: 'all',
    tag: 'Conversions',
    summary: 'Take a whole conversion in, or refuse it with every fault',
    says: 'It is taken in',
    answer: 'Conversion',
    zip: true,
    errors: [400, 413, 404, 422],
  })
  take(@Param('shopId') shopId: string, @Body() zip: unknown, @Req() req: FastifyRequest) {
    return this.whole.take(idOf(shopId, 'shop'), zip, askerOf(req))
  }
}
