import { cut } from '@zesty/core'
import type { LibraryItem } from '@zesty/core/library'
import { BookOpen } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { usePlan, useShopId } from '../state/openPlan'
import type { PlateKind } from './plateColumns'
import { useItems } from '../state/useItems'

const PickFromLibrary = lazy(() => import('./PickFromLibrary').then((m) => ({ default: m.PickFromLibrary })))

/** Takes a plate from the shop's library into the plan or beside it, and keeps the plan's there. */
export function FromLibrary({ kind }: { kind: PlateKind }) {
  const plan = usePlan()
  const shopId = useShopId()
  const items = useItems(shopId, kind) ?? []
  const [keep, { isLoading }] = api.useKeepItemMutation()
  const [picking, setPicking] = useState(false)
  const [name, setName] = useState('')
  const typed = Object.keys(plan[kind]).length > 0
  const standard = (kind === 'drive' && plan.drive.name) || cut(`${plan.name}, ${kind}`, 80)
  const keepIt = async () => {
    const called = name.trim() || standard
    const item: LibraryItem =
      kind === 'motor' ? { kind, name: called, item: plan.motor } : { kind, name: called, item: plan.drive }
    const { error } = await keep({ shopId, item })
    notice(error ? problemText(error) : `${called} is in the library`)
    if (!error) setName('')
  }
  return (
    <section className="sheet no-print mt-4" aria-labelledby="library">
      <h2 id="library" tabIndex={-1} className="h-part">
        Library of the shop
      </h2>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <button type="button" className="btn" onClick={() => setPicking(true)}>
          <BookOpen size={18} aria-hidden="true" /> Pick a {kind}, {items.length} kept
        </button>
        {typed && (
          <>
            <label className="flex max-w-[420px] min-w-0 flex-1 basis-[300px] flex-col gap-0.5">
              <span className="label">Keep this one as</span>
              <input
                className="field"
                value={name}
                maxLength={80}
                placeholder={standard}
                onChange={(e) => setName(e.target.value)}
              />
            </label>
            <button type="button" className="btn" disabled={isLoading} onClick={() => void keepIt()}>
              Keep it
            </button>
          </>
        )}
      </div>
      {picking && (
        <Suspense fallback={null}>
          <PickFromLibrary kind={kind} onClose={() => setPicking(false)} />
        </Suspense>
      )}
    </section>
  )
}
