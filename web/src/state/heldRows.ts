import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { browserStorage } from './browserStorage'

interface Row {
  id: string
}

/** Rows of one kind that the server has not got yet, kept in this browser by conversion until it has. */
export function heldRows<T extends Row>(prefix: string, schema: z.ZodType<T>) {
  const keyOf = (conversionId: string): string => `${prefix}${conversionId}`
  const heldSchema = z.array(schema)
  const none: readonly T[] = []
  /** The same list as long as the browser holds the same text: what shows it is not shown anew for nothing. */
  const seen = new Map<string, { text: string; rows: readonly T[] }>()
  const listeners = new Set<() => void>()

  function rowsIn(text: string): readonly T[] {
    try {
      return heldSchema.parse(JSON.parse(text))
    } catch {
      return none
    }
  }

  function of(conversionId: string): readonly T[] {
    const text = browserStorage.read(keyOf(conversionId))
    if (text === undefined) return none
    const known = seen.get(conversionId)
    if (known?.text === text) return known.rows
    const rows = rowsIn(text)
    seen.set(conversionId, { text, rows })
    return rows
  }

  function write(conversionId: string, rows: readonly T[]): boolean {
    const held = browserStorage.write(keyOf(conversionId), JSON.stringify(rows))
    listeners.forEach((listener) => listener())
    return held
  }

  function listen(listener: () => void): () => void {
    listeners.add(listener)
    window.addEventListener('storage', listener)
    return () => {
      listeners.delete(listener)
      window.removeEventListener('storage', listener)
    }
  }

  return {
    of,
    /** Whether they are held now: a browser may have no room, or keep nothing at all. */
    hold(conversionId: string, rows: readonly T[]): boolean {
      const known = new Set(rows.map(({ id }) => id))
      return write(conversionId, [...of(conversionId).filter(({ id }) => !known.has(id)), ...rows])
    },
    /** The server has them, or somebody took them away. */
    letGo(conversionId: string, ids: ReadonlySet<string>): void {
      const left = of(conversionId).filter(({ id }) => !ids.has(id))
      if (left.length > 0) write(conversionId, left)
      else browserStorage.remove(keyOf(conversionId))
      listeners.forEach((listener) => listener())
    },
    /** Conversions of which some are held. */
    conversions: (): string[] =>
      browserStorage.keys().flatMap((key) => (key.startsWith(prefix) ? [key.slice(prefix.length)] : [])),
    /** What is held of a conversion, told anew as it changes, in other tabs too. */
    useHeld: (conversionId: string): readonly T[] => useSyncExternalStore(listen, () => of(conversionId)),
  }
}
