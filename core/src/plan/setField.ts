import { z } from 'zod'
import { asKind } from './asKind'
import { schemaIn } from './fieldAt'
import { valueAt, type Change } from './patch'
import type { PlanPath } from './planPath'

/**
 * A field set to what was typed or chosen in it. Where the field is the kind of a thing, the whole thing becomes one of
 * that kind: what both kinds have stays, what the new one does not have goes. Nothing is judged: the schema does that.
 *
 * @example setField(emptyPlan('Lathe'), 'name', 'Mill') // { path: 'name', value: 'Mill' }
 */
export function setField(document: unknown, path: PlanPath, value: unknown): Change {
  const cut = path.lastIndexOf('.')
  const parent = path.slice(0, Math.max(cut, 0))
  const schema = parent === '' ? undefined : schemaIn(document, parent)
  const isKind = schema instanceof z.ZodDiscriminatedUnion && schema.def.discriminator === path.slice(cut + 1)
  if (!isKind || (value !== undefined && typeof value !== 'string')) return { path, value }
  const at = parent as PlanPath
  return {
    path: at,
    value: asKind(schema as Parameters<typeof asKind>[0], valueAt(document, at) ?? {}, value),
  }
}
