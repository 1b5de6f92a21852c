import { logKinds, symptoms, upkeepTasks, type LogEntry } from '@zesty/core/record'
import { useState } from 'react'
import { momentOf } from '../../parts/moment'
import { RemoveButton } from '../../parts/RemoveButton'
import { usePrint } from '../../parts/usePrint'

/** Lines drawn at first, and more at each press. */
const AT_ONCE = 40

/** The log, the latest first. */
export function LogList({
  entries,
  held,
  onRemove,
}: {
  entries: readonly LogEntry[]
  held: ReadonlySet<string>
  onRemove: (entry: LogEntry) => void
}) {
  const print = usePrint()
  const [shown, setShown] = useState(AT_ONCE)
  if (entries.length === 0) return <p className="mt-2 text-ink-2">Nothing is in the log yet.</p>
  return (
    <>
      <ol className="mt-2 border-t border-ink-2">
        {entries.slice(0, shown).map((entry) => (
          <li
            key={entry.id}
            className="grid grid-cols-[minmax(0,1fr)_44px] items-start gap-x-3 border-b border-rule py-1.5"
          >
            <div className="min-w-0">
              <p className="flex flex-wrap items-baseline gap-x-3">
                <b>
                  {entry.kind === 'upkeep' && entry.task !== undefined
                    ? upkeepTasks[entry.task]
                    : entry.kind === 'symptom' && entry.symptom !== undefined
                      ? symptoms[entry.symptom]
                      : logKinds[entry.kind]}
                  {entry.code === undefined ? '' : `: ${entry.code}`}
                </b>
                {entry.price !== undefined && <span className="tabular-nums">{print('money', entry.price)}</span>}
                {held.has(entry.id) && <span className="text-[15px] text-brass">not sent yet</span>}
              </p>
              {entry.text !== undefined && <p className="break-words whitespace-pre-wrap">{entry.text}</p>}
              <p className="text-[15px] text-ink-2">{[momentOf(entry.at), entry.by].filter(Boolean).join(', ')}</p>
            </div>
            <RemoveButton what={`${logKinds[entry.kind]} of ${momentOf(entry.at)}`} onClick={() => onRemove(entry)} />
          </li>
        ))}
      </ol>
      {shown < entries.length && (
        <button type="button" className="btn mt-2" onClick={() => setShown(shown + AT_ONCE)}>
          Show {Math.min(AT_ONCE, entries.length - shown)} more of {entries.length}
        </button>
      )}
    </>
  )
}
