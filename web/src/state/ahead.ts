/** How long what was asked ahead may be taken, ms: later it may tell of a state that is gone. */
const FRESH_MS = 10_000

const asked = new Map<string, { at: number; answer: Promise<Response> }>()

/**
 * Asks the server for what the page is about to want, before the script that wants it has come. Who then asks for it takes
 * this answer, once; what nobody asks for is never looked at.
 */
export function askAhead(path: string): void {
  const answer = fetch(path, { headers: { accept: 'application/json' } })
  // Who takes it hears of it.
  answer.catch(() => undefined)
  asked.set(path, { at: performance.now(), answer })
}

/** The page's `fetch`: what was asked ahead, or else what is asked now. */
export function fetchOrTake(input: Request | string | URL, init?: RequestInit): Promise<Response> {
  const ahead =
    input instanceof Request && input.method === 'GET' ? taken(new URL(input.url, location.href)) : undefined
  return ahead ?? fetch(input, init)
}

function taken({ pathname, search }: URL): Promise<Response> | undefined {
  const ahead = asked.get(pathname + search)
  asked.delete(pathname + search)
  return ahead && performance.now() - ahead.at < FRESH_MS ? ahead.answer : undefined
}
