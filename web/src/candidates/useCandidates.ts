import { MOST_BESIDE } from '@zesty/core/library'
import { useState } from 'react'
import { useChange, usePlan } from '../state/openPlan'
import { newId } from '../parts/newId'
import type { PlateKind } from '../library/plateColumns'

const called = { motor: 'Motor', drive: 'Drive' } as const

/** The motors or drives thought of beside the plan's own: one more, the plan's own among them, one less, one opened. */
export function useCandidates(kind: PlateKind) {
  const plan = usePlan()
  const change = useChange()
  const [editing, edit] = useState<string>()
  const path = `candidates.${kind}s` as const
  const list: readonly { id: string }[] = plan.candidates[`${kind}s`]
  const index = list.findIndex((item) => item.id === editing)
  const put = (label: string, item: { id: string; name: string; plate: object }) =>
    change(label, [{ path, value: [...list, item] }])
  return {
    full: list.length >= MOST_BESIDE,
    hasOwn: Object.keys(plan[kind]).length > 0,
    edit,
    /** Place in the list of the one that is opened. */
    index: index < 0 ? undefined : index,
    add: () => {
      const id = newId()
      put(`Think of a ${kind}`, { id, name: `${called[kind]} ${list.length + 1}`, plate: {} })
      edit(id)
    },
    keepOwn: () => {
      const name = (kind === 'drive' ? plan.drive.name : undefined) ?? `As in the plan, ${list.length + 1}`
      put('Keep this plate beside', { id: newId(), name, plate: plan[kind] })
    },
    remove: ({ id, name }: { id?: string | undefined; name: string }) =>
      change(`Take ${name} off the list`, [{ path, value: list.filter((item) => item.id !== id) }]),
  }
}

export type Candidates = ReturnType<typeof useCandidates>
