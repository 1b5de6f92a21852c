import { nothingOnRun } from '@zesty/core/settings'
import { useState } from 'react'
import { useChange, usePlan } from '../../state/openPlan'

/** It does nothing on RUN: the fewest questions to what it is. */
export function NothingOnRun() {
  const plan = usePlan()
  const change = useChange()
  const [answers, setAnswers] = useState<Readonly<Record<string, string>>>({})
  const { left, next, asked } = nothingOnRun(plan, answers)
  const [only] = left
  return (
    <section className="sheet mt-3 print:hidden" aria-labelledby="nothing">
      <h2 id="nothing" tabIndex={-1} className="h-part">
        It does nothing on RUN
      </h2>
      <p className="lead text-[15px]">
        One question after another, each the one that narrows it most on this plan and this drive. Motor bare and
        clamped, covers on, RUN open between two tries.
      </p>
      {asked.length > 0 && (
        <ol className="mt-1 text-[15px]">
          {asked.map(({ question, answer }) => (
            <li key={question.id} className="flex flex-wrap items-baseline gap-x-2 border-t border-rule">
              <span className="min-w-0 flex-1 py-2">{question.asks}</span>
              <b>{question.words[answer]}</b>
              <button
                type="button"
                className="min-h-11 font-semibold text-blue underline underline-offset-4"
                onClick={() =>
                  setAnswers(Object.fromEntries(Object.entries(answers).filter(([id]) => id !== question.id)))
                }
              >
                Otherwise
              </button>
            </li>
          ))}
        </ol>
      )}
      {next && (
        <fieldset className="mt-2">
          <legend className="font-semibold">{next.asks}</legend>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {next.answers.map((answer) => (
              <button
                key={answer}
                type="button"
                className="btn text-left"
                onClick={() => setAnswers({ ...answers, [next.id]: answer })}
              >
                {next.words[answer]}
              </button>
            ))}
          </div>
        </fieldset>
      )}
      <div className="mt-3 border-t border-rule pt-2">
        <h3 className="font-semibold">
          {left.length === 0
            ? 'None of what is known here goes with these answers'
            : left.length === 1
              ? 'It is this'
              : next
                ? `Still possible: ${left.length}`
                : 'One of these; try them in this order'}
        </h3>
        {left.length === 0 ? (
          <p>
            Take one answer back that may be otherwise; then write display, lamps and what was tried on a help sheet.
          </p>
        ) : (
          <ol className="ml-5 list-decimal">
            {left.slice(0, next ? 4 : left.length).map(({ id, says, does }) => (
              <li key={id} className="mt-1">
                {says} {(!next || left.length < 3) && <span className="font-semibold">{does}</span>}
              </li>
            ))}
          </ol>
        )}
        {left.length > 4 && next && <p className="text-ink-2">and {left.length - 4} more</p>}
        {left.length === 1 && only?.patch && (
          <button type="button" className="btn btn-main mt-2" onClick={() => change(only.says, only.patch ?? [])}>
            Note it as what the drive holds
          </button>
        )}
      </div>
    </section>
  )
}
