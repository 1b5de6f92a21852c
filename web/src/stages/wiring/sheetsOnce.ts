import { sheetsOf, type SchematicSheet, type Wiring } from '@zesty/core/wiring'

const made = new WeakMap<Wiring, SchematicSheet[]>()

/** The sheets of a wiring, laid out once for whatever shows them: the drawings, and the picture of each step. */
export function sheetsOnce(wiring: Wiring): SchematicSheet[] {
  const known = made.get(wiring)
  if (known) return known
  const sheets = sheetsOf(wiring)
  made.set(wiring, sheets)
  return sheets
}
