import { valueAt, type Patch, type PlanPath } from '@zesty/core'
import { createContext, useCallback, useContext } from 'react'
import { useAppDispatch, useAppSelector } from '../app/store'
import { selectPlan, useChange } from '../conversion/openPlan'
import { typedRead, typedUnread, type TypedText } from '../conversion/planSlice'

/** A plan-shaped document that fields edit in place of the open plan, such as an item of the library. */
export interface FieldHost {
  document: unknown
  change: (label: string, patch: Patch) => void
  /** Texts that do not read yet, by field. */
  typed: Record<PlanPath, TypedText>
  /** Undefined where the text was read after all. */
  refuse: (path: PlanPath, unread: TypedText | undefined) => void
}

export const FieldHostContext = createContext<FieldHost | undefined>(undefined)

/** What a field holds now. */
export function useHeld(path: PlanPath): unknown {
  const host = useContext(FieldHostContext)
  const own = useAppSelector((state) => (host ? undefined : valueAt(selectPlan(state), path)))
  return host ? valueAt(host.document, path) : own
}

/** Makes one change to what the field stands in. */
export function useFieldChange(): (label: string, patch: Patch) => void {
  const own = useChange()
  return useContext(FieldHostContext)?.change ?? own
}

/** The text of a field that does not read yet, and how to say that of it. */
export function useUnread(path: PlanPath): [TypedText | undefined, (unread: TypedText | undefined) => void] {
  const host = useContext(FieldHostContext)
  const dispatch = useAppDispatch()
  const own = useAppSelector((state) => state.plan.open?.typed[path])
  const refuse = useCallback(
    (unread: TypedText | undefined) => {
      if (host) host.refuse(path, unread)
      else dispatch(unread ? typedUnread({ path, ...unread }) : typedRead(path))
    },
    [host, dispatch, path],
  )
  return [host ? host.typed[path] : own, refuse]
}
