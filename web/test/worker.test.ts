import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { beforeAll, describe, expect, jest, test } from '@jest/globals'
import { readConversionFile } from '@zesty/core'
import { search, searchSpace, usualCriteria, type SearchState } from '@zesty/core/search'
import type { Searcher } from '../src/workers/search.worker'

/** What the worker hands to the page. */
let searcher: Searcher
beforeAll(async () => {
  jest.unstable_mockModule('comlink', () => ({ expose: (handed: Searcher) => (searcher = handed) }))
  await import('../src/workers/search.worker')
})

const file = join(import.meta.dirname, '..', '..', 'demo', '1-saltpan-row', 'gap-bed-lathe.json')
const read = readConversionFile(JSON.parse(readFileSync(file, 'utf8')))
if (!read.ok) throw new Error(file)
const plan = read.value.plan

// A search is seconds of work where something else runs too.
jest.setTimeout(30_000)

describe('the search off the page’s thread', () => {
  test('ends with what the search itself finds', async () => {
    const steps = search(plan, searchSpace(plan, [], usualCriteria), usualCriteria)
    let step = steps.next()
    while (!step.done) step = steps.next()
    expect(await searcher.search(plan, [], usualCriteria, () => undefined)).toEqual(step.value)
  })
  test('reports on its way, and ends without an answer when it is stopped or another begins', async () => {
    // Every slice is over at once, so that it reports at each step.
    let now = 0
    jest.spyOn(performance, 'now').mockImplementation(() => (now += 1000))
    const reports: SearchState[] = []
    const stopped = searcher.search(plan, [], usualCriteria, (state) => {
      reports.push(state)
      searcher.stop()
    })
    expect(await stopped).toBeUndefined()
    const first = searcher.search(plan, [], usualCriteria, (state) => void reports.push(state))
    const second = searcher.search(plan, [], usualCriteria, (state) => void reports.push(state))
    expect([await first, (await second)?.total]).toEqual([undefined, expect.any(Number)])
    expect(reports.length).toBeGreaterThan(0)
    jest.restoreAllMocks()
  })
  test('what would be found with one wish less is asked of it too', () => {
    expect(Array.isArray(searcher.relaxations(plan, [], usualCriteria))).toBe(true)
  })
})
