import { addCandidate, takeItem } from '@zesty/core/library'
import { Link } from 'react-router'
import { notice } from '../state/notice'
import { useChange, usePlan, useShopId } from '../state/openPlan'
import { newId } from '../parts/newId'
import { Overlay } from '../parts/Overlay'
import { LibraryTable } from './LibraryTable'
import type { PlateKind } from './plateColumns'
import { useItems } from '../state/useItems'

/** The library's table over the plan: take one into it, or put it beside those thought of. */
export function PickFromLibrary({ kind, onClose }: { kind: PlateKind; onClose: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const shopId = useShopId()
  const items = useItems(shopId, kind) ?? []
  const full = plan.candidates[kind === 'motor' ? 'motors' : 'drives'].length
  return (
    <Overlay
      title={`Pick a ${kind}`}
      says={`Take it into the plan, or put it beside the others thought of, ${full} so far.`}
      open
      onClose={onClose}
      widest
    >
      {items.length === 0 && <p className="lead">The library has no {kind} yet.</p>}
      {items.length > 0 && (
        <div className="sheet">
          <LibraryTable
            kind={kind}
            items={items}
            actions={(item) => {
              const beside = addCandidate(plan, item, newId())
              return (
                <span className="flex gap-1.5 py-1">
                  <button
                    type="button"
                    className="btn px-2.5"
                    aria-label={`Take ${item.name}`}
                    onClick={() => {
                      change(`Take ${item.name}`, takeItem(item))
                      notice(`${item.name} is in the plan`)
                      onClose()
                    }}
                  >
                    Take
                  </button>
                  <button
                    type="button"
                    className="btn btn-quiet px-2.5"
                    aria-label={`Put ${item.name} beside`}
                    disabled={!beside}
                    onClick={() => {
                      if (beside) change(`Think of ${item.name}`, beside)
                      notice(`${item.name} stands beside the others`)
                    }}
                  >
                    Beside
                  </button>
                </span>
              )
            }}
          />
        </div>
      )}
      <Link to={`/shops/${shopId}/library/${kind}s`} className="btn self-start">
        Open the library
      </Link>
    </Overlay>
  )
}
