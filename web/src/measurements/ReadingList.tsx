import { namedPositions } from '@zesty/core'
import type { Measurement } from '@zesty/core/measurements'
import { useMemo, useState } from 'react'
import { Mark } from '../parts/Mark'
import { momentOf } from '../parts/moment'
import { RemoveButton } from '../parts/RemoveButton'
import { useMeasured, usePlan } from '../state/openPlan'
import { useUnits } from '../state/units'
import { oddReadings } from './oddReadings'
import { circumstancesOf, valueOf, whatOf } from './readingWords'

/** Rows that are drawn at first, and more at each press: thousands at once would make a phone wait. */
const AT_ONCE = 50

/** Readings, the latest first; what does not belong with the rest is marked. */
export function ReadingList({
  readings,
  held,
  onRemove,
}: {
  readings: readonly Measurement[]
  /** Those that are not sent yet, by their ids. */
  held: ReadonlySet<string>
  onRemove: (reading: Measurement) => void
}) {
  const positions = namedPositions(usePlan())
  const measured = useMeasured()
  const units = useUnits()
  const [shown, setShown] = useState(AT_ONCE)
  const odd = useMemo(() => oddReadings(measured), [measured])
  const latest = useMemo(() => [...readings].reverse(), [readings])
  return (
    <>
      <ul className="mt-2 border-t border-ink-2">
        {latest.slice(0, shown).map((r) => (
          <li
            key={r.id}
            className="grid grid-cols-[minmax(0,1fr)_auto_44px] items-center gap-x-3 border-b border-rule py-1 @wide:grid-cols-[minmax(0,1.3fr)_110px_minmax(0,2fr)_minmax(0,1.5fr)_44px]"
          >
            <span className="min-w-0">
              <span className="font-semibold">{whatOf(r)}</span>
              {held.has(r.id) && <span className="ml-2 text-[15px] text-brass">not sent yet</span>}
              {odd.has(r.id) && (
                <span className="ml-2">
                  <Mark kind="watch" word="Does not agree" />
                </span>
              )}
            </span>
            <span className="text-right whitespace-nowrap tabular-nums">{valueOf(r, units)}</span>
            <span className="order-last col-span-full min-w-0 text-[15px] text-ink-2 @wide:order-none @wide:col-span-1">
              {circumstancesOf(r, positions, units)}
            </span>
            <span className="order-last col-span-full min-w-0 text-[15px] text-ink-2 @wide:order-none @wide:col-span-1">
              {[momentOf(r.takenAt), r.by, r.instrument].filter(Boolean).join(', ')}
            </span>
            <RemoveButton what={`${whatOf(r)} ${valueOf(r, units)}`} onClick={() => onRemove(r)} />
          </li>
        ))}
      </ul>
      {shown < latest.length && (
        <button type="button" className="btn mt-2" onClick={() => setShown(shown + AT_ONCE)}>
          Show {Math.min(AT_ONCE, latest.length - shown)} more of {latest.length}
        </button>
      )}
    </>
  )
}
