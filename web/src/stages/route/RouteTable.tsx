import { set } from '@zesty/core'
import { type RouteComparison, type RouteLine } from '@zesty/core/compare'
import { Check } from 'lucide-react'
import type { ReactNode } from 'react'
import { useChange, usePlan } from '../../state/openPlan'
import { FigureValue } from '../../parts/FigureValue'
import { Text } from '../../parts/Text'
import { VerdictMark } from './VerdictMark'

/** Every route as a line of numbers; what it asks and gives is under its name. */
export function RouteTable({ compared }: { compared: RouteComparison }) {
  const possible = compared.lines.filter((l) => l.applies)
  const others = compared.lines.filter((l) => !l.applies)
  const { slowest, machines, motor } = compared
  return (
    <section aria-labelledby="routes" data-path="route.chosen">
      <h2 id="routes" tabIndex={-1} className="sr-only">
        Compared
      </h2>
      {motor && (
        <p className="sheet mb-3 text-[15px]">
          <b className="font-semibold">{motor.says}</b> {motor.why} From here lead on, the likeliest first:{' '}
          <b className="font-semibold">{motor.leadsTo.join('; ')}</b>.
        </p>
      )}
      <p className="mb-2 text-[15px] text-ink-2">
        {slowest
          ? `Torque is at the slowest job: ${slowest.job}, ${Math.round(slowest.rpm)} rpm, on ${slowest.position}. `
          : 'Torque appears once a job, the belts, the motor and the drive are known. '}
        Amps are at full load; prices are your own money, as typed below.
      </p>
      <ul className="flex flex-col gap-2.5">
        {possible.map((line) => (
          <Line key={line.id} line={line} machines={machines} />
        ))}
      </ul>
      {others.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-11 content-center text-[15px] font-semibold">
            {others.length} that {others.length === 1 ? 'is' : 'are'} not for this machine
          </summary>
          <ul className="flex flex-col gap-1 text-[15px]">
            {others.map((line) => (
              <li key={line.id}>
                <b className="font-semibold">{line.name}.</b> {line.why}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}

function Line({ line, machines }: { line: RouteLine; machines: number }) {
  const { route } = usePlan()
  const change = useChange()
  const chosen = route.chosen === line.id
  return (
    <li
      className={`rounded-lg border bg-card ${chosen ? 'border-blue shadow-[inset_5px_0_0_var(--blue)]' : 'border-rule'}`}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3.5 pt-2">
        <h3 className="h-part flex-1">{line.name}</h3>
        <button
          type="button"
          aria-pressed={chosen}
          aria-label={`${line.name}: ${chosen ? 'chosen' : 'choose'}`}
          className={`btn ${chosen ? 'btn-main' : ''}`}
          onClick={() => change(`Route: ${line.name}`, [set('route.chosen', chosen ? undefined : line.id)])}
        >
          {chosen && <Check size={18} aria-hidden="true" />}
          {chosen ? 'Chosen' : 'Choose'}
        </button>
      </div>
      {line.verdict && (
        <p className="flex items-baseline gap-x-2 px-3.5 text-[15px] leading-snug">
          <VerdictMark of={line.verdict} />
          <span>
            <Text said={line.verdict.says} />
          </span>
        </p>
      )}
      <dl className="grid grid-cols-2 gap-x-3 px-3.5 @narrow:grid-cols-4">
        <Number label="Costs, this machine">
          <FigureValue id={line.costThis.id} />
        </Number>
        <Number label={machines > 1 ? `Costs, all ${machines}` : 'Costs, all'}>
          {line.costAll ? <FigureValue id={line.costAll.id} /> : <Dash />}
        </Number>
        <Number label="Wall, this machine">
          <FigureValue id={line.wallA.id} />
        </Number>
        <Number label="Torque, slowest job" note={line.slowSays}>
          <FigureValue id={line.slowNm.id} />
        </Number>
      </dl>
      <details className="border-t border-rule px-3.5">
        <summary className="min-h-11 content-center text-[15px]">
          <span className="font-semibold">{line.gives}</span> <span className="text-ink-2">{line.lacks}</span>
        </summary>
        <div className="grid gap-x-5 pb-2 text-[15px] @narrow:grid-cols-2">
          <div>
            <p className="label">Work to do</p>
            <ol className="list-decimal pl-5">
              {line.work.map((w) => (
                <li key={w}>{w}</li>
              ))}
            </ol>
          </div>
          <dl>
            <Pair label="Together, what runs at the same time">
              <FigureValue id={line.togetherA.id} />
            </Pair>
            <Pair label="Can run at once on the breaker">
              {line.runAtOnce === undefined
                ? 'not known'
                : line.runAtOnce.length === 0
                  ? 'not even this one at full load'
                  : line.runAtOnce.join(', ')}
            </Pair>
            {line.idlerW && (
              <Pair label="Idler of the converter">
                <FigureValue id={line.idlerW.id} />
              </Pair>
            )}
          </dl>
        </div>
      </details>
    </li>
  )
}

function Number({ label, note, children }: { label: string; note?: string; children: ReactNode }) {
  return (
    <div className="py-1">
      <dt className="label">{label}</dt>
      <dd className="-ml-1.5 font-cond text-[22px] leading-none [&_button]:justify-start">{children}</dd>
      {note && <dd className="text-[14px] leading-tight text-ink-2">{note}</dd>}
    </div>
  )
}

const Dash = () => <span className="flex min-h-11 items-center px-1.5 text-ink-2">this one only</span>

function Pair({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-3">
      <dt>{label}</dt>
      <dd className="font-semibold">{children}</dd>
    </div>
  )
}
