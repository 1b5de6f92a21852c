import type { Response } from 'superagent'

/** The body of an answer as it comes, for `parse` of supertest. */
export function bytesOf(res: Response, done: (error: Error | null, body: Buffer) => void): void {
  const stream = res as unknown as NodeJS.ReadableStream
  const parts: Buffer[] = []
  stream.on('data', (part: Buffer) => parts.push(part))
  stream.on('end', () => done(null, Buffer.concat(parts)))
}
