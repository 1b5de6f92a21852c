import { inUseSince } from '@zesty/core'
import { upkeepOf, upkeepTasks, upkeepTasksOf, type LogEntry } from '@zesty/core/record'
import { Mark } from '../../parts/Mark'
import { today } from '../../parts/today'
import { usePlan } from '../../state/openPlan'

/** What is looked after from time to time, the earliest due first. */
export function UpkeepSheet({
  entries,
  onAdd,
}: {
  entries: readonly LogEntry[]
  onAdd: (entry: Omit<LogEntry, 'id'>) => Promise<boolean>
}) {
  const plan = usePlan()
  const all = upkeepOf(entries, inUseSince(plan.runIn), today(), upkeepTasksOf(plan))
  return (
    <section className="sheet mt-3" aria-labelledby="upkeep">
      <h2 id="upkeep" tabIndex={-1} className="h-part">
        Upkeep
      </h2>
      <p className="lead">Dead and locked, except where the stop itself is tried. The days are planning values.</p>
      <ul>
        {all.map(({ task, everyDays, lastOn, dueOn, overdue }) => (
          <li key={task} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1 basis-[220px]">
              {upkeepTasks[task]}
              <span className="block text-[15px] text-ink-2">
                every {everyDays} days; {lastOn === undefined ? 'not done yet' : `last on ${lastOn}`}
              </span>
            </span>
            {dueOn !== undefined && (
              <Mark kind={overdue ? 'watch' : 'open'} word={overdue ? `Due since ${dueOn}` : `Due on ${dueOn}`} />
            )}
            <button
              type="button"
              className="btn print:hidden"
              aria-label={`Done today: ${upkeepTasks[task]}`}
              onClick={() => void onAdd({ kind: 'upkeep', task, at: new Date().toISOString() })}
            >
              Done today
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
