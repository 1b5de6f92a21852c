import type { LibraryItem } from '../library'
import type { Plan } from '../plan'
import { search } from './search'
import { searchSpace } from './space'
import type { Wishes } from './wishes'

/** One wish let go, and how many jobs could be done then. */
export interface Relaxed {
  wish: string
  covered: number
}

const lettingGo: readonly { wish: string; asks: (w: Wishes) => boolean; without: (w: Wishes) => Wishes }[] = [
  { wish: 'every job must be done', asks: (w) => w.everyJob, without: (w) => ({ ...w, everyJob: false }) },
  { wish: 'the budget', asks: (w) => w.budget !== undefined, without: (w) => ({ ...w, budget: undefined }) },
  { wish: 'the motor is kept', asks: (w) => w.keepMotor, without: (w) => ({ ...w, keepMotor: false }) },
  { wish: 'the drive is kept', asks: (w) => w.keepDrive, without: (w) => ({ ...w, keepDrive: false }) },
  { wish: 'the pulleys are kept', asks: (w) => w.keepPulleys, without: (w) => ({ ...w, keepPulleys: false }) },
  {
    wish: 'the room for the motor',
    asks: (w) => w.roomMm !== undefined,
    without: (w) => ({ ...w, roomMm: undefined }),
  },
  { wish: 'the breaker must carry it', asks: (w) => w.withinBreaker, without: (w) => ({ ...w, withinBreaker: false }) },
]

/** For a search that found nothing: each single wish whose letting go finds something, most jobs first. */
export function relax(plan: Plan, library: readonly LibraryItem[], wishes: Wishes): Relaxed[] {
  return lettingGo
    .filter(({ asks }) => asks(wishes))
    .flatMap(({ wish, without }): Relaxed[] => {
      const less = without(wishes)
      const run = search(plan, searchSpace(plan, library, less), less)
      let step = run.next()
      while (!step.done) step = run.next()
      const covered = Math.max(0, ...step.value.best.map((b) => b.covered))
      return covered > 0 ? [{ wish, covered }] : []
    })
    .sort((a, b) => b.covered - a.covered)
}
