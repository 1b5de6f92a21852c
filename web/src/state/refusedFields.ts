import { fieldAt, isPlanPath, printQuantity, valueAt, type PlanPath } from '@zesty/core'
import type { Problem } from '@zesty/core/http'
import type { OpenPlan, RefusedField } from './planSlice'

/**
 * The fields that a server found fault with, as long as each is a field of the plan that was sent and holds another value
 * than the one that the server kept: only then does putting that back mend it.
 */
export function refusedFields({ plan, keptPlan }: OpenPlan, faults: NonNullable<Problem['faults']>): RefusedField[] {
  const known = faults.flatMap(({ field, message }) => {
    const path = field.replace(/^plan\./, '').replace(/\[(\d+)\]/g, '.$1')
    if (!isPlanPath(path)) return []
    const value = valueAt(plan, path)
    return isSame(value, valueAt(keptPlan, path)) ? [] : [{ path, text: written(path, value), message }]
  })
  return known.length === faults.length ? known : []
}

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/** A value as somebody would type it. */
function written(path: PlanPath, value: unknown): string {
  const { dimension } = fieldAt(path)
  if (typeof value === 'number' && dimension) return printQuantity({ value, dimension })
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}
