import { namedPositions } from '@zesty/core'
import { readingsCsv } from '@zesty/core/measurements'
import { ClipboardPaste, Download } from 'lucide-react'
import { useState } from 'react'
import { saveFile } from '../parts/saveFile'
import { usePlan } from '../state/openPlan'
import { PasteReadings } from './PasteReadings'
import { ReadingForm } from './ReadingForm'
import { ReadingList } from './ReadingList'
import { useReadings } from './useReadings'

/** What tachometer, stopwatch and meter say of the machine: kept beside the plan, and judged at once. */
export function Readings() {
  const plan = usePlan()
  const { readings, held, problem, isKeeping, add, remove } = useReadings()
  const [pasting, setPasting] = useState(false)
  return (
    <section className="sheet mt-3" aria-labelledby="readings">
      <div className="flex flex-wrap items-start justify-between gap-2">
        <h2 id="readings" tabIndex={-1} className="h-part">
          Readings
        </h2>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn btn-quiet" aria-expanded={pasting} onClick={() => setPasting(!pasting)}>
            <ClipboardPaste size={18} aria-hidden="true" /> {pasting ? 'One by one' : 'Paste or CSV in'}
          </button>
          {readings.length > 0 && (
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() =>
                saveFile(`${plan.name} readings.csv`, 'text/csv', readingsCsv(readings, namedPositions(plan)))
              }
            >
              <Download size={18} aria-hidden="true" /> CSV out
            </button>
          )}
        </div>
      </div>
      <p className="lead">
        What tachometer, stopwatch and meter say. Readings stand beside the plan and never over it: what it leaves open
        is judged by them, what it says is held against them.
      </p>
      {pasting ? (
        <PasteReadings isKeeping={isKeeping} onAdd={add} />
      ) : (
        <ReadingForm isKeeping={isKeeping} onAdd={(reading) => add([reading])} />
      )}
      {problem !== undefined && (
        <p role="alert" className="mt-2 font-medium text-oxide">
          {problem}
        </p>
      )}
      {readings.length > 0 && (
        <ReadingList readings={readings} held={held} onRemove={(reading) => void remove(reading)} />
      )}
    </section>
  )
}
