import { fieldAt } from '@zesty/core'
import { worksheetInto, worksheetQuestions, type Manual, type WorksheetAnswers } from '@zesty/core/manual'
import { firstSpinSettings } from '@zesty/core/wiring'
import { terminalFunctions } from '@zesty/core/manual'
import { useState } from 'react'

type Found = Record<string, string[] | 'not-found'>

/** A dozen questions to somebody who stands before a board without a manual; each may be not found. */
export function Worksheet({ manual, onTake }: { manual: Manual; onTake: (made: Manual) => void }) {
  const [found, setFound] = useState<Found>({})
  const [codes, setCodes] = useState<WorksheetAnswers['codes']>({})
  const [isolated, setIsolated] = useState<boolean>()
  const [runs, setRuns] = useState<boolean>()
  const write = (id: string, i: number, text: string, count: number) => {
    const before = found[id]
    const names = Array.isArray(before) ? [...before] : Array<string>(count).fill('')
    names[i] = text
    setFound({ ...found, [id]: names })
  }
  return (
    <details className="no-print mt-2 border-t border-rule pt-2">
      <summary className="flex min-h-11 items-center font-semibold text-blue underline underline-offset-4">
        No manual, or a bad one: a dozen questions
      </summary>
      <p className="lead text-[15px]">
        Power away, lid off. Copy what is printed at the screws; leave out what you do not find.
      </p>
      <ol className="mt-2 grid gap-x-6 gap-y-3 @wider:grid-cols-2">
        {worksheetQuestions.map(({ id, asks, look, does }) => {
          const answer = found[id]
          const missing = answer === 'not-found'
          return (
            <li key={id} className="flex gap-3 border-t border-rule pt-2">
              <StripPicture screws={does.length} />
              <fieldset className="min-w-0 flex-1">
                <legend className="font-semibold">{asks}</legend>
                <p className="text-[14px] text-ink-2">{look}</p>
                <div className="mt-1 flex flex-wrap items-end gap-2">
                  {does.map((one, i) => (
                    <label key={one} className="flex w-[130px] flex-col gap-0.5">
                      <span className="label">{terminalFunctions[one].words}</span>
                      <input
                        className="field"
                        maxLength={24}
                        disabled={missing}
                        value={Array.isArray(answer) ? (answer[i] ?? '') : ''}
                        onChange={(e) => write(id, i, e.target.value, does.length)}
                      />
                    </label>
                  ))}
                  <button
                    type="button"
                    className="btn btn-quiet"
                    aria-pressed={missing}
                    onClick={() => setFound(missing ? without(found, id) : { ...found, [id]: 'not-found' })}
                  >
                    {missing ? 'Not found, after all?' : 'Not found'}
                  </button>
                </div>
              </fieldset>
            </li>
          )
        })}
      </ol>
      <div className="mt-3 flex flex-wrap gap-4">
        <YesNo asks="Does it say that control is isolated from the mains?" value={isolated} onChange={setIsolated} />
        <YesNo asks="Does it run as soon as it has power?" value={runs} onChange={setRuns} />
      </div>
      <fieldset className="mt-3">
        <legend className="font-semibold">Codes that must be right before it turns</legend>
        <div className="mt-1 flex flex-wrap gap-2">
          {firstSpinSettings.map((id) => (
            <label key={id} className="flex w-[150px] flex-col gap-0.5">
              <span className="label">{fieldAt(`settings.chosen.${id}`).label}</span>
              <input
                className="field"
                maxLength={24}
                value={codes[id] ?? ''}
                onChange={(e) => setCodes({ ...codes, [id]: e.target.value })}
              />
            </label>
          ))}
        </div>
      </fieldset>
      <button
        type="button"
        className="btn btn-main mt-3"
        onClick={() => onTake(worksheetInto(manual, { found, codes, isolated, runsAtPowerOn: runs }))}
      >
        Make the manual from it
      </button>
      <p className="mt-1 text-[14px] text-ink-2">
        What every drive has and you did not find is assumed and drawn in grey, until you do.
      </p>
    </details>
  )
}

const without = (found: Found, id: string): Found =>
  Object.fromEntries(Object.entries(found).filter(([key]) => key !== id))

function YesNo({
  asks,
  value,
  onChange,
}: {
  asks: string
  value: boolean | undefined
  onChange: (v: boolean | undefined) => void
}) {
  return (
    <fieldset>
      <legend className="label">{asks}</legend>
      <div className="flex gap-1.5">
        {([true, false, undefined] as const).map((v) => (
          <button
            key={String(v)}
            type="button"
            aria-pressed={value === v}
            className={`btn ${value === v ? 'btn-main' : 'btn-quiet'}`}
            onClick={() => onChange(v)}
          >
            {v === undefined ? 'Not said' : v ? 'Yes' : 'No'}
          </button>
        ))}
      </div>
    </fieldset>
  )
}

/** A strip of screws, those that are asked for filled. */
function StripPicture({ screws }: { screws: number }) {
  const all = [0, 1, 2, 3, 4]
  return (
    <svg viewBox="0 0 60 34" className="w-[74px] shrink-0" aria-hidden="true">
      <rect x="1" y="6" width="58" height="20" rx="2" fill="var(--card)" stroke="var(--edge)" />
      {all.map((i) => {
        const asked = i >= 1 && i < 1 + screws
        return (
          <g key={i}>
            <circle
              cx={8 + i * 11}
              cy={16}
              r={4}
              fill={asked ? 'var(--stud)' : 'none'}
              stroke={asked ? 'var(--ink)' : 'var(--edge)'}
            />
            <path d={`M${5.5 + i * 11} 18.5L${10.5 + i * 11} 13.5`} stroke={asked ? 'var(--ink)' : 'var(--edge)'} />
            {asked && (
              <text x={8 + i * 11} y={33} fontSize={6} textAnchor="middle" fill="var(--blue)">
                ?
              </text>
            )}
          </g>
        )
      })}
    </svg>
  )
}
