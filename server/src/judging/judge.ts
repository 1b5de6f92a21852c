import { Worker } from 'node:worker_threads'
import { judgeJob, type JudgeAnswer, type JudgeJob } from './judgeJob'

/** Injection token of what judges machines. */
export const JUDGE = Symbol('judge')

/** Judges one machine; rejects where its plan is none. */
export interface Judge {
  (job: JudgeJob): Promise<JudgeAnswer>
  /** Ends what it keeps ready. */
  close?: () => Promise<void>
}

/** The thread that judges is gone: nothing is known of the plan that it had. */
export class JudgeLost extends Error {}

/** What a worker says of the job of that number. */
export type JudgeWord = { id: number; answer: JudgeAnswer } | { id: number; failed: string }

/** A thread that had nothing to do for so long is ended, for its memory, ms. */
const IDLE_MS = 60_000

/** Megabytes that its plans may take. */
const HEAP_MB = 128

/** Judges in this thread, for whoever has no other. */
export const judgeHere: Judge = (job) =>
  new Promise((resolve) => {
    resolve(judgeJob(job))
  })

/**
 * Judges in one thread beside the server's own, so that nobody else waits meanwhile; it is begun when it is wanted and
 * ended when it is not. Takes the worker's program rather than its file, which whoever serves may not be allowed to read.
 */
export function judgeInWorker(program: string): Judge {
  let worker: Worker | undefined
  let idle: NodeJS.Timeout | undefined
  let jobs = 0
  const waiting = new Map<number, { resolve: (answer: JudgeAnswer) => void; reject: (error: Error) => void }>()

  const giveUp = (why: string) => {
    for (const { reject } of waiting.values()) reject(new JudgeLost(why))
    waiting.clear()
  }
  const end = async () => {
    clearTimeout(idle)
    const ended = worker
    worker = undefined
    giveUp('The server ends')
    await ended?.terminate()
  }
  const begin = (): Worker => {
    const begun = new Worker(program, { eval: true, execArgv: [], resourceLimits: { maxOldGenerationSizeMb: HEAP_MB } })
    const lost = (why: string) => {
      if (worker !== begun) return
      worker = undefined
      giveUp(why)
    }
    begun.on('error', ({ message }) => lost(message))
    begun.on('exit', () => lost('The thread that judges ended before it had judged'))
    begun.on('message', (word: JudgeWord) => {
      const one = waiting.get(word.id)
      waiting.delete(word.id)
      if ('answer' in word) one?.resolve(word.answer)
      else one?.reject(new Error(word.failed))
      if (waiting.size > 0) return
      // A server that ends does not wait for it.
      begun.unref()
      idle = setTimeout(() => void end(), IDLE_MS).unref()
    })
    return begun
  }
  const judge: Judge = (job) =>
    new Promise((resolve, reject) => {
      clearTimeout(idle)
      worker ??= begin()
      worker.ref()
      const id = (jobs += 1)
      waiting.set(id, { resolve, reject })
      worker.postMessage({ id, job })
    })
  judge.close = end
  return judge
}
