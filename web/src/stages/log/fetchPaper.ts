import { paperEvents, type PaperEvents } from '@zesty/core/http'
import type { PaperKind } from '@zesty/core/papers'
import { createParser, type EventSourceMessage } from 'eventsource-parser'

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
  let made: Uint8Array | undefined
  const heard = ({ event, data }: EventSourceMessage) => {
    const said: unknown = JSON.parse(data)
    if (event === 'progress') onProgress(paperEvents.progress.parse(said))
    else if (event === 'paper') made = fromBase64(paperEvents.paper.parse(said).pdf)
    else if (event === 'problem') throw new Error(paperEvents.problem.parse(said).detail)
  }
  const parser = createParser({ onEvent: heard })
  const [bytes, letters] = [answer.body.getReader(), new TextDecoder()]
  for (let part = await bytes.read(); !part.done; part = await bytes.read())
    parser.feed(letters.decode(part.value, { stream: true }))
  if (!made) throw new Error('The server ended before the paper was made.')
  return made
}

const fromBase64 = (text: string): Uint8Array => Uint8Array.from(atob(text), (c) => c.charCodeAt(0))
