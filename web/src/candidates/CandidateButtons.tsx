import { Plus } from 'lucide-react'
import type { PlateKind } from '../library/plateColumns'
import type { Candidates } from './useCandidates'

/** One more beside the others: an empty one, or the plan's own. */
export function CandidateButtons({ kind, candidates }: { kind: PlateKind; candidates: Candidates }) {
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <button type="button" className="btn" disabled={candidates.full} onClick={candidates.add}>
        <Plus size={18} aria-hidden="true" /> Think of another {kind}
      </button>
      {candidates.hasOwn && (
        <button type="button" className="btn" disabled={candidates.full} onClick={candidates.keepOwn}>
          Keep the plan’s {kind} on the list
        </button>
      )}
    </div>
  )
}
