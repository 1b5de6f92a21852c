import { set } from '@zesty/core'
import type { CardLine } from '@zesty/core/settings'
import { ChevronLeft, ChevronRight, Printer } from 'lucide-react'
import { useState } from 'react'
import { Text } from '../../parts/Text'
import { goToField } from '../../state/goToField'
import { useChange, usePlan } from '../../state/openPlan'
import { CardAnswers, CardEntry } from './CardEntry'
import { usePart } from '../../parts/usePart'

/** A phone shows one line at a time from the start. */
const PHONE_PX = 480

/** The card that goes to this drive: what differs from what it holds, in its own codes, in an order that it takes. */
export function CardSheet() {
  const plan = usePlan()
  const card = usePart('card')
  const [single, setSingle] = useState(() => window.innerWidth <= PHONE_PX)
  const [at, setAt] = useState(0)
  const { lines, first } = card
  const index = Math.min(at, Math.max(0, lines.length - 1))
  const current = lines[index]
  return (
    <section aria-labelledby="card" className="mt-3 rounded-lg border border-manila-edge bg-card">
      <div className="flex flex-wrap items-center gap-x-3 rounded-t-lg border-b border-dashed border-manila-edge bg-manila px-3.5 py-2">
        <h2 id="card" tabIndex={-1} className="h-part">
          Settings card
        </h2>
        <span className="text-[15px]">
          {plan.manual?.name ?? 'no manual: under neutral names'}
          {lines.length > 0 ? `, ${lines.length} to enter` : ''}
        </span>
        <span className="ml-auto flex flex-wrap gap-2 print:hidden">
          {lines.length > 1 && (
            <button type="button" className="btn" aria-pressed={single} onClick={() => setSingle(!single)}>
              {single ? 'All lines' : 'One line at a time'}
            </button>
          )}
          <button type="button" className="btn" onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print
          </button>
        </span>
      </div>
      {card.cycle && (
        <p className="border-b border-rule bg-oxide-wash px-3.5 py-2">
          <b className="text-oxide">No order satisfies them all.</b> {card.cycle.join(' waits for ')} waits for{' '}
          {card.cycle[0]}. The lines stand as the manual lists them: see which of these waits it means in earnest.
        </p>
      )}
      {lines.length === 0 ? (
        <NothingLeft />
      ) : single && current ? (
        <div className="px-3.5 py-2 print:hidden">
          <p className="label">
            {index < first ? 'Before a first spin' : 'Then'}, line {index + 1} of {lines.length}
          </p>
          <CardEntry line={current} place={index + 1} open />
          <CardAnswers key={current.key} line={current} />
          <div className="mt-3 flex gap-2">
            <button type="button" className="btn flex-1" disabled={index === 0} onClick={() => setAt(index - 1)}>
              <ChevronLeft size={18} aria-hidden="true" /> Before
            </button>
            <button
              type="button"
              className="btn flex-1"
              disabled={index >= lines.length - 1}
              onClick={() => setAt(index + 1)}
            >
              Next <ChevronRight size={18} aria-hidden="true" />
            </button>
          </div>
        </div>
      ) : null}
      {lines.length > 0 && (
        <div className={single ? 'hidden print:block' : ''}>
          <Part name="Before a first spin" lines={lines.slice(0, first)} from={1} />
          <Part name="Then" lines={lines.slice(first)} from={first + 1} />
        </div>
      )}
      <Waiting />
      <LeaveAlone />
    </section>
  )
}

function Part({ name, lines, from }: { name: string; lines: readonly CardLine[]; from: number }) {
  const [open, setOpen] = useState<string>()
  if (lines.length === 0) return null
  return (
    <>
      <h3 className="border-b border-rule bg-paper px-3.5 py-1 font-cond text-[18px] font-semibold">{name}</h3>
      <ol>
        {lines.map((line, i) => {
          const shown = open === line.key || line.record?.answer === 'refused'
          return (
            <li key={line.key} className="break-inside-avoid border-b border-rule px-3.5 py-2">
              <span className="float-right mt-1 hidden print:block">
                <span className="mr-1.5 inline-block size-4 border border-ink align-[-3px]" aria-hidden="true" />
                read: ______________
              </span>
              <CardEntry
                line={line}
                place={from + i}
                open={shown}
                beside={
                  <button
                    type="button"
                    className="btn btn-quiet shrink-0 print:hidden"
                    aria-expanded={shown}
                    aria-label={`Enter ${line.code ?? line.words}`}
                    onClick={() => setOpen(shown ? undefined : line.key)}
                  >
                    Enter
                  </button>
                }
              />
              {shown && <CardAnswers line={line} />}
            </li>
          )
        })}
      </ol>
    </>
  )
}

/** The card is through: the drive holds it all. */
function NothingLeft() {
  const plan = usePlan()
  const change = useChange()
  const { standing, waiting } = usePart('card')
  return (
    <div className="px-3.5 py-3">
      <p>
        <b className="text-green">Nothing to enter.</b> {standing.length} planned{' '}
        {standing.length === 1 ? 'value stands' : 'values stand'} in the drive as far as is known. Read them back below.
      </p>
      {plan.settings.state !== 'entered' && waiting.length === 0 && (
        <button
          type="button"
          className="btn btn-main mt-2"
          onClick={() => change('The card is entered', [set('settings.state', 'entered')])}
        >
          The whole card is in
        </button>
      )}
    </div>
  )
}

function Waiting() {
  const { waiting } = usePart('card')
  if (waiting.length === 0) return null
  return (
    <div className="border-t border-rule px-3.5 py-2">
      <h3 className="font-cond text-[18px] font-semibold">Not known yet</h3>
      <ul className="text-[15px]">
        {waiting.map(({ id, label, says, missing: [path] }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-2">
            <b>{label}:</b> <Text said={says} />
            {path !== undefined && (
              <button
                type="button"
                className="min-h-11 font-semibold text-blue underline underline-offset-4 print:hidden"
                onClick={() => goToField(path)}
              >
                Say it
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  )
}

function LeaveAlone() {
  const { leave } = usePart('card')
  if (leave.length === 0) return null
  return (
    <details className="border-t border-rule px-3.5 py-1 print:hidden">
      <summary className="min-h-11 content-center font-semibold">Leave alone: {leave.length}</summary>
      <ul className="pb-3 text-[15px]">
        {leave.map(({ id, label, code, says }) => (
          <li key={id} className="border-t border-rule py-1">
            <b>
              {code === undefined ? '' : `${code}, `}
              {label}:
            </b>{' '}
            <Text said={says} />
          </li>
        ))}
      </ul>
    </details>
  )
}
