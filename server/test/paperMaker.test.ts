import { expect, test } from '@jest/globals'
import { emptyPlan } from '@zesty/core'
import type { PaperJob } from '../src/papers/paperJob'
import type { PaperProgress } from '../src/papers/paperProgress'
import { makeHere, makeInWorkers } from '../src/papers/paperMaker'
import { readFonts } from '../src/papers/fonts'

const job: PaperJob = {
  as: 'pdf',
  kind: 'owner',
  size: 'a4',
  photos: [],
  input: { plan: emptyPlan('Lathe'), readings: [], log: [], units: 'metric', shop: 'Shed', today: '2026-03-01' },
}
const fonts = readFonts()
const waiting = () => new AbortController().signal
const quiet = () => undefined

/** A worker of a few words, in the place of the built one. */
const program = (words: string) => `const { parentPort, workerData } = require('node:worker_threads'); ${words}`

test('in this thread: progress up to the whole, then a PDF; ended between two pieces', async () => {
  const told: PaperProgress[] = []
  const bytes = await makeHere(fonts)(job, (p) => told.push(p), waiting())
  expect(Buffer.from(bytes).subarray(0, 5).toString()).toBe('%PDF-')
  expect(told.at(-1)).toEqual({ done: told.length, of: told.length })
  const gone = new AbortController()
  const stopped: PaperProgress[] = []
  const reporting = (p: PaperProgress) => {
    stopped.push(p)
    gone.abort()
  }
  await expect(makeHere(fonts)(job, reporting, gone.signal)).rejects.toThrow(/abort/i)
  expect(stopped).toHaveLength(1)
})

test('in a thread of its own: the job goes over, words and bytes come back', async () => {
  const make = makeInWorkers(
    program(
      'parentPort.postMessage({ progress: { done: 1, of: 2 } }); parentPort.postMessage({ bytes: Buffer.from(workerData.job.input.plan.name) })',
    ),
    fonts,
  )
  const told: PaperProgress[] = []
  const bytes = await make(job, (p) => told.push(p), waiting())
  expect([told, Buffer.from(bytes).toString()]).toEqual([[{ done: 1, of: 2 }], 'Lathe'])
})

test('one that works for ever is ended when nobody waits, and others go on beside it', async () => {
  const busy = makeInWorkers(
    program(
      "if (workerData.job.kind === 'bench') for (;;); else parentPort.postMessage({ bytes: Buffer.from('made') })",
    ),
    fonts,
  )
  const gone = new AbortController()
  const endless = busy({ ...job, kind: 'bench' }, quiet, gone.signal)
  expect(Buffer.from(await busy(job, quiet, waiting())).toString()).toBe('made')
  gone.abort()
  await expect(endless).rejects.toThrow(/abort/i)
  // Both places are free again, and one for whom nobody waits any more does not even begin.
  await expect(busy(job, quiet, gone.signal)).rejects.toThrow(/abort/i)
  await expect(Promise.all([busy(job, quiet, waiting()), busy(job, quiet, waiting())])).resolves.toHaveLength(2)
})

test.each([
  ["parentPort.postMessage({ failed: 'no ink' })", /no ink/],
  ["throw new Error('it broke')", /it broke/],
  ['process.exit(0)', /ended before/],
])('a worker that says %s is an error, not a wait', async (words, says) => {
  await expect(makeInWorkers(program(words), fonts)(job, quiet, waiting())).rejects.toThrow(says)
})
