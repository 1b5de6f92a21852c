import { partsOf, nextTask, stillToPay, taskKinds, tasksOf, toolsOf, type Task } from '@zesty/core/wiring'
import { spent, type LogEntry } from '@zesty/core/record'
import { CalendarDays } from 'lucide-react'
import { useMemo } from 'react'
import { useReadings } from '../../measurements/useReadings'
import { useLooseEnds } from '../../measurements/useLooseEnds'
import { today } from '../../parts/today'
import { usePrint } from '../../parts/usePrint'
import { useConversionId, usePlan } from '../../state/openPlan'
import { usePart } from '../../parts/usePart'

/** Tasks of one kind that are shown at first. */
const SHOWN = 6

/** What is still to be done: what blocks before what it blocks, with the days that are known, and the money. */
export function NextSheet({ log }: { log: readonly LogEntry[] }) {
  const plan = usePlan()
  const id = useConversionId()
  const print = usePrint()
  const wiring = usePart('wiring')
  const steps = usePart('steps')
  const loose = useLooseEnds()
  const runIn = usePart('runIn')
  const { readings } = useReadings()
  const parts = useMemo(() => [...partsOf(wiring), ...toolsOf(plan, wiring)], [plan, wiring])
  const tasks = useMemo(
    () => tasksOf(plan, parts, steps, runIn.stages, loose, log, today()),
    // Loose ends rest on the readings, and are a new list each time.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [plan, parts, steps, runIn, log, readings],
  )
  const next = nextTask(tasks)
  const [paid, toPay] = [spent(log), stillToPay(plan, parts)]
  return (
    <section className="sheet mt-3" aria-labelledby="next">
      <div className="flex flex-wrap items-start justify-between gap-2">
        <h2 id="next" tabIndex={-1} className="h-part">
          What is next
        </h2>
        <a className="btn print:hidden" href={`/api/conversions/${id}/calendar`} download="">
          <CalendarDays size={18} aria-hidden="true" /> Days as iCalendar
        </a>
      </div>
      {next ? (
        <p className="mt-1 text-[18px]">
          <b>
            {taskKinds[next.kind]}: {next.what}
          </b>
        </p>
      ) : (
        <p className="mt-1">Nothing is left to do.</p>
      )}
      {(Object.keys(taskKinds) as (keyof typeof taskKinds)[]).map((kind) => (
        <OfKind key={kind} kind={kind} tasks={tasks.filter((t) => t.kind === kind)} />
      ))}
      <p className="mt-2">
        Spent, by the log: <b>{print('money', paid)}</b>. Still to pay, as far as prices are typed:{' '}
        <b>{print('money', toPay)}</b>.
      </p>
    </section>
  )
}

function OfKind({ kind, tasks }: { kind: keyof typeof taskKinds; tasks: readonly Task[] }) {
  if (tasks.length === 0) return null
  const waits = [...new Set(tasks.flatMap((t) => t.waitsFor))]
  return (
    <details className="border-b border-rule">
      <summary className="min-h-11 content-center">
        <b>{taskKinds[kind]}</b>, {tasks.length}
        {waits.length > 0 && (
          <span className="text-ink-2">
            ; most of it after: {waits.map((w) => taskKinds[w].toLowerCase()).join(' and ')}
          </span>
        )}
      </summary>
      <ul className="pb-2 pl-4">
        {tasks.slice(0, SHOWN).map((task) => (
          <li key={task.id} className="flex flex-wrap gap-x-3">
            <span className="min-w-0 flex-1">{task.what}</span>
            {task.on !== undefined && <span className="tabular-nums">{task.on}</span>}
          </li>
        ))}
        {tasks.length > SHOWN && <li className="text-ink-2">And {tasks.length - SHOWN} more.</li>}
      </ul>
    </details>
  )
}
