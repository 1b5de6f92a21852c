import { steps } from '../card/steps'
import type { Known } from '../conversion/known'
import { sheet } from '../conversion/runIn'
import type { LogEntry } from '../log/logEntry'
import type { Measurement } from '../readings/measurement'
import { looseEndsOf } from '../sequence/looseEnds'
import { tasksOf, type Task } from '../sequence/tasks'
import { partsOf, toolsOf } from '../wiring/parts'

/** What is known of a machine beside its plan. */
export interface KnownOfMachine {
  readings?: readonly Measurement[]
  log?: readonly LogEntry[]
  /** ISO 8601 day, by whoever asks. */
  today: string
}

/** All that is still to be done at a machine, from its plan alone and what was read and logged of it. */
export function tasksFor(of: Known, { readings = [], log = [], today }: KnownOfMachine): Task[] {
  const { plan } = of
  const { wiring } = of.facts.wiring
  const built = of.of(steps)
  return tasksOf(
    plan,
    [...partsOf(wiring), ...toolsOf(plan, wiring)],
    built,
    of.of(sheet),
    looseEndsOf(plan, built, wiring, readings),
    log,
    today,
  )
}
