import { planDifference } from '@zesty/core'
import { Overlay } from '../parts/Overlay'
import { momentOf } from '../parts/moment'
import { removeDraft, type Draft } from '../state/draft'
import { useOpen } from '../state/openPlan'
import { unsentSettled } from '../state/planSlice'
import { useAppDispatch } from '../state/store'
import { takeDraft } from '../state/takeDraft'
import { useUnits } from '../state/units'

/** Several tabs were left with something unsent: each to take or to leave. */
export function UnsentDialog() {
  const dispatch = useAppDispatch()
  const unsent = useOpen((open) => open.unsent)
  const { id, shopId, revision, keptPlan, first, measured } = useOpen((open) => open)
  const savedAt = useOpen(({ keeping }) => (keeping.state === 'kept' ? keeping.at : ''))
  const units = useUnits()
  const take = (draft: Draft) =>
    dispatch(
      takeDraft(
        {
          conversion: { id, shopId, revision, plan: keptPlan, savedAt },
          measured,
          evaluation: first.evaluation,
          unsent: unsent.filter((other) => other !== draft),
        },
        draft,
      ),
    )
  const leave = (draft: Draft) => {
    removeDraft(draft)
    dispatch(unsentSettled(draft))
  }
  const later = () => unsent.forEach((draft) => dispatch(unsentSettled(draft)))
  return (
    <Overlay
      title="Typed here and not sent"
      says={`Tabs of this browser were closed before the server had what was typed in them. What the server keeps was saved ${momentOf(savedAt)}.`}
      open
      onClose={later}
      wide
    >
      <ul className="flex flex-col gap-3">
        {unsent.map((draft, i) => {
          const differences = planDifference(keptPlan, draft.plan, units)
          const says =
            differences.length === 0
              ? 'text that does not read yet'
              : `${differences
                  .map(({ label }) => label)
                  .slice(0, 4)
                  .join(', ')}${differences.length > 4 ? ` and ${differences.length - 4} more` : ''}`
          return (
            <li key={draft.tab} className="sheet flex flex-wrap items-center gap-3">
              <p className="min-w-0 flex-1">
                <span className="font-semibold">Typed {momentOf(draft.at)}</span>
                <br />
                <span className="text-ink-2">{says}</span>
              </p>
              <button
                type="button"
                // The latest of all is what most would want.
                className={i === 0 && draft.at > savedAt ? 'btn btn-main' : 'btn'}
                onClick={() => take(draft)}
              >
                Take it
              </button>
              <button type="button" className="btn btn-quiet" onClick={() => leave(draft)}>
                Throw it away
              </button>
            </li>
          )
        })}
      </ul>
      <div>
        <button type="button" className={(unsent[0]?.at ?? '') > savedAt ? 'btn' : 'btn btn-main'} onClick={later}>
          Go on with what is kept
        </button>
      </div>
    </Overlay>
  )
}
