import type { FastifyReply } from 'fastify'

/** Answers a file to be kept, under a name that any system takes; nobody's browser shows it as a page. */
export function attachment(reply: FastifyReply, type: string, name: string, bytes: Uint8Array): FastifyReply {
  const plain = name.replace(/[^\w .,()-]/g, '_')
  return reply
    .type(type)
    .header('content-disposition', `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}`)
    .header('x-content-type-options', 'nosniff')
    .send(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength))
}
