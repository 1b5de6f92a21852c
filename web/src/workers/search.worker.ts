import {
  relax,
  search,
  searchSpace,
  type LibraryItem,
  type Plan,
  type Relaxed,
  type SearchState,
  type Wishes,
} from '@zesty/core'
import { expose } from 'comlink'

/** Milliseconds of work between two reports; the thread hears a cancel in between. */
const SLICE_MS = 120

let run = 0

const pause = () => new Promise<void>((resolve) => setTimeout(resolve, 0))

/** The search off the page's thread: reports as it goes, ends early when another begins or it is stopped. */
const searcher = {
  async search(
    plan: Plan,
    library: readonly LibraryItem[],
    wishes: Wishes,
    onReport: (state: SearchState) => unknown,
  ): Promise<SearchState | undefined> {
    const mine = ++run
    const steps = search(plan, searchSpace(plan, library, wishes), wishes)
    let step = steps.next()
    let reported = performance.now()
    while (!step.done) {
      if (performance.now() - reported > SLICE_MS) {
        await onReport(step.value)
        await pause()
        if (mine !== run) return undefined
        reported = performance.now()
      }
      step = steps.next()
    }
    return step.value
  },
  stop(): void {
    run += 1
  },
  relax: (plan: Plan, library: readonly LibraryItem[], wishes: Wishes): Relaxed[] => relax(plan, library, wishes),
}

export type Searcher = typeof searcher

expose(searcher)
