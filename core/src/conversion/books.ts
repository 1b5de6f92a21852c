import type { Blocked, Figure } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import { Ledger } from '../facts/ledger'
import { partOf } from '../graph/graph'
import { bookedParts } from './factsIn'

interface Books {
  figures: Partial<Record<FigureId, Figure>>
  blocked: Partial<Record<FigureId, Blocked>>
}

/** The books of all facts in one. Of what two parts booked, the first counts. */
export const books = partOf<Books>(
  'books',
  (graph) => {
    // Tables of ids from the start: growing plain objects into them cost a fifth of an evaluation.
    const value: Books = {
      figures: Object.create(null) as Books['figures'],
      blocked: Object.create(null) as Books['blocked'],
    }
    for (const left of graph.leftBy(bookedParts))
      if (left instanceof Ledger) {
        addTo(value.figures, left.figures, left.figureIds)
        addTo(value.blocked, left.blocked, left.blockedIds)
      }
    return { value }
  },
  { fresh: true },
)

type Table<T> = Partial<Record<FigureId, T>>

function addTo<T>(all: Table<T>, more: Readonly<Table<T>>, ids: readonly FigureId[]): void {
  for (const id of ids) all[id] ??= more[id] as T
}
