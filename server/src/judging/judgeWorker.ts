import { parentPort } from 'node:worker_threads'
import { faultInWords } from '../problems/faultInWords'
import { judgeJob, type JudgeJob } from './judgeJob'
import type { JudgeWord } from './judge'

/** The thread in which machines are judged, one after the other; its program stands in a file of its own, with all that it needs. */
parentPort?.on('message', ({ id, job }: { id: number; job: JudgeJob }) => {
  let word: JudgeWord
  try {
    word = { id, answer: judgeJob(job) }
  } catch (error) {
    word = { id, failed: faultInWords(error) }
  }
  parentPort?.postMessage(word)
})
