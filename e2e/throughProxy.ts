import { createServer, request } from 'node:http'
import type { AddressInfo } from 'node:net'

/**
 * The same server at another port, its service worker another one once `release` was called: what a browser sees when a
 * new release is installed.
 */
export async function throughProxy(port: number) {
  let released = false
  const proxy = createServer((asked, answer) => {
    const { url: path, method, headers } = asked
    const changes = released && path === '/sw.js'
    // The whole file, as it is: not packed, and not only whether it is still the same.
    const whole = { host: headers.host ?? '', cookie: headers.cookie ?? '' }
    const sent = request(
      {
        host: '127.0.0.1',
        port,
        path,
        method,
        headers: changes ? whole : headers,
      },
      (theirs) => {
        const { 'content-length': length, ...kept } = theirs.headers
        answer.writeHead(theirs.statusCode ?? 502, changes || length === undefined ? kept : theirs.headers)
        if (changes) theirs.on('end', () => answer.end('\n// the next release\n')).pipe(answer, { end: false })
        else theirs.pipe(answer)
      },
    )
    sent.on('error', () => answer.destroy())
    asked.pipe(sent)
  })
  await new Promise<void>((resolve) => proxy.listen(0, '127.0.0.1', resolve))
  return {
    port: (proxy.address() as AddressInfo).port,
    release: () => {
      released = true
    },
    close: () => {
      proxy.closeAllConnections()
      proxy.close()
    },
  }
}
