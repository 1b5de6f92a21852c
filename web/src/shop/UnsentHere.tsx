import type { MachineLine } from '@zesty/core/http'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { momentOf } from '../parts/moment'
import { removeDraft, type Draft } from '../state/draft'
import { unsentDrafts } from '../state/unsent'

/** What was typed in this browser and never reached the server, by machine: to go on with, or to leave. */
export function UnsentHere({ machines }: { machines: readonly MachineLine[] }) {
  const [drafts, setDrafts] = useState<Draft[]>([])
  useEffect(() => {
    let left = false
    void unsentDrafts().then((found) => !left && setDrafts(found))
    return () => {
      left = true
    }
  }, [])
  const here = drafts.flatMap((draft) => {
    const machine = machines.find(({ id }) => id === draft.conversionId)
    return machine ? [{ draft, name: machine.name }] : []
  })
  if (here.length === 0) return null
  return (
    <section className="sheet flex flex-col gap-2" aria-labelledby="unsent">
      <h2 id="unsent" className="h-part">
        Typed here and not sent
      </h2>
      <ul>
        {here.map(({ draft, name }) => (
          <li key={`${draft.conversionId} ${draft.tab}`} className="flex flex-wrap items-center gap-3 py-1">
            <span className="min-w-0 flex-1">
              {name}, typed {momentOf(draft.at)}
            </span>
            <Link className="btn" to={`/conversions/${draft.conversionId}`}>
              Go on with it
            </Link>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() => {
                removeDraft(draft)
                setDrafts(drafts.filter((other) => other !== draft))
              }}
            >
              Throw it away
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
