import { fieldAt, readPlate } from '@zesty/core'
import { useId, useState } from 'react'
import { useChange, usePlan } from '../../state/openPlan'
import { goToField } from '../../state/goToField'
import { Mark } from '../../parts/Mark'

/** Lines of a plate typed or pasted as they stand; what was understood of each, and what is still missing. */
export function PlateReader() {
  const plan = usePlan()
  const change = useChange()
  const id = useId()
  const [text, setText] = useState('')
  const { lines, patch, missing } = readPlate(text, plan)
  const take = () => {
    change('Read the plate', patch)
    setText('')
  }
  return (
    <div className="mt-1 grid gap-4 lg:grid-cols-2">
      <div className="flex flex-col gap-1">
        <label className="label" htmlFor={id}>
          The plate, line by line, in any order
        </label>
        <textarea
          id={id}
          className="field min-h-[150px] font-mono text-[15px] leading-snug"
          value={text}
          maxLength={4000}
          spellCheck={false}
          placeholder={'1.5 kW  1420 rpm  50 Hz\n230/400 V  6.0/3.5 A\ncos phi 0.80  IP55  90L'}
          onChange={(e) => setText(e.target.value)}
        />
      </div>
      <div aria-live="polite" className="flex flex-col gap-2 text-[15px]">
        {lines.length === 0 && <p className="lead">What is understood of each line appears here.</p>}
        <ol className="flex flex-col gap-1.5">
          {lines.map((line, i) => (
            <li key={i} className="border-b border-rule pb-1.5">
              {line.understood.length > 0 && (
                <span className="flex items-baseline gap-2">
                  <Mark kind="ok" />
                  <span>{line.understood.map((u) => `${u.label} ${u.shown}`).join(', ')}</span>
                </span>
              )}
              {line.notes.map((note) => (
                <span key={note} className="flex items-baseline gap-2">
                  <Mark kind="watch" />
                  <span>{note}</span>
                </span>
              ))}
              {line.rest !== '' && <span className="block text-ink-2">Not read: {line.rest}</span>}
            </li>
          ))}
        </ol>
        {patch.length > 0 && (
          <>
            {missing.length > 0 && (
              <p>
                Still needed:{' '}
                {missing.map((path, i) => (
                  <span key={path}>
                    {i > 0 && ', '}
                    <button
                      type="button"
                      className="min-h-11 text-blue underline underline-offset-4"
                      onClick={() => goToField(path)}
                    >
                      {fieldAt(path).label.toLowerCase()}
                    </button>
                  </span>
                ))}
              </p>
            )}
            <button type="button" className="btn btn-main self-start" onClick={take}>
              Put this on the plate
            </button>
          </>
        )}
      </div>
    </div>
  )
}
