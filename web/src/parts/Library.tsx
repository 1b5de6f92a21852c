import { set, type Patch } from '@zesty/core'
import { useState } from 'react'
import { api, problemText } from '../app/api'
import { notice } from '../app/notice'
import { useChange, useOpen, usePlan } from '../conversion/openPlan'

/** Takes a plate from the shop's library, or keeps this one there for other machines. */
export function Library({ kind }: { kind: 'motor' | 'drive' }) {
  const plan = usePlan()
  const change = useChange()
  const { shopId } = useOpen()
  const { data } = api.useLibraryQuery(shopId)
  const [keep, { isLoading }] = api.useKeepItemMutation()
  const [name, setName] = useState('')
  const items = (data ?? []).filter((i) => i.kind === kind)
  const typed = Object.keys(plan[kind]).length > 0
  const keepIt = async () => {
    const called = name.trim() || `${plan.name}, ${kind}`
    const result = await keep({ shopId, kind, name: called, item: plan[kind] })
    notice(result.error ? problemText(result.error) : `${called} is in the library`)
    if (!result.error) setName('')
  }
  return (
    <details className="sheet mt-4">
      <summary className="min-h-11 content-center font-semibold">
        Library of the shop: {items.length === 0 ? `no ${kind} kept yet` : `${items.length} kept`}
      </summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        {items.map((i) => {
          const patch: Patch = [set(kind, i.item)]
          return (
            <button key={i.id} type="button" className="btn" onClick={() => change(`Take ${i.name}`, patch)}>
              Take {i.name}
            </button>
          )
        })}
        {typed && (
          <>
            <label className="flex flex-col gap-0.5">
              <span className="label">Keep this one as</span>
              <input
                className="field"
                value={name}
                maxLength={80}
                placeholder={`${plan.name}, ${kind}`}
                onChange={(e) => setName(e.target.value)}
              />
            </label>
            <button type="button" className="btn" disabled={isLoading} onClick={() => void keepIt()}>
              Keep it
            </button>
          </>
        )}
        {!typed && items.length === 0 && (
          <p className="lead">Type a plate first; then it can be kept here for other machines.</p>
        )}
      </div>
    </details>
  )
}
