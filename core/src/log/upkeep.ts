import type { LogEntry, UpkeepTask } from './logEntry'

/** Days between two rounds of a task, at a few evenings a week: planning values. */
const everyDays: Readonly<Record<UpkeepTask, number>> = {
  belt: 90,
  bearings: 180,
  fan: 90,
  terminals: 365,
  stop: 30,
  earth: 365,
  grease: 180,
  brushes: 60,
  'field-trip': 90,
  'spindle-hours': 30,
  water: 60,
  homing: 90,
}

/** What every machine wants. */
export const commonTasks: readonly UpkeepTask[] = ['belt', 'bearings', 'fan', 'terminals', 'stop', 'earth', 'grease']

export interface Upkeep {
  task: UpkeepTask
  everyDays: number
  /** Day of the last time, as it was kept. */
  lastOn: string | undefined
  /** Day on which it is due; of what was never done, counted from when the machine came into use. */
  dueOn: string | undefined
  overdue: boolean
}

const DAY_MS = 86_400_000

/** What of some tasks is due, the earliest first. Without a day in use nothing that was never done is due. */
export function upkeepOf(
  log: readonly LogEntry[],
  inUseSince: string | undefined,
  today: string,
  tasks: readonly UpkeepTask[] = commonTasks,
): Upkeep[] {
  const last = new Map<UpkeepTask, string>()
  for (const { kind, task, at } of log)
    if (kind === 'upkeep' && task !== undefined && at > (last.get(task) ?? '')) last.set(task, at)
  return tasks
    .map((task): Upkeep => {
      const lastOn = last.get(task)?.slice(0, 10)
      const from = lastOn ?? inUseSince
      const dueOn =
        from === undefined
          ? undefined
          : new Date(Date.parse(from) + everyDays[task] * DAY_MS).toISOString().slice(0, 10)
      return { task, everyDays: everyDays[task], lastOn, dueOn, overdue: dueOn !== undefined && dueOn < today }
    })
    .sort((a, b) => (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9'))
}
