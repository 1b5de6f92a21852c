import { readPlan, replacePlan } from '@zesty/core'
import { format } from 'date-fns'
import { useState } from 'react'
import { api, problemText } from '../state/api'
import { Overlay } from '../parts/Overlay'
import { DifferenceTable } from '../parts/DifferenceTable'
import { useChange, useConversionId, useOpen, usePlan } from '../state/openPlan'

/** Every plan that was kept, what has changed since, and the way back. */
export function Revisions({ onClose }: { onClose: () => void }) {
  const id = useConversionId()
  const now = useOpen((open) => open.revision)
  const { data, error, isLoading } = api.useRevisionsQuery(id)
  const [chosen, setChosen] = useState<number>()
  return (
    <Overlay
      title="Revisions"
      says="Restoring one is itself a new revision: nothing is lost by it."
      open
      onClose={onClose}
      wide
    >
      {error && <p className="text-oxide">{problemText(error)}</p>}
      {isLoading && <p className="lead">Fetching the revisions</p>}
      <div className="grid gap-4 md:grid-cols-[260px_1fr]">
        <ol className="flex max-h-[60vh] flex-col gap-1 overflow-auto">
          {data?.map((r) => (
            <li key={r.revision}>
              <button
                type="button"
                aria-pressed={r.revision === chosen}
                className={`btn w-full justify-between ${r.revision === chosen ? 'btn-main' : 'btn-quiet'}`}
                onClick={() => setChosen(r.revision)}
              >
                <span>
                  {r.revision} {r.revision === now ? '(now)' : r.origin}
                  {r.by !== undefined && <span className="block text-[14px] font-normal">{r.by}</span>}
                </span>
                <span className="text-[14px] opacity-80">{format(new Date(r.savedAt), 'd MMM HH:mm')}</span>
              </button>
            </li>
          ))}
        </ol>
        {chosen === undefined ? (
          <p className="lead">Choose a revision to see what has changed since.</p>
        ) : (
          <Revision id={id} revision={chosen} onDone={onClose} />
        )}
      </div>
    </Overlay>
  )
}

function Revision({ id, revision, onDone }: { id: string; revision: number; onDone: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const { data, error } = api.useRevisionQuery({ id, revision })
  const read = data ? readPlan(data.plan) : undefined
  if (error) return <p className="text-oxide">{problemText(error)}</p>
  if (!read?.ok) return <p className="lead">Fetching revision {revision}</p>
  const old = read.value
  const restore = () => {
    // As one undoable step like any other, so that undo takes a restore back too.
    change(`Restore revision ${revision}`, replacePlan(old))
    onDone()
  }
  return (
    <div className="flex min-w-0 flex-col gap-3">
      <DifferenceTable before={old} after={plan} headings={[`In revision ${revision}`, 'Now']} />
      <button type="button" className="btn btn-main self-start" onClick={restore}>
        Restore revision {revision}
      </button>
    </div>
  )
}
