import { searchKeys, type SearchKey } from './searchCriteria'

/** What combinations are ranked by. */
export interface Ranked {
  covered: number
  allDay: number
  /** Belt moves between the positions that are needed: one less than there are. */
  moves: number
  /** All day at the slowest job, N m; nothing where it cannot be done. */
  slowNm: number
  /** Least torque in hand, all day, over the jobs that are done; the more, the cooler. */
  inHand: number
  /** Of what must be bought; unknown ranks behind every known one. */
  cost: number | undefined
  /** Place in the space, so that equals have one order. */
  order: number
}

const by: Record<SearchKey, (a: Ranked, b: Ranked) => number> = {
  jobs: (a, b) => b.covered - a.covered || b.allDay - a.allDay,
  moves: (a, b) => a.moves - b.moves,
  cost: (a, b) => sortable(a.cost) - sortable(b.cost),
  torque: (a, b) => b.slowNm - a.slowNm,
  heat: (a, b) => b.inHand - a.inHand,
}

const UNKNOWN = Number.MAX_VALUE

const sortable = (cost: number | undefined): number => cost ?? UNKNOWN

const keys = Object.keys(searchKeys) as SearchKey[]

/** Orders by what weighs first, then by the others in their order. */
export function ranking(first: SearchKey): (a: Ranked, b: Ranked) => number {
  const order = [first, ...keys.filter((k) => k !== first)]
  return (a, b) => {
    for (const key of order) {
      const difference = by[key](a, b)
      if (difference !== 0) return difference
    }
    return a.order - b.order
  }
}

/** The first thing, in the order of weight, in which two differ. */
export function firstDifference(first: SearchKey, a: Ranked, b: Ranked): SearchKey | undefined {
  return [first, ...keys.filter((k) => k !== first)].find((key) => by[key](a, b) !== 0)
}
