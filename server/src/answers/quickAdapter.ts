import type { RequestListener } from 'node:http'
import { ExpressAdapter } from '@nestjs/platform-express'
import type { Response } from 'express'
import { listener } from '../guard/listener'
import { JsonText } from './jsonText'

/** Nest on Express, with a server that waits for nobody for long, and answers that are written at once. */
export class QuickAdapter extends ExpressAdapter {
  override initHttpServer(): void {
    this.httpServer = listener(this.getInstance() as RequestListener)
  }

  override reply(response: Response, body: unknown, statusCode?: number): unknown {
    if (!(body instanceof JsonText) && !isPlain(body)) return super.reply(response, body, statusCode)
    if (statusCode !== undefined) response.status(statusCode)
    // As bytes: a long text that goes out beside its headers would be turned into them more slowly.
    const bytes = Buffer.from(body instanceof JsonText ? body.text : JSON.stringify(body))
    response.setHeader('Content-Type', 'application/json; charset=utf-8')
    response.setHeader('Content-Length', bytes.length)
    return response.end(bytes)
  }
}

/** An object or list of the API's own making; errors and streams are not. */
function isPlain(body: unknown): boolean {
  if (typeof body !== 'object' || body === null) return false
  const prototype: unknown = Object.getPrototypeOf(body)
  return prototype === Object.prototype || prototype === Array.prototype
}
