import { Body, Controller, Get, Param, Post, Req, Res } from '@nestjs/common'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { attachment } from '../answers/attachment'
import { idOf } from '../problems/id'
import { WholeService } from './whole.service'

@Controller('api')
export class WholeController {
  constructor(private readonly whole: WholeService) {}

  @Get('conversions/:id/whole')
  async zip(@Param('id') id: string, @Res() reply: FastifyReply) {
    const { name, bytes } = await this.whole.zip(idOf(id, 'conversion'))
    return attachment(reply, 'application/zip', `${name}.zip`, bytes)
  }

  @Post('shops/:shopId/whole')
  take(@Param('shopId') shopId: string, @Body() zip: unknown, @Req() req: FastifyRequest) {
    return this.whole.take(idOf(shopId, 'shop'), zip, askerOf(req))
  }
}
