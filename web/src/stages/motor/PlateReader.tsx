import { fieldAt, readPlate, type Patch, type PlateDoubt, type PlateLine } from '@zesty/core'
import { useId, useState } from 'react'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { goToField } from '../../state/goToField'
import { Mark } from '../../parts/Mark'

/** A doubtful value, for whom it may be put on the plate after all. */
type Taken = Readonly<Record<string, string>>

/** Lines of a plate typed or pasted as they stand; what was understood of each, what is doubtful and what is missing. */
export function PlateReader() {
  const plan = usePlan()
  const change = useChange()
  const units = useUnits()
  const id = useId()
  const [text, setText] = useState('')
  const [taken, setTaken] = useState<Taken>({})
  const { lines, patch, doubtful, missing } = readPlate(text, plan, units)
  const believed = doubtful.flatMap((d): Patch => d.choices.find((c) => c.shown === taken[d.path])?.patch ?? [])
  // Another kind of motor holds other fields, so it comes before them.
  const whole = [...believed.filter((c) => c.path === 'motor'), ...patch, ...believed.filter((c) => c.path !== 'motor')]
  const take = () => {
    change('Read the plate', whole)
    setText('')
    setTaken({})
  }
  const choose = (path: string, shown: string) =>
    setTaken((now) => (now[path] === shown ? { ...now, [path]: '' } : { ...now, [path]: shown }))
  return (
    <div className="mt-1 grid gap-4 @wider:grid-cols-2">
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
            <ReadLine key={i} line={line} taken={taken} choose={choose} />
          ))}
        </ol>
        {missing.length > 0 && lines.length > 0 && (
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
        {whole.length > 0 && (
          <button type="button" className="btn btn-main self-start" onClick={take}>
            Put this on the plate
          </button>
        )}
      </div>
    </div>
  )
}

interface ReadLineProps {
  line: PlateLine
  taken: Taken
  choose: (path: string, shown: string) => void
}

function ReadLine({ line, taken, choose }: ReadLineProps) {
  return (
    <li className="border-b border-rule pb-1.5">
      {line.understood.length > 0 && (
        <span className="flex items-baseline gap-2">
          <Mark kind="ok" />
          <span>{line.understood.map((u) => `${u.label} ${u.shown}`).join(', ')}</span>
        </span>
      )}
      {line.doubtful.map((doubt) => (
        <Doubt key={doubt.path} doubt={doubt} taken={taken[doubt.path]} choose={(shown) => choose(doubt.path, shown)} />
      ))}
      {line.notes.map((note) => (
        <span key={note} className="flex items-baseline gap-2">
          <Mark kind="watch" />
          <span>{note}</span>
        </span>
      ))}
      {line.rest !== '' && <span className="block text-ink-2">Not read: {line.rest}</span>}
    </li>
  )
}

interface DoubtProps {
  doubt: PlateDoubt
  taken: string | undefined
  choose: (shown: string) => void
}

/** What is doubtful is not put on the plate unless it is pressed. */
function Doubt({ doubt: { label, why, choices }, taken, choose }: DoubtProps) {
  return (
    <span className="flex flex-wrap items-center gap-x-2 gap-y-1 py-1">
      <Mark kind="watch" />
      <span>
        Doubtful: {label.toLowerCase()}, {why}
      </span>
      {choices.map(({ shown }) => (
        <button
          key={shown}
          type="button"
          aria-pressed={taken === shown}
          className={`btn ${taken === shown ? 'btn-main' : ''}`}
          onClick={() => choose(shown)}
        >
          {taken === shown ? `${shown} taken` : `Take ${shown}`}
        </button>
      ))}
    </span>
  )
}
