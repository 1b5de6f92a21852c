import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { connect, type AddressInfo } from 'node:net'
import { harness, type Harness } from './harness'

let h: Harness
let port: number
beforeAll(async () => {
  h = await harness()
  await h.app.listen(0, '127.0.0.1')
  port = (h.app.getHttpServer() as { address: () => AddressInfo }).address().port
})
afterAll(() => h.close())

/** What comes back for exactly these bytes, until the other side is done. */
const bytes = (sent: string) =>
  new Promise<string>((resolve, reject) => {
    const socket = connect(port, '127.0.0.1', () => socket.write(sent))
    let heard = ''
    socket.setEncoding('utf8')
    socket.on('data', (part: string) => (heard += part))
    socket.on('error', reject)
    socket.on('close', () => resolve(heard))
  })
/** The status for a request with these header lines. */
const status = async (lines: string[], request = 'GET /api/shops HTTP/1.1', body = '') =>
  Number(
    /^HTTP\/1\.1 (\d+)/.exec(await bytes([request, ...lines, 'Connection: close', '', body].join('\r\n')))?.[1] ?? 0,
  )

describe('the name that a request is sent to', () => {
  test.each(['127.0.0.1', 'localhost', 'localhost.', 'LocalHost', '[::1]', '127.9.9.9'])('%s is this machine', (name) =>
    expect(status([`Host: ${name}:${port}`])).resolves.toBe(200),
  )
  test.each([
    'example.test',
    '127.0.0.1.example.test',
    'localhost.example.test',
    'someone@localhost',
    'localhost, example.test',
    'localhost/x',
    '127.0.0.1:4747:80',
    '2130706433',
    '0.0.0.0',
    '',
  ])('%s is not', (name) => expect(status([`Host: ${name}`])).resolves.toBe(403))
  test('must be there, and only once', async () => {
    expect(await status([], 'GET /api/shops HTTP/1.0')).toBe(403)
    expect(await status([`Host: localhost:${port}`, 'Host: example.test'])).toBeGreaterThanOrEqual(400)
  })
  test('is asked of the page’s own addresses too', async () => {
    expect(await status(['Host: example.test'], 'GET / HTTP/1.1')).toBe(403)
  })
})

describe('a change', () => {
  const change = (...lines: string[]) => {
    const body = '{"name":"Shop of the guard"}'
    return status(
      [`Host: localhost:${port}`, 'Content-Type: application/json', `Content-Length: ${body.length}`, ...lines],
      'POST /api/shops HTTP/1.1',
      body,
    )
  }
  test('is taken from the server’s own page', async () => {
    expect(await change(`Origin: http://localhost:${port}`, 'Sec-Fetch-Site: same-origin')).toBe(201)
    expect(await change(`Origin: http://LOCALHOST.:${port}`)).toBe(201)
  })
  test('is taken from what is no browser', () => expect(change()).resolves.toBe(201))
  test.each([
    ['another page', 'Origin: https://example.test'],
    ['another port of this machine', 'Origin: http://localhost:1'],
    ['a page without a place', 'Origin: null'],
    ['a file', 'Origin: file://'],
    ['another site, though it hides its origin', 'Sec-Fetch-Site: cross-site'],
    ['another port, though it hides its origin', 'Sec-Fetch-Site: same-site'],
  ])('is refused from %s', (_, line) => expect(change(line)).resolves.toBe(403))
  test('refused leaves nothing behind', async () => {
    const names = async () =>
      ((await h.api.get('/api/shops').expect(200)).body as { name: string }[]).map(({ name }) => name)
    const before = await names()
    expect(await change('Origin: https://example.test')).toBe(403)
    expect(await names()).toEqual(before)
  })
})

describe('an answer of the API', () => {
  test('is kept by nobody on the way', async () => {
    expect((await h.api.get('/api/shops').expect(200)).headers['cache-control']).toBe('no-store')
    expect((await h.api.get('/api/nothing').expect(404)).headers['cache-control']).toBe('no-store')
  })
  test('gives no other origin leave to read it', async () => {
    const { headers } = await h.api.get('/api/shops').set('Origin', 'https://example.test').expect(200)
    expect(headers['access-control-allow-origin']).toBeUndefined()
  })
  test('tells the first fifty faults, and how many more there are', async () => {
    const { body } = await h.api
      .post('/api/shops')
      .send(Object.fromEntries(Array.from({ length: 900 }, (_, i) => [`k${i}`, i])))
    expect(body.status).toBe(400)
    expect(body.faults).toHaveLength(51)
    expect(body.faults[50]).toEqual({ field: '', message: 'has 851 more faults' })
  })
})

test('a client that sends its headers a letter at a time is not waited for', async () => {
  const began = performance.now()
  expect(await bytes(`GET /api/shops HTTP/1.1\r\nHost: localhost:${port}\r\nX-Slow: `)).toMatch(/^HTTP\/1\.1 408/)
  expect(performance.now() - began).toBeLessThan(8000)
}, 15_000)
