import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { get } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { brotliCompressSync, brotliDecompressSync, gunzipSync, gzipSync } from 'node:zlib'
import { CONVERSION_FORMAT, readConversionFile } from '@zesty/core'
import { demoFolder, harness, type Harness } from './harness'

const script = `console.log('${'a wheel turns. '.repeat(200)}')`
const index = '<!doctype html><title>The page</title>'

let folder: string
let h: Harness
let port: number
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'page-'))
  mkdirSync(join(folder, 'assets'))
  writeFileSync(join(folder, 'index.html'), index)
  writeFileSync(join(folder, 'assets', 'main-abc.js'), script)
  writeFileSync(join(folder, 'assets', 'main-abc.js.br'), brotliCompressSync(script))
  writeFileSync(join(folder, 'assets', 'main-abc.js.gz'), gzipSync(script))
  writeFileSync(join(folder, 'assets', 'plain.js'), 'small')
  writeFileSync(join(folder, '..', 'secret-beside-the-page.txt'), 'not for anybody')
  writeFileSync(join(folder, 'swagger-ui-bundle.js'), script)
  h = await harness({ webRoot: folder, docsRoot: folder })
  await h.app.listen(0, '127.0.0.1')
  port = (h.app.getHttpServer() as { address: () => AddressInfo }).address().port
})
afterAll(async () => {
  await h.close()
  rmSync(folder, { recursive: true })
  rmSync(join(folder, '..', 'secret-beside-the-page.txt'))
})

interface Answer {
  status: number
  headers: NodeJS.Dict<string | string[]>
  body: Buffer
}

/** What goes over the wire, not unpacked by any client. */
const ask = (path: string, headers: Record<string, string> = {}) =>
  new Promise<Answer>((resolve, reject) => {
    get({ host: '127.0.0.1', port, path, headers }, (answer) => {
      const parts: Buffer[] = []
      answer.on('data', (part: Buffer) => parts.push(part))
      answer.on('end', () =>
        resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body: Buffer.concat(parts) }),
      )
      answer.on('error', reject)
    }).on('error', reject)
  })

describe('a file of the page', () => {
  for (const [accepts, encoding, unpack] of [
    ['br, gzip', 'br', brotliDecompressSync],
    ['gzip, deflate, br', 'br', brotliDecompressSync],
    ['gzip', 'gzip', gunzipSync],
  ] as const)
    test(`goes out as ${encoding} to whoever takes ${accepts}`, async () => {
      const { status, headers, body } = await ask('/assets/main-abc.js', { 'accept-encoding': accepts })
      expect([status, headers['content-encoding']]).toEqual([200, encoding])
      expect(headers['content-type']).toMatch(/javascript/)
      expect(headers['vary']).toMatch(/accept-encoding/i)
      expect(body.length).toBeLessThan(script.length / 5)
      expect(unpack(body).toString()).toBe(script)
    })
  test('goes out as it is to whoever takes nothing else', async () => {
    const { headers, body } = await ask('/assets/main-abc.js')
    expect([headers['content-encoding'], body.toString()]).toEqual([undefined, script])
  })
  test('that was not worth compressing goes out as it is', async () => {
    const { headers, body } = await ask('/assets/plain.js', { 'accept-encoding': 'br, gzip' })
    expect([headers['content-encoding'], body.toString()]).toEqual([undefined, 'small'])
  })
  test('with a hash in its name is kept for ever, the page itself is asked for each time', async () => {
    const kept = await ask('/assets/main-abc.js', { 'accept-encoding': 'br' })
    expect(kept.headers['cache-control']).toBe('public, max-age=31536000, immutable')
    expect((await ask('/')).headers['cache-control']).toBe('no-cache')
  })
})

describe('an address', () => {
  test.each(['/', '/shops/1', '/conversions/x/motor', '/conversions/x/drive?a=b'])('%s is the page', async (path) => {
    const { status, headers, body } = await ask(path)
    expect([status, body.toString()]).toEqual([200, index])
    expect(headers['content-type']).toMatch(/^text\/html/)
  })
  test('of the API that there is not is no page', async () => {
    const { status, headers } = await ask('/api/nothing')
    expect(status).toBe(404)
    expect(headers['content-type']).toMatch(/^application\/problem\+json/)
  })
  test.each([
    '/../secret-beside-the-page.txt',
    '/..%2fsecret-beside-the-page.txt',
    '/assets/..%2f..%2fsecret-beside-the-page.txt',
  ])('%s leads out of the folder to nothing', async (path) => {
    const { body } = await ask(path)
    expect(body.toString()).not.toContain('not for anybody')
  })
})

describe('what the API answers', () => {
  test('is compressed from a kilobyte on, and not below', async () => {
    const read = readConversionFile(
      JSON.parse(readFileSync(join(demoFolder, '1-saltpan-row', 'gap-bed-lathe.json'), 'utf8')),
    )
    if (!read.ok) throw new Error('the demo file is broken')
    const shop = (await h.api.post('/api/shops').send({ name: 'Wire' })).body as { id: string }
    const made = await h.api.post(`/api/shops/${shop.id}/import`).send({ format: CONVERSION_FORMAT, ...read.value })
    const id = (made.body as { id?: string }).id ?? ''
    const large = await ask(`/api/conversions/${id}/judged`, { 'accept-encoding': 'gzip' })
    expect([large.status, large.headers['content-encoding']]).toEqual([200, 'gzip'])
    const unpacked = gunzipSync(large.body)
    expect(large.body.length).toBeLessThan(unpacked.length / 4)
    expect(JSON.parse(unpacked.toString())).toHaveProperty('conversion.id', id)
    const small = await ask(`/api/shops/${shop.id}`, { 'accept-encoding': 'gzip' })
    expect([small.status, small.headers['content-encoding']]).toEqual([200, undefined])
  })
})

test('the page of the API has its files from the folder it is told', async () => {
  const { status, body } = await ask('/api/docs/swagger-ui-bundle.js')
  expect([status, body.toString()]).toEqual([200, script])
})
