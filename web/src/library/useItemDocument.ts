import { applyPatch, emptyPlan, type Patch, type Plan } from '@zesty/core'
import { type LibraryItem, type TableKind } from '@zesty/core/library'
import { useMemo, useRef, useState } from 'react'
import { api, problemText } from '../state/api'
import type { KeptOf } from '../state/useItems'
import type { TypedText } from '../state/typedTexts'
import type { FieldDocument } from '../parts/fieldDocument'

/** Items whose fields are a plan's. */
type TableItem = Extract<LibraryItem, { kind: TableKind }>

/** An item as fields edit it: in a plan that holds nothing else. */
const asPlan = ({ name, ...of }: TableItem): Plan => {
  const plan = emptyPlan(name)
  if (of.kind === 'motor') plan.motor = of.item
  else if (of.kind === 'drive') plan.drive = of.item
  else plan.supply = of.item
  return plan
}

const asItem = (kind: TableKind, plan: Plan): TableItem => {
  const { name } = plan
  if (kind === 'motor') return { kind, name, item: plan.motor }
  if (kind === 'drive') return { kind, name, item: plan.drive }
  return { kind, name, item: plan.supply }
}

/**
 * Lets fields edit a kept item: every change goes to the server as it is made, one after the other.
 * `trouble` says why the last one was not kept; what was entered stays in the fields.
 */
export function useItemDocument(kept: KeptOf<TableKind>): { host: FieldDocument; trouble: string | undefined } {
  const [send] = api.useChangeItemMutation()
  const [document, setDocument] = useState(() => asPlan(kept))
  const [typed, setTyped] = useState<Record<string, TypedText>>({})
  const [trouble, setTrouble] = useState<string>()
  const current = useRef(document)
  const queue = useRef<Promise<unknown>>(Promise.resolve())
  const { id, kind } = kept
  const host = useMemo(
    (): FieldDocument => ({
      document,
      typed,
      change: (_label: string, patch: Patch) => {
        current.current = applyPatch(current.current, patch)
        setDocument(current.current)
        const item = asItem(kind, current.current)
        queue.current = queue.current
          .then(() => send({ id, item }))
          .then(({ error }) => setTrouble(error ? problemText(error) : undefined))
      },
      refuse: (path, unread) =>
        setTyped((all) => {
          const others = Object.fromEntries(Object.entries(all).filter(([at]) => at !== path))
          return unread ? { ...others, [path]: unread } : others
        }),
    }),
    [document, typed, id, kind, send],
  )
  return { host, trouble }
}
