import { lazy, Suspense, useState } from 'react'
import { Labelled } from '../../parts/Labelled'
import { today } from '../../parts/today'

const CardOfDay = lazy(() => import('./CardOfDay'))

/** The card as it stood at the end of any past day. */
export function PastCard() {
  const [day, setDay] = useState('')
  return (
    <details className="border-t border-rule px-3.5 py-1 print:hidden">
      <summary className="min-h-11 content-center font-semibold">The card of a past day</summary>
      <Labelled label="As it stood at the end of" className="max-w-52 pb-2">
        {(id) => (
          <input
            id={id}
            type="date"
            className="field"
            max={today()}
            value={day}
            onChange={(e) => setDay(e.target.value)}
          />
        )}
      </Labelled>
      {day !== '' && (
        <Suspense fallback={<p className="lead pb-3">Fetching that day</p>}>
          <CardOfDay day={day} />
        </Suspense>
      )}
    </details>
  )
}
