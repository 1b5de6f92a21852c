import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Req, Res } from '@nestjs/common'
import {
  newInvitationSchema,
  newPersonSchema,
  pairSchema,
  signInSchema,
  type NewInvitation,
  type NewPerson,
  type Pair,
  type SignIn,
  type Who,
} from '@zesty/core/http'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { AccessService } from './access.service'
import { giveToken, takeToken } from './deviceCookie'
import { NETWORK, type Network } from './network'
import { askerOf } from './who'

@Controller('api/access')
export class AccessController {
  constructor(
    private readonly access: AccessService,
    @Inject(NETWORK) private readonly network: Network | undefined,
  ) {}

  @Get('me')
  me(@Req() req: FastifyRequest): Who {
    const { at, name, rights, conversionId } = askerOf(req)
    return {
      at,
      name,
      rights,
      ...(conversionId === undefined ? {} : { conversionId }),
      ...(this.network ? { address: this.network.address } : {}),
    }
  }

  @Delete('me')
  @HttpCode(204)
  async leave(@Req() req: FastifyRequest, @Res({ passthrough: true }) res: FastifyReply) {
    const { deviceId } = askerOf(req)
    if (deviceId === undefined) return
    await this.access.withdraw(deviceId)
    takeToken(res, isEncrypted(req))
  }

  @Post('pair')
  @HttpCode(204)
  async pair(
    @Body(new ZodPipe(pairSchema)) body: Pair,
    @Req() req: FastifyRequest,
    @Res({ passthrough: true }) res: FastifyReply,
  ) {
    giveToken(res, await this.access.pair(body, req.ip), isEncrypted(req))
  }

  @Post('sign-in')
  @HttpCode(204)
  async signIn(
    @Body(new ZodPipe(signInSchema)) body: SignIn,
    @Req() req: FastifyRequest,
    @Res({ passthrough: true }) res: FastifyReply,
  ) {
    giveToken(res, await this.access.signIn(body, req.ip), isEncrypted(req))
  }

  @Post('invitations')
  invite(@Body(new ZodPipe(newInvitationSchema)) body: NewInvitation) {
    return this.access.invite(body)
  }

  @Get('devices')
  devices() {
    return this.access.devices()
  }

  @Delete('devices/:id')
  @HttpCode(204)
  withdraw(@Param('id') id: string) {
    return this.access.withdraw(idOf(id, 'device'))
  }

  @Get('people')
  people() {
    return this.access.people()
  }

  @Post('people')
  addPerson(@Body(new ZodPipe(newPersonSchema)) body: NewPerson) {
    return this.access.addPerson(body)
  }

  @Delete('people/:id')
  @HttpCode(204)
  removePerson(@Param('id') id: string) {
    return this.access.removePerson(idOf(id, 'person'))
  }
}

const isEncrypted = ({ protocol }: FastifyRequest): boolean => protocol === 'https'
