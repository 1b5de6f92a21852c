import { set, type StepRecord } from '@zesty/core'
import {
  answerStep,
  buildParts,
  drawSheet,
  looseEndsOf,
  swapLeads,
  whereItStopped,
  type BuildStep,
  type Wiring,
} from '@zesty/core/wiring'
import { useId, useMemo, useState } from 'react'
import { DrawingView } from '../../drawings/DrawingView'
import { useReadings } from '../../measurements/useReadings'
import { newId } from '../../parts/newId'
import { Photos } from '../../photos/Photos'
import { useChange, usePlan } from '../../state/openPlan'
import { DayField } from '../../parts/DayField'
import { today } from '../../parts/today'
import { LooseEnds } from './LooseEnds'
import { StepWires } from './StepWires'
import { StepReadings } from './StepReadings'
import { usePart } from '../../parts/usePart'

/** The work, one step at a time, from the parcel to a machine that may be used. */
export function BuildSheet({ wiring }: { wiring: Wiring }) {
  const plan = usePlan()
  const steps = usePart('steps')
  const [at, setAt] = useState<string>()
  const stepField = useId()
  const current = steps.find(({ id }) => id === at) ?? whereItStopped(plan, steps) ?? steps.at(-1)
  const done = steps.filter(({ id }) => plan.wiring.steps?.[id]?.answer === 'done').length
  const { readings } = useReadings()
  const ends = looseEndsOf(plan, steps, wiring, readings)
  if (!current) return null
  const index = steps.indexOf(current)
  const next = steps[index + 1]
  const before = steps[index - 1]
  return (
    <section className="sheet mb-3" aria-labelledby="build" data-path="wiring.steps">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 id="build" tabIndex={-1} className="h-part">
          Build and prove
        </h2>
        <p className="text-[15px] text-ink-2">
          {done} of {steps.length} steps done
        </p>
      </div>
      <div className="mt-1 h-2 rounded bg-rule print:hidden" aria-hidden="true">
        <div className="h-2 rounded bg-green" style={{ width: `${(100 * done) / steps.length}%` }} />
      </div>
      <div className="no-print mt-2 flex max-w-[420px] flex-col gap-0.5">
        <label className="label" htmlFor={stepField}>
          Step
        </label>
        <select id={stepField} className="field" value={current.id} onChange={(e) => setAt(e.target.value)}>
          {Object.entries(buildParts).map(([part, words]) => (
            <optgroup key={part} label={words}>
              {steps
                .filter((s) => s.part === part)
                .map((s) => (
                  <option key={s.id} value={s.id}>
                    {steps.indexOf(s) + 1}. {s.title}
                    {marks[plan.wiring.steps?.[s.id]?.answer ?? 'open']}
                  </option>
                ))}
            </optgroup>
          ))}
        </select>
      </div>
      <Step
        key={current.id}
        step={current}
        number={index + 1}
        of={steps.length}
        wiring={wiring}
        onNext={() => setAt(next?.id ?? current.id)}
      />
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" disabled={!before} onClick={() => setAt(before?.id)}>
          Back
        </button>
        <button type="button" className="btn" disabled={!next} onClick={() => setAt(next?.id)}>
          Look at the next
        </button>
      </div>
      <LooseEnds ends={ends} onStep={setAt} />
      <ol className="hidden print:block">
        {steps.map((s, i) => (
          <li key={s.id} className="mt-2 break-inside-avoid border-t border-rule pt-1">
            <b className="font-semibold">
              <span className="mr-2 inline-block size-3.5 border border-ink" /> {i + 1}. {s.title}
            </b>
            {s.licensed && ' (by whoever the code where you live allows it)'}
            <ul className="list-disc pl-6">
              {s.do.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            {s.sees.length > 0 && <p>Then: {s.sees.join(' ')}</p>}
          </li>
        ))}
      </ol>
    </section>
  )
}

const marks = { done: ', done', wrong: ', not as it should be', skipped: ', left', open: '' } as const

function Step({
  step,
  number,
  of,
  wiring,
  onNext,
}: {
  step: BuildStep
  number: number
  of: number
  wiring: Wiring
  onNext: () => void
}) {
  const plan = usePlan()
  const change = useChange()
  const sheets = usePart('sheets')
  const record: StepRecord = plan.wiring.steps?.[step.id] ?? {}
  const write = (words: string, more: Partial<StepRecord>) =>
    change(words, answerStep(plan, wiring, sheets, step, { ...record, ...more }))
  const answer = (value: NonNullable<StepRecord['answer']>) =>
    write(`${step.title}: ${value}`, { answer: value, on: today() })
  const wires = wiring.wires.filter(({ key }) => step.wires.includes(key))
  const swapped = plan.wiring.changes?.some((c) => c.kind === 'swapped' && c.wire === step.wrong?.swaps?.[0]) === true
  return (
    <article aria-label={step.title} className="mt-3 rounded-lg border border-edge bg-card p-3 print:hidden">
      <p className="label">
        Step {number} of {of}, {buildParts[step.part].toLowerCase()}
      </p>
      <h3 className="font-cond text-[26px] leading-tight font-semibold">{step.title}</h3>
      {step.licensed && <p className="mt-1 font-semibold text-brass">By whoever the code where you live allows it.</p>}
      {step.caution !== undefined && (
        <p role="note" className="mt-2 rounded-md border border-oxide bg-oxide-wash px-3 py-2">
          {step.caution}
        </p>
      )}
      <ul className="mt-2 flex list-disc flex-col gap-1 pl-5">
        {step.do.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {step.id === 'arrival' && (
        <div className="mt-2 grid gap-x-4 gap-y-2 @narrow:grid-cols-2">
          <DayField path="wiring.receivedOn" />
          <DayField path="wiring.sendBackBy" />
        </div>
      )}
      {wires.length > 0 && (
        <>
          <StepPicture wiring={wiring} step={step} />
          <StepWires wiring={wiring} wires={wires} record={record} write={write} />
        </>
      )}
      {step.readings.length > 0 && <StepReadings step={step} record={record} />}
      {step.sees.length > 0 && (
        <div className="mt-2">
          <p className="label">Then you see</p>
          <ul>
            {step.sees.map((line) => (
              <li key={line} className="font-medium">
                {line}
              </li>
            ))}
          </ul>
        </div>
      )}
      <label className="no-print mt-2 flex flex-col gap-0.5">
        <span className="label">Note</span>
        <input
          className="field"
          maxLength={500}
          defaultValue={record.note ?? ''}
          key={record.note}
          onBlur={(e) => {
            const note = e.target.value.trim()
            if (note !== (record.note ?? '')) write(`Note: ${step.title}`, { note: note === '' ? undefined : note })
          }}
        />
      </label>
      <Photos
        of={step.id === 'as-found' ? 'found' : 'step'}
        {...(step.id === 'as-found' ? {} : { subject: step.id })}
        what={step.title}
      />
      <div className="no-print mt-3 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-main min-h-[52px]"
          onClick={() => {
            answer('done')
            onNext()
          }}
        >
          Done
        </button>
        {step.wrong && (
          <button type="button" className="btn min-h-[52px]" onClick={() => answer('wrong')}>
            {step.wrong.ask}
          </button>
        )}
        <button
          type="button"
          className="btn btn-quiet min-h-[52px]"
          onClick={() => {
            answer('skipped')
            onNext()
          }}
        >
          Left for later
        </button>
      </div>
      {step.wrong && record.answer === 'wrong' && (
        <div aria-live="polite" className="mt-3 rounded-md border border-oxide bg-oxide-wash p-3">
          <p className="font-semibold">{step.wrong.ask}: then so</p>
          <ol className="mt-1 list-decimal pl-5">
            {step.wrong.steps.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          {step.wrong.swaps && (
            <button
              type="button"
              className="btn mt-2"
              onClick={() =>
                change(swapped ? 'Leads as planned' : 'Two motor leads changed over', swapLeads(plan, step, newId()))
              }
            >
              {swapped ? 'They are as planned again' : 'I have changed the two leads over'}
            </button>
          )}
          {swapped && (
            <p className="mt-1 text-[15px]">The wiring as built keeps the change: drawing and list show it.</p>
          )}
        </div>
      )}
      {record.answer !== undefined && (
        <p className="mt-2 text-[15px] text-ink-2">
          {record.answer === 'done' ? 'Done' : record.answer === 'wrong' ? 'Not as it should be' : 'Left for later'}
          {record.on !== undefined && `, ${record.on}`}.{' '}
          <button
            type="button"
            className="text-blue underline underline-offset-4"
            onClick={() =>
              change(`${step.title}: open`, [
                set('wiring.steps', { ...plan.wiring.steps, [step.id]: { ...record, answer: undefined } }),
              ])
            }
          >
            Open again
          </button>
        </p>
      )}
    </article>
  )
}

/** The sheet that has most of the step's wires, those in full colour. */
function StepPicture({ wiring, step }: { wiring: Wiring; step: BuildStep }) {
  const only = useMemo(() => new Set(step.wires), [step])
  const best = usePart('sheets')
    .map((s) => ({ s, count: s.layout.paths.filter((p) => only.has(p.wire.key)).length }))
    .sort((a, b) => b.count - a.count)[0]
  if (!best || best.count === 0) return null
  return (
    <div className="no-print mt-2 overflow-x-auto rounded-md bg-paper max-md:hidden">
      <DrawingView
        drawing={drawSheet(best.s.layout, wiring)}
        label={`${best.s.name}, the wires of this step`}
        emphasis={{ only }}
      />
    </div>
  )
}
