import { useAppDispatch } from '../state/store'
import { Overlay } from '../parts/Overlay'
import { DifferenceTable } from '../parts/DifferenceTable'
import { useOpen, usePlan } from '../state/openPlan'
import { settled } from '../state/planSlice'
import { momentOf } from '../parts/moment'

/** Two tabs or two people changed the same plan: both sides, and the choice. */
export function ConflictDialog() {
  const dispatch = useAppDispatch()
  const theirs = useOpen((open) => open.theirs)
  const draftedAt = useOpen((open) => open.draftedAt)
  const plan = usePlan()
  if (!theirs) return null
  // What is typed now is later than anything; a draft of before may have been overtaken.
  const mineIsLater = draftedAt === undefined || draftedAt > theirs.savedAt
  const main = (isMain: boolean) => (isMain ? 'btn btn-main' : 'btn')
  return (
    <Overlay
      title="Changed in two places"
      says="This plan was also changed elsewhere, in another tab or on another device. Nothing is overwritten until you choose; the other side stays among the revisions."
      open
      onClose={() => undefined}
      wide
    >
      {draftedAt !== undefined && (
        <p>
          What is here was typed {momentOf(draftedAt)}; what is kept there was saved {momentOf(theirs.savedAt)}, which
          is {mineIsLater ? 'earlier' : 'later'}.
        </p>
      )}
      <DifferenceTable before={theirs.plan} after={plan} headings={['Kept there', 'Here']} />
      <div className="flex flex-wrap gap-2">
        <button type="button" className={main(mineIsLater)} onClick={() => dispatch(settled('mine'))}>
          Keep what is here
        </button>
        <button type="button" className={main(!mineIsLater)} onClick={() => dispatch(settled('theirs'))}>
          Take what was kept there
        </button>
      </div>
    </Overlay>
  )
}
