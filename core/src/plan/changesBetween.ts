import type { Change, Patch } from './patch'
import type { Plan } from './plan'
import type { PlanPath } from './planPath'

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * What makes one plan into another: sections, and what stands directly in them, that are not the same objects.
 *
 * @example ((plan) => changesBetween(plan, { ...plan, name: 'Mill' }))(emptyPlan('Lathe')) // [{ path: 'name', value: 'Mill' }]
 */
export function changesBetween(before: Plan, after: Plan): Patch {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((section): Change[] => {
    const [was, is] = [before[section as keyof Plan] as unknown, after[section as keyof Plan] as unknown]
    if (was === is) return []
    if (!isRecord(was) || !isRecord(is)) return [{ path: section as PlanPath, value: is }]
    const keys = [...new Set([...Object.keys(was), ...Object.keys(is)])].filter((key) => was[key] !== is[key])
    // A key that is a path itself cannot be the end of one.
    if (keys.some((key) => key.includes('.'))) return [{ path: section as PlanPath, value: is }]
    return keys.map((key) => ({ path: `${section}.${key}` as PlanPath, value: is[key] }))
  })
}
