import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { askAhead, fetchOrTake } from '../src/state/ahead'

class Answer {
  constructor(readonly of: string) {}
}

let asked: string[]
const before = globalThis.fetch

beforeEach(() => {
  asked = []
  globalThis.fetch = jest.fn((input: unknown) => {
    const path = typeof input === 'string' ? input : new URL((input as Request).url).pathname
    asked.push(path)
    return Promise.resolve(new Answer(path))
  }) as unknown as typeof fetch
})
afterEach(() => {
  globalThis.fetch = before
  jest.restoreAllMocks()
})

const get = (path: string) => new Request(`http://shed.lan${path}`)

test('what was asked ahead is taken once, and asked again after that', async () => {
  askAhead('/api/shops')
  await fetchOrTake(get('/api/shops'))
  expect(asked).toEqual(['/api/shops'])
  await fetchOrTake(get('/api/shops'))
  expect(asked).toEqual(['/api/shops', '/api/shops'])
})

test('another address, another question and a change take nothing of it', async () => {
  askAhead('/api/conversions/1/judged?stage=motor')
  await fetchOrTake(get('/api/conversions/1/judged?stage=drive'))
  await fetchOrTake(get('/api/conversions/2/judged?stage=motor'))
  expect(asked).toHaveLength(3)
  const change = new Request('http://shed.lan/api/shops', { method: 'POST', body: '{"name":"Shed"}' })
  askAhead('/api/shops')
  await fetchOrTake(change)
  expect(asked).toHaveLength(5)
  // It is handed on as it is: one that was looked into has no body left.
  expect(globalThis.fetch).toHaveBeenLastCalledWith(change, undefined)
})

test('what waited for too long is not taken', async () => {
  const now = jest.spyOn(performance, 'now').mockReturnValue(0)
  askAhead('/api/shops/1')
  now.mockReturnValue(10_001)
  await fetchOrTake(get('/api/shops/1'))
  expect(asked).toEqual(['/api/shops/1', '/api/shops/1'])
})

test('that it did not come is told to who asks, and to nobody else', async () => {
  globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('no network')))
  askAhead('/api/shops/2')
  await new Promise((resolve) => setTimeout(resolve, 5))
  await expect(fetchOrTake(get('/api/shops/2'))).rejects.toThrow('no network')
})
