import { advise } from '../src/conversion/advise'
import type { Evaluation } from '../src/evaluate/evaluation'
import type { Patch } from '../src/plan'
import { spoiled } from './mistakes'

const known = new Map<Patch, Evaluation>()

/** What is said of a mistake, its remedies tried: once for all tests of a worker that ask. */
export function advised(patch: Patch): Evaluation {
  const before = known.get(patch)
  if (before) return before
  // Its parts are made here: what was looked at is let go.
  const { findings, figures, judged } = advise(spoiled(...patch))
  const made = { findings, figures, judged } as Evaluation
  known.set(patch, made)
  return made
}
