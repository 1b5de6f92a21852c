import { Plus } from 'lucide-react'
import type { PlateKind } from './plateColumns'
import type { Beside } from './useBeside'

/** One more beside the others: an empty one, or the plan's own. */
export function BesideButtons({ kind, beside }: { kind: PlateKind; beside: Beside }) {
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <button type="button" className="btn" disabled={beside.full} onClick={beside.add}>
        <Plus size={18} aria-hidden="true" /> Think of another {kind}
      </button>
      {beside.hasOwn && (
        <button type="button" className="btn" disabled={beside.full} onClick={beside.keepOwn}>
          Keep the plan’s {kind} on the list
        </button>
      )}
    </div>
  )
}
