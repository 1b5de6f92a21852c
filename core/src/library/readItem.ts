import { emptyPlan, PLAN_VERSION, upgrade } from '../plan'
import { faultsOf, type Outcome } from '../rules/rule'
import { libraryItemSchema, type LibraryItem, type LibraryKind } from './libraryItem'

/** An item as it was stored, with the version of the plan whose fields it has. */
export interface StoredItem {
  kind: LibraryKind
  name: string
  version: number
  item: unknown
}

/** Where a plan holds what an item of a kind says. */
const sections = { motor: 'motor', drive: 'drive', circuit: 'supply' } as const

/** Reads a stored item. Older ones are brought up to date as plans are: laid into a plan of their version. */
export function readItem({ kind, name, version, item }: StoredItem): Outcome<LibraryItem> {
  if (kind === 'manual') return readManualItem(name, item)
  const section = sections[kind]
  const laid = upgrade({ ...emptyPlan(name), schemaVersion: version, [section]: item })
  if (!laid.ok) return laid
  const document = { kind, name, item: laid.value[section] }
  const parsed = libraryItemSchema.safeParse(document)
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, faults: faultsOf(parsed.error, document) }
}

/** A manual has a version of its own within it. */
function readManualItem(name: string, item: unknown): Outcome<LibraryItem> {
  const document = { kind: 'manual', name, item }
  const parsed = libraryItemSchema.safeParse(document)
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, faults: faultsOf(parsed.error, document) }
}

/** The version that items are stored with now. */
export const ITEM_VERSION = PLAN_VERSION
