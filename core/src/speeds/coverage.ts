import { isCovered, verdictOrder, type JobVerdict } from '../facts/spindle/jobOn'
import type { SpeedMap } from './speedMap'

/** How many jobs one position, or two together, can do, and what is lost. */
export interface Coverage {
  positions: string[]
  covered: number
  /** Of those, how many hold all day. */
  allDay: number
  /** Jobs that cannot be done, each with the best that happens to it. */
  lost: { job: string; why: JobVerdict }[]
}

/** Every position alone and every pair, best first: most jobs, then most of them all day, then fewest positions. */
export function coverage({ positions, jobs }: SpeedMap): Coverage[] {
  const singles = positions.map((_, i) => [i])
  const pairs = positions.flatMap((_, i) => positions.slice(i + 1).map((_, j) => [i, i + 1 + j]))
  return [...singles, ...pairs]
    .map((set): Coverage => {
      const best = jobs.map((job) => {
        const on = set.flatMap((i) => job.on[i] ?? [])
        const first = on.reduce((a, b) => (verdictOrder.indexOf(b.verdict) < verdictOrder.indexOf(a.verdict) ? b : a))
        return { job: job.name, result: first }
      })
      return {
        positions: set.map((i) => positions[i]?.name ?? ''),
        covered: best.filter((b) => isCovered(b.result)).length,
        allDay: best.filter((b) => b.result.verdict === 'all-day').length,
        lost: best.filter((b) => !isCovered(b.result)).map((b) => ({ job: b.job, why: b.result.verdict })),
      }
    })
    .sort((a, b) => b.covered - a.covered || b.allDay - a.allDay || a.positions.length - b.positions.length)
}
