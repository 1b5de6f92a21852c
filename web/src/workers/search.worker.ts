import '../state/withoutEval'
import { type Plan } from '@zesty/core'
import { type LibraryItem } from '@zesty/core/library'
import {
  relaxations,
  search,
  searchSpace,
  type Relaxation,
  type SearchState,
  type SearchCriteria,
} from '@zesty/core/search'
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
    criteria: SearchCriteria,
    onReport: (state: SearchState) => unknown,
  ): Promise<SearchState | undefined> {
    const mine = ++run
    const steps = search(plan, searchSpace(plan, library, criteria), criteria)
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
  relaxations: (plan: Plan, library: readonly LibraryItem[], criteria: SearchCriteria): Relaxation[] =>
    relaxations(plan, library, criteria),
}

export type Searcher = typeof searcher

expose(searcher)
