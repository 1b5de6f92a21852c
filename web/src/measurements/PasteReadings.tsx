import { namedPositions } from '@zesty/core'
import { readReadings, type Reading, type ReadingsRead } from '@zesty/core/measurements'
import { useId, useMemo, useState } from 'react'
import { FileButton } from '../parts/FileButton'
import { LARGEST_IMPORT } from '../state/importLimit'
import { usePlan } from '../state/openPlan'
import { useUnits } from '../state/units'
import { circumstancesOf, valueOf, whatOf } from './readingWords'

/** Lines of this many readings are shown; the rest is counted. */
const SHOWN = 12

/** Notes from the machine or a spreadsheet's columns, shown as they are understood before they are kept. */
export function PasteReadings({
  isKeeping,
  onAdd,
}: {
  isKeeping: boolean
  onAdd: (readings: readonly Reading[]) => Promise<boolean>
}) {
  const plan = usePlan()
  const positions = useMemo(() => namedPositions(plan), [plan])
  const units = useUnits()
  const id = useId()
  const [text, setText] = useState('')
  const [tooLarge, setTooLarge] = useState<string>()
  const { readings, notRead } = useMemo(
    () => readReadings(text, { positions, system: units, takenAt: new Date().toISOString() }),
    [text, positions, units],
  )
  const take = async (chosen: File) => {
    const fits = chosen.size <= LARGEST_IMPORT
    setTooLarge(fits ? undefined : `${chosen.name} is ${(chosen.size / 1e6).toFixed(1)} MB; 2 MB at the most.`)
    if (fits) setText(await chosen.text())
  }
  return (
    <div className="mt-2 flex flex-col gap-2 rounded-md border border-blue bg-blue-wash p-3">
      <label className="label" htmlFor={id}>
        As they were noted, or columns of a spreadsheet
      </label>
      <textarea
        id={id}
        rows={5}
        autoFocus
        className="field py-2"
        value={text}
        placeholder={'412 rpm at 50 Hz on B\ncoast 14 s from 600 rpm\nU 2.1 A'}
        aria-describedby={`${id}-help`}
        onChange={(event) => setText(event.target.value)}
      />
      <p id={`${id}-help`} className="text-[15px] text-ink-2">
        A reading to a line: number, unit, and where it belongs “at 50 Hz”, “motor 1487 rpm”, “from 600 rpm”, the
        position’s name. A table needs a first line with headings such as Position, Hz, rpm, Coast (s).
      </p>
      <Understood read={{ readings, notRead }} positions={positions} />
      {tooLarge !== undefined && (
        <p role="alert" className="font-medium text-oxide">
          {tooLarge}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={readings.length === 0 || isKeeping}
          onClick={() => void onAdd(readings).then((kept) => kept && setText(''))}
        >
          {readings.length === 1 ? 'Keep 1 reading' : `Keep ${readings.length} readings`}
        </button>
        <FileButton label="CSV file of readings" accept="text/csv,.csv,text/plain,.txt" words="CSV in" onFile={take} />
      </div>
    </div>
  )
}

function Understood({
  read: { readings, notRead },
  positions,
}: {
  read: ReadingsRead
  positions: readonly { id: string; name: string }[]
}) {
  const units = useUnits()
  return (
    <div aria-live="polite">
      {readings.length > 0 && (
        <ul className="max-w-[720px] text-[15px]">
          {readings.slice(0, SHOWN).map((r, i) => (
            <li key={i} className="flex flex-wrap gap-x-3 border-b border-rule py-1.5">
              <span className="font-semibold">{whatOf(r)}</span>
              <span>{valueOf(r, units)}</span>
              <span className="text-ink-2">{circumstancesOf(r, positions, units)}</span>
            </li>
          ))}
        </ul>
      )}
      {readings.length > SHOWN && <p className="text-[15px]">And {readings.length - SHOWN} more.</p>}
      {notRead.length > 0 && (
        <ul className="mt-1 text-[15px] text-brass">
          {notRead.slice(0, SHOWN).map(({ line, why }, i) => (
            <li key={i}>
              <span className="font-semibold">Not read:</span> {line}. {why}
            </li>
          ))}
          {notRead.length > SHOWN && <li>And {notRead.length - SHOWN} lines more.</li>}
        </ul>
      )}
    </div>
  )
}
