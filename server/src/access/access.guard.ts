import { Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common'
import type { FastifyRequest } from 'fastify'
import { Problem } from '../problems/problem'
import { AccessService } from './access.service'
import { tokenIn } from './deviceCookie'
import { isOpen, permits, type Asked } from './permits'
import { isFromNetwork, setAsker } from './who'

/** Lets a request from another machine through where its device may ask that, and says why where it may not. */
@Injectable()
export class AccessGuard implements CanActivate {
  constructor(private readonly access: AccessService) {}

  canActivate(context: ExecutionContext): boolean | Promise<boolean> {
    const req = context.switchToHttp().getRequest<FastifyRequest>()
    if (!isFromNetwork(req.raw) || isOpen(askedOf(req))) return true
    return this.letsIn(req)
  }

  private async letsIn(req: FastifyRequest): Promise<boolean> {
    const token = tokenIn(req.headers.cookie)
    const asker = token === undefined ? undefined : await this.access.askerOf(token)
    if (!asker)
      throw new Problem(401, 'This device is not let in: have six words shown at the computer, and type them here.')
    if (!permits(asker, askedOf(req))) throw new Problem(403, refusals[asker.rights])
    setAsker(req, asker)
    return true
  }
}

const askedOf = ({ method, url }: FastifyRequest): Asked => ({ method, path: url.split('?')[0] ?? '' })

const refusals = {
  all: 'This is done at the computer itself.',
  measure: 'This device may look, measure and tick; it may not do this.',
  look: 'This device may only look: nothing that is changed on it is kept.',
} as const
