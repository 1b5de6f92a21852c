import { cardOf } from '../card/cardOf'
import { firstLinesOf } from '../card/firstLines'
import type { SettingLine } from '../facts/settings/settingLine'
import type { LogEntry } from '../log/logEntry'
import type { Measured } from '../measurements/measured'
import type { Measurement } from '../measurements/measurement'
import type { Plan } from '../plan'
import { runInOf } from '../runIn/runInOf'
import { looseEndsOf } from '../sequence/looseEnds'
import { stepsOf } from '../sequence/stepsOf'
import { tasksOf, type Task } from '../sequence/tasks'
import { partsOf, toolsOf } from '../wiring/parts'
import { wiringOf } from '../wiring/wiringOf'

/** What is known of a machine beside its plan. */
export interface KnownOfMachine {
  /** As its evaluation gives them. */
  settings: readonly SettingLine[]
  measured?: Measured | undefined
  readings?: readonly Measurement[]
  log?: readonly LogEntry[]
  /** ISO 8601 day, by whoever asks. */
  today: string
}

/** All that is still to be done at a machine, from its plan alone and what was read and logged of it. */
export function tasksFor(plan: Plan, { settings, measured, readings = [], log = [], today }: KnownOfMachine): Task[] {
  const wiring = wiringOf(plan)
  const steps = stepsOf(plan, wiring, firstLinesOf(cardOf(plan, settings)))
  return tasksOf(
    plan,
    [...partsOf(wiring), ...toolsOf(plan, wiring)],
    steps,
    runInOf(plan, measured).stages,
    looseEndsOf(plan, steps, wiring, readings),
    log,
    today,
  )
}
