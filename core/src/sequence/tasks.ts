import type { LogEntry } from '../log/logEntry'
import { upkeepTasks } from '../log/logEntry'
import { upkeepOf } from '../log/upkeep'
import { upkeepTasksOf } from './upkeepTasksOf'
import { inUseSince, type LooseEnd, type Plan } from '../plan'
import type { PartLine } from '../wiring/parts'
import { buildParts, type BuildStep } from './step'

export const taskKinds = {
  buy: 'Buy',
  wait: 'Wait for',
  make: 'Make',
  wire: 'Wire',
  prove: 'Prove',
  keep: 'Look after',
} as const
export type TaskKind = keyof typeof taskKinds

/** One thing that is still to be done. */
export interface Task {
  id: string
  kind: TaskKind
  what: string
  /** Kinds of tasks that must be through before it: wiring waits for parts, proving for wiring. */
  waitsFor: TaskKind[]
  /** ISO 8601 day, where one is known. */
  on?: string
}

/** What a stage of the run-in is, as far as tasks are concerned. */
export interface RunInLine {
  id: string
  name: string
  passed?: string | undefined
}

/**
 * What is still to be done, in the order in which it can be: what blocks stands before what it blocks. Parts by how far
 * they are on their way, what is to be made, steps of the build, the run-in's hold points, and what is due.
 */
export function tasksOf(
  plan: Plan,
  parts: readonly PartLine[],
  steps: readonly BuildStep[],
  runIn: readonly RunInLine[],
  loose: readonly LooseEnd[],
  log: readonly LogEntry[],
  today: string,
): Task[] {
  const tasks: Task[] = []
  for (const { key, name } of parts) {
    const { state, expectedOn } = plan.wiring.parts?.[key] ?? {}
    if (state === 'had') continue
    tasks.push(
      state === 'ordered' || state === 'paid'
        ? {
            id: `wait-${key}`,
            kind: 'wait',
            what: name,
            waitsFor: [],
            ...(expectedOn === undefined ? {} : { on: expectedOn }),
          }
        : { id: `buy-${key}`, kind: 'buy', what: name, waitsFor: [] },
    )
  }
  if (plan.mount.guard === 'to-make')
    tasks.push({ id: 'make-guard', kind: 'make', what: 'The guard over belt and pulleys', waitsFor: [] })
  if (plan.mount.keeper === 'to-make')
    tasks.push({ id: 'make-keeper', kind: 'make', what: 'The belt keeper', waitsFor: [] })
  if (plan.mount.seat !== undefined && plan.mount.seat !== 'feet' && plan.runIn.passed?.['first-belt'] === undefined)
    tasks.push({ id: 'make-seat', kind: 'make', what: 'What the motor sits on', waitsFor: [] })
  const blocking = (): TaskKind[] => (['buy', 'wait'] as const).filter((kind) => tasks.some((t) => t.kind === kind))
  const waits = blocking()
  for (const step of steps) {
    const answer = plan.wiring.steps?.[step.id]?.answer
    if (answer === 'done') continue
    const proves = step.part === 'prove' || step.part === 'first-spin' || step.part === 'first-power'
    tasks.push({
      id: `step-${step.id}`,
      kind: proves ? 'prove' : 'wire',
      what: `${buildParts[step.part]}: ${step.title}`,
      waitsFor: step.part === 'arrive' || step.part === 'as-found' ? [] : waits,
    })
  }
  const wiring: TaskKind[] = tasks.some((t) => t.kind === 'wire') ? ['wire'] : []
  for (const stage of runIn)
    if (stage.passed === undefined)
      tasks.push({ id: `run-in-${stage.id}`, kind: 'prove', what: `Run-in: ${stage.name}`, waitsFor: wiring })
  for (const end of loose)
    if (end.from === 'typed')
      tasks.push({ id: `loose-${end.id}`, kind: 'make', what: `Undo: ${end.what}`, waitsFor: [] })
  if (plan.wiring.sendBackBy !== undefined)
    tasks.push({
      id: 'send-back',
      kind: 'buy',
      what: 'Last day to send parts back',
      waitsFor: [],
      on: plan.wiring.sendBackBy,
    })
  for (const { task, dueOn } of upkeepOf(log, inUseSince(plan.runIn), today, upkeepTasksOf(plan)))
    if (dueOn !== undefined)
      tasks.push({ id: `keep-${task}`, kind: 'keep', what: upkeepTasks[task], waitsFor: [], on: dueOn })
  return tasks
}

/** The one thing that can be done now: the first that waits for nothing. */
export const nextTask = (tasks: readonly Task[]): Task | undefined =>
  tasks.find((t) => t.kind !== 'wait' && t.kind !== 'keep' && t.waitsFor.length === 0) ?? tasks[0]
