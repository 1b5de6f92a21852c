import { parentPort, workerData } from 'node:worker_threads'
import type { PdfFonts } from '@zesty/pdf'
import { makePaper, type PaperJob } from './paperJob'
import type { WorkerWord } from './paperMaker'

/** The thread in which one paper is made; its program stands in a file of its own, with all that it needs. */
const { job, fonts } = workerData as { job: PaperJob; fonts: PdfFonts }
const say = (word: WorkerWord) => parentPort?.postMessage(word)

makePaper(job, fonts, (progress) => say({ progress })).then(
  (bytes) => say({ bytes }),
  (error: unknown) => say({ failed: error instanceof Error ? (error.stack ?? error.message) : String(error) }),
)
