import { readPlan, replacePlan, type Plan } from '@zesty/core'
import type { RevisionLine } from '@zesty/core/http'
import { useState, type ReactNode, type SyntheticEvent } from 'react'
import { api, problemText } from '../state/api'
import { DifferenceTable } from '../parts/DifferenceTable'
import { Labelled } from '../parts/Labelled'
import { momentOf } from '../parts/moment'
import { Overlay } from '../parts/Overlay'
import { useChange, useConversionId, useOpen, usePlan } from '../state/openPlan'

/** The plans that were kept, what each changed, what has changed since, and the way back. */
export function Revisions({ onClose }: { onClose: () => void }) {
  const id = useConversionId()
  const now = useOpen((open) => open.revision)
  const {
    data: pages,
    error,
    isLoading,
    hasNextPage,
    isFetchingNextPage,
    fetchNextPage,
  } = api.useRevisionsInfiniteQuery(id)
  const data = pages?.pages.flatMap(({ rows }) => rows)
  const [chosen, setChosen] = useState<number>()
  const at = data?.findIndex(({ revision }) => revision === chosen) ?? -1
  const line = data?.[at]
  return (
    <Overlay
      title="Revisions"
      says="A burst of work is one; after a day one an hour is left, but for those with a name. Restoring one is itself a new revision: nothing is lost by it."
      open
      onClose={onClose}
      widest
    >
      {error && <p className="text-oxide">{problemText(error)}</p>}
      {isLoading && <p className="lead">Fetching the revisions</p>}
      <div className="grid gap-4 md:grid-cols-[320px_1fr]">
        <ol className="flex max-h-[60vh] flex-col gap-1 overflow-auto max-md:max-h-[34vh]">
          {data?.map((r) => (
            <li key={r.revision}>
              <button
                type="button"
                aria-pressed={r.revision === chosen}
                className={`btn w-full flex-col items-stretch gap-0 py-1.5 text-left ${r.revision === chosen ? 'btn-main' : 'btn-quiet'}`}
                onClick={() => setChosen(r.revision)}
              >
                <span className="flex justify-between gap-2">
                  <span className="min-w-0 break-words">
                    {r.revision} {r.name ?? (r.revision === now ? '(now)' : r.origin === 'edited' ? '' : r.origin)}
                  </span>
                  <span className="shrink-0 text-[14px] opacity-80">{momentOf(r.savedAt)}</span>
                </span>
                <span className="text-[14px] leading-tight font-normal break-words">
                  {[changedInWords(r), r.by].filter((words) => words !== undefined).join(' · ')}
                </span>
              </button>
            </li>
          ))}
          {hasNextPage && (
            <li>
              <button
                type="button"
                className="btn w-full"
                disabled={isFetchingNextPage}
                onClick={() => void fetchNextPage()}
              >
                Earlier ones
              </button>
            </li>
          )}
        </ol>
        {line === undefined ? (
          <p className="lead">Choose a revision to see what it changed, and what has changed since.</p>
        ) : (
          <Revision key={line.revision} id={id} line={line} before={data?.[at + 1]?.revision} onDone={onClose} />
        )}
      </div>
    </Overlay>
  )
}

function changedInWords({ changed }: RevisionLine): string | undefined {
  if (!changed) return undefined
  const { count, first } = changed
  const named = first.slice(0, 3).join('; ')
  return count === 0 ? 'Nothing changed' : count > 3 ? `${named} and ${count - 3} more` : named
}

type Held = 'since' | 'by it'

function Revision({
  id,
  line: { revision, name },
  before,
  onDone,
}: {
  id: string
  line: RevisionLine
  /** The one that was kept before it. */
  before: number | undefined
  onDone: () => void
}) {
  const plan = usePlan()
  const change = useChange()
  const [held, setHeld] = useState<Held>(before === undefined ? 'since' : 'by it')
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
  const press = (of: Held, words: string) => (
    <button
      type="button"
      className={held === of ? 'btn btn-main' : 'btn'}
      aria-pressed={held === of}
      onClick={() => setHeld(of)}
    >
      {words}
    </button>
  )
  return (
    <div className="flex min-w-0 flex-col gap-3">
      <div className="flex flex-wrap items-end gap-2">
        <RevisionName id={id} revision={revision} name={name} />
        <button type="button" className="btn" onClick={restore}>
          Restore revision {revision}
        </button>
      </div>
      <div role="group" aria-label="What is shown" className="flex flex-wrap gap-2">
        {before !== undefined && press('by it', 'What it changed')}
        {press('since', 'What has changed since')}
      </div>
      {held === 'since' || before === undefined ? (
        <DifferenceTable before={old} after={plan} headings={[`In revision ${revision}`, 'Now']} />
      ) : (
        <Before id={id} revision={before}>
          {(was) => <DifferenceTable before={was} after={old} headings={[`In revision ${before}`, `In ${revision}`]} />}
        </Before>
      )}
    </div>
  )
}

function Before({ id, revision, children }: { id: string; revision: number; children: (was: Plan) => ReactNode }) {
  const { data, error } = api.useRevisionQuery({ id, revision })
  const read = data ? readPlan(data.plan) : undefined
  if (error) return <p className="text-oxide">{problemText(error)}</p>
  return read?.ok ? children(read.value) : <p className="lead">Fetching revision {revision}</p>
}

/** What somebody calls it: typed and entered, or taken away by leaving nothing. */
function RevisionName({ id, revision, name }: { id: string; revision: number; name: string | undefined }) {
  const [text, setText] = useState(name ?? '')
  const [call, { error }] = api.useNameRevisionMutation()
  const submit = (event: SyntheticEvent) => {
    event.preventDefault()
    void call({ id, revision, name: text.trim() === '' ? null : text.trim() })
  }
  return (
    <form className="flex min-w-0 flex-wrap items-end gap-2" onSubmit={submit}>
      <Labelled label="Its name">
        {(field) => (
          <input
            id={field}
            className="field"
            value={text}
            maxLength={80}
            placeholder="Before the bigger motor"
            autoComplete="off"
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Labelled>
      <button type="submit" className="btn" disabled={text.trim() === (name ?? '')}>
        {text.trim() === '' && name !== undefined ? 'Take the name away' : 'Name it'}
      </button>
      {error && <p className="basis-full text-oxide">{problemText(error)}</p>}
    </form>
  )
}
