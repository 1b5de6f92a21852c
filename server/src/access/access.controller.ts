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
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { AccessService } from './access.service'
import { giveToken, isEncrypted, takeToken } from './deviceCookie'
import { NETWORK, type Network } from './network'
import { askerOf } from './who'

@Controller('api/access')
export class AccessController {
  constructor(
    private readonly access: AccessService,
    @Inject(NETWORK) private readonly network: Network | undefined,
  ) {}

  @Get('me')
  @Said({
    id: 'whoAmI',
    may: 'whoever is let in',
    tag: 'Access',
    summary: 'Who asks, and what they may do',
    says: 'The computer itself, or a device',
    answer: 'Who',
  })
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
  @Said({
    id: 'leave',
    may: 'whoever is let in',
    tag: 'Access',
    summary: 'A device takes itself out',
    says: 'It is not let in any more',
  })
  @HttpCode(204)
  async leave(@Req() req: FastifyRequest, @Res({ passthrough: true }) res: FastifyReply) {
    const { deviceId } = askerOf(req)
    if (deviceId === undefined) return
    await this.access.withdraw(deviceId)
    takeToken(res, isEncrypted(req))
  }

  @Post('pair')
  @Said({
    id: 'pair',
    may: 'a stranger',
    tag: 'Access',
    summary: 'A device shows the six words that it was told, and is let in by a cookie',
    says: 'It is let in',
    errors: [429],
  })
  @HttpCode(204)
  async pair(
    @Body(new ZodPipe(pairSchema)) body: Pair,
    @Req() req: FastifyRequest,
    @Res({ passthrough: true }) res: FastifyReply,
  ) {
    giveToken(res, await this.access.pair(body, req.ip), isEncrypted(req))
  }

  @Post('sign-in')
  @Said({
    id: 'signIn',
    may: 'a stranger',
    tag: 'Access',
    summary: 'A device is let in for a name and its pass-phrase',
    says: 'It is let in',
    errors: [429],
  })
  @HttpCode(204)
  async signIn(
    @Body(new ZodPipe(signInSchema)) body: SignIn,
    @Req() req: FastifyRequest,
    @Res({ passthrough: true }) res: FastifyReply,
  ) {
    giveToken(res, await this.access.signIn(body, req.ip), isEncrypted(req))
  }

  @Post('invitations')
  @Said({
    id: 'invite',
    may: 'the computer',
    tag: 'Access',
    summary: 'A way in for one device, for ten minutes; at the computer alone',
    says: 'Its words, told this once',
    answer: 'Invitation',
    errors: [404, 409],
  })
  invite(@Body(new ZodPipe(newInvitationSchema)) body: NewInvitation) {
    return this.access.invite(body)
  }

  @Get('devices')
  @Said({
    id: 'listDevices',
    may: 'the computer',
    tag: 'Access',
    summary: 'Devices that are let in; at the computer alone',
    says: 'A line for each device',
    answer: 'Device',
    list: true,
  })
  devices() {
    return this.access.devices()
  }

  @Delete('devices/:id')
  @Said({
    id: 'withdrawDevice',
    may: 'the computer',
    tag: 'Access',
    summary: 'Withdraw a device; at the computer alone',
    says: 'It is a stranger at its next request',
    errors: [404],
  })
  @HttpCode(204)
  withdraw(@Param('id') id: string) {
    return this.access.withdraw(idOf(id, 'device'))
  }

  @Get('people')
  @Said({
    id: 'listPeople',
    may: 'the computer',
    tag: 'Access',
    summary: 'Names with a pass-phrase; at the computer alone',
    says: 'A line for each name',
    answer: 'Person',
    list: true,
  })
  people() {
    return this.access.people()
  }

  @Post('people')
  @Said({
    id: 'addPerson',
    may: 'the computer',
    tag: 'Access',
    summary: 'Add a name with a pass-phrase; at the computer alone',
    says: 'The name',
    answer: 'Person',
    errors: [409],
  })
  addPerson(@Body(new ZodPipe(newPersonSchema)) body: NewPerson) {
    return this.access.addPerson(body)
  }

  @Delete('people/:id')
  @Said({
    id: 'removePerson',
    may: 'the computer',
    tag: 'Access',
    summary: 'Take a name away, with the devices signed in under it; at the computer alone',
    says: 'It is gone',
    errors: [404],
  })
  @HttpCode(204)
  removePerson(@Param('id') id: string) {
    return this.access.removePerson(idOf(id, 'person'))
  }
}
