import { fieldIn, isOfHeart, setField, valueAt, type Patch, type PlanField, type PlanPath } from '@zesty/core'
import { createContext, useCallback, useContext } from 'react'
import { useAppDispatch, useAppSelector, useAppStore } from '../state/store'
import { selectPlan, useChange } from '../state/openPlan'
import { typedRead, typedUnread } from '../state/planSlice'
import type { TypedText, TypedTexts } from '../state/typedTexts'

/** A plan-shaped document that fields edit in place of the open plan, such as an item of the library. */
export interface FieldDocument {
  document: unknown
  change: (label: string, patch: Patch) => void
  /** Texts that do not read yet, by field. */
  typed: TypedTexts
  /** Undefined where the text was read after all. */
  refuse: (path: PlanPath, unread: TypedText | undefined) => void
}

export const FieldDocumentContext = createContext<FieldDocument | undefined>(undefined)

/** What a field holds now. */
export function useHeld(path: PlanPath): unknown {
  const host = useContext(FieldDocumentContext)
  const own = useAppSelector((state) => (host ? undefined : valueAt(selectPlan(state), path)))
  return host ? valueAt(host.document, path) : own
}

/**
 * The field as the kind of thing in the document has it, and what turns the machine; undefined where they do not have it,
 * and nothing is shown.
 */
export function useField(path: PlanPath): PlanField | undefined {
  const host = useContext(FieldDocumentContext)
  const own = useAppSelector((state) => {
    if (host) return undefined
    const plan = selectPlan(state)
    return isOfHeart(plan, path) ? fieldIn(plan, path) : undefined
  })
  return host ? fieldIn(host.document, path) : own
}

/** Sets what the field holds. */
export function useSetField(path: PlanPath): (label: string, value: unknown) => void {
  const host = useContext(FieldDocumentContext)
  const store = useAppStore()
  const change = useFieldChange()
  return (label, value) => change(label, [setField(host ? host.document : selectPlan(store.getState()), path, value)])
}

/** Makes one change to what the field stands in. */
export function useFieldChange(): (label: string, patch: Patch) => void {
  const own = useChange()
  return useContext(FieldDocumentContext)?.change ?? own
}

/** The text of a field that does not read yet, and how to say that of it. */
export function useUnread(path: PlanPath): [TypedText | undefined, (unread: TypedText | undefined) => void] {
  const host = useContext(FieldDocumentContext)
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
