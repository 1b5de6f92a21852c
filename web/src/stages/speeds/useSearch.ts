import type { Plan } from '@zesty/core'
import type { LibraryItem } from '@zesty/core/library'
import type { Combination, Relaxation, SearchState, SearchCriteria } from '@zesty/core/search'
import { proxy, wrap, type Remote } from 'comlink'
import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { Searcher } from '../../workers/search.worker'

/** A search as the page follows it. */
export interface Searching {
  phase: 'idle' | 'running' | 'done' | 'stopped'
  state?: SearchState
  /** SearchCriteria of which one alone must go, where nothing was found. */
  relaxed?: Relaxation[]
  /** What was asked, so that results are told apart from what is typed since. */
  criteria?: SearchCriteria
}

const orders = (found: readonly Combination[]): string => found.map((f) => f.order).join()

/** A report with the lists of the one before where they hold the same. */
function keepSame(before: SearchState | undefined, now: SearchState): SearchState {
  if (!before) return now
  return {
    ...now,
    best: orders(before.best) === orders(now.best) ? before.best : now.best,
    front: orders(before.front) === orders(now.front) ? before.front : now.front,
  }
}

/** Runs searches in a worker of their own, made with the first and gone with the page. */
export function useSearch() {
  const [searching, setSearching] = useState<Searching>({ phase: 'idle' })
  const worker = useRef<{ thread: Worker; searcher: Remote<Searcher> }>(undefined)
  useEffect(() => () => worker.current?.thread.terminate(), [])

  const start = useCallback(async (plan: Plan, library: readonly LibraryItem[], criteria: SearchCriteria) => {
    if (!worker.current) {
      const thread = new Worker(new URL('../../workers/search.worker.ts', import.meta.url), { type: 'module' })
      worker.current = { thread, searcher: wrap<Searcher>(thread) }
    }
    const { searcher } = worker.current
    setSearching({ phase: 'running', criteria })
    const done = await searcher.search(
      plan,
      library,
      criteria,
      proxy((state: SearchState) => {
        // Results that are not new keep their identity, so that their table is not drawn again; and a report gives way to the person.
        startTransition(() =>
          setSearching((now) => (now.phase === 'running' ? { ...now, state: keepSame(now.state, state) } : now)),
        )
      }),
    )
    if (!done) return
    const relaxed = done.best.length === 0 ? await searcher.relaxations(plan, library, criteria) : undefined
    setSearching({ phase: 'done', criteria, state: done, ...(relaxed ? { relaxed } : {}) })
  }, [])

  const stop = useCallback(() => {
    void worker.current?.searcher.stop()
    setSearching((now) => ({ ...now, phase: 'stopped' }))
  }, [])

  return { searching, start, stop }
}
