import type { LibraryItem } from '../library/libraryItem'
import type { Plan } from '../plan'
import { search } from './search'
import { searchSpace } from './space'
import type { SearchCriteria } from './searchCriteria'

/** One criterion let go, and how many jobs could be done then. */
export interface Relaxation {
  criterion: string
  covered: number
}

const lettingGo: readonly {
  criterion: string
  asks: (w: SearchCriteria) => boolean
  without: (w: SearchCriteria) => SearchCriteria
}[] = [
  { criterion: 'every job must be done', asks: (w) => w.everyJob, without: (w) => ({ ...w, everyJob: false }) },
  { criterion: 'the budget', asks: (w) => w.budget !== undefined, without: (w) => ({ ...w, budget: undefined }) },
  { criterion: 'the motor is kept', asks: (w) => w.keepMotor, without: (w) => ({ ...w, keepMotor: false }) },
  { criterion: 'the drive is kept', asks: (w) => w.keepDrive, without: (w) => ({ ...w, keepDrive: false }) },
  { criterion: 'the pulleys are kept', asks: (w) => w.keepPulleys, without: (w) => ({ ...w, keepPulleys: false }) },
  {
    criterion: 'the room for the motor',
    asks: (w) => w.roomMm !== undefined,
    without: (w) => ({ ...w, roomMm: undefined }),
  },
  {
    criterion: 'the breaker must carry it',
    asks: (w) => w.withinBreaker,
    without: (w) => ({ ...w, withinBreaker: false }),
  },
]

/** For a search that found nothing: each single criterion whose letting go finds something, most jobs first. */
export function relaxations(plan: Plan, library: readonly LibraryItem[], criteria: SearchCriteria): Relaxation[] {
  return lettingGo
    .filter(({ asks }) => asks(criteria))
    .flatMap(({ criterion, without }): Relaxation[] => {
      const less = without(criteria)
      const run = search(plan, searchSpace(plan, library, less), less)
      let step = run.next()
      while (!step.done) step = run.next()
      const covered = Math.max(0, ...step.value.best.map((b) => b.covered))
      return covered > 0 ? [{ criterion, covered }] : []
    })
    .sort((a, b) => b.covered - a.covered)
}
