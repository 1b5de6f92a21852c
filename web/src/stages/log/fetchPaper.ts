import { paperEvents, type PaperEvents } from '@zesty/core/http'
import type { PaperKind } from '@zesty/core/papers'
import { EventSourceParserStream } from 'eventsource-parser/stream'

/**
 * Has a paper made by the server and says how far it is meanwhile. Raising the signal ends the making there too.
 *
 * Throws what went wrong in words; TypeError where the server does not answer.
 */
export async function fetchPaper(
  conversionId: string,
  kind: PaperKind,
  size: 'a4' | 'letter',
  signal: AbortSignal,
  onProgress: (progress: PaperEvents['progress']) => void,
): Promise<Uint8Array> {
  const answer = await fetch(`/api/conversions/${conversionId}/papers/${kind}/${size}`, {
    signal,
    headers: { accept: 'text/event-stream' },
  })
  if (!answer.ok || !answer.body) throw new Error(`The server answered ${answer.status}.`)
  const events = answer.body.pipeThrough(new TextDecoderStream()).pipeThrough(new EventSourceParserStream()).getReader()
  for (;;) {
    const { done, value } = await events.read()
    if (done) throw new Error('The server ended before the paper was made.')
    const data: unknown = JSON.parse(value.data)
    switch (value.event) {
      case 'progress':
        onProgress(paperEvents.progress.parse(data))
        break
      case 'paper':
        return fromBase64(paperEvents.paper.parse(data).pdf)
      case 'problem':
        throw new Error(paperEvents.problem.parse(data).detail)
    }
  }
}

const fromBase64 = (text: string): Uint8Array => Uint8Array.from(atob(text), (c) => c.charCodeAt(0))
