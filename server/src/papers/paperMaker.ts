import { Worker } from 'node:worker_threads'
import type { PdfFonts } from '@zesty/pdf'
import pLimit from 'p-limit'
import { makePaper, type PaperJob } from './paperJob'
import type { PaperProgress, Report } from './paperProgress'

/** Injection token of what makes papers. */
export const PAPER_MAKER = Symbol('paper maker')

/** Makes one paper; rejects with the signal's reason once nobody waits for it any more. */
export type PaperMaker = (job: PaperJob, report: Report, signal: AbortSignal) => Promise<Uint8Array>

/** What a worker says: how far it is, the paper, or why there is none. */
export type WorkerWord = { progress: PaperProgress } | { bytes: Uint8Array } | { failed: string }

/** Papers made at a time: each takes a core, and some memory. */
const AT_ONCE = 2

/** Makes papers in this thread, for whoever has no other. */
export const makeHere =
  (fonts: PdfFonts): PaperMaker =>
  (job, report, signal) =>
    makePaper(job, fonts, (progress) => {
      signal.throwIfAborted()
      report(progress)
    })

/**
 * Makes each paper in a thread of its own, so that nobody else waits for it and it can be ended at any moment. Takes the
 * worker's program rather than its file, which whoever serves may not be allowed to read any more.
 */
export function makeInWorkers(program: string, fonts: PdfFonts): PaperMaker {
  const limit = pLimit(AT_ONCE)
  return (job, report, signal) =>
    limit(async () => {
      signal.throwIfAborted()
      const worker = new Worker(program, { eval: true, execArgv: [], workerData: { job, fonts } })
      try {
        return await new Promise<Uint8Array>((resolve, reject) => {
          signal.addEventListener('abort', () => reject(signal.reason as Error), { once: true })
          worker.on('error', reject)
          worker.on('exit', () => reject(new Error('The thread that made the paper ended before it was made')))
          worker.on('message', (word: WorkerWord) => {
            if ('progress' in word) report(word.progress)
            else if ('bytes' in word) resolve(word.bytes)
            else reject(new Error(word.failed))
          })
        })
      } finally {
        await worker.terminate()
      }
    })
}
