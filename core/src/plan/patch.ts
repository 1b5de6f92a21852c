import type { Plan } from './plan'
import type { PlanPath, ValueAt } from './planPath'
import { stepsOf } from './stepsOf'

/** One change: what stands at `path` becomes `value`; undefined takes it away. */
export interface Change {
  path: PlanPath
  value?: unknown
}

/** Changes that belong together: one press, one undo. */
export type Patch = readonly Change[]

/**
 * A change of one thing to a value that may stand there.
 *
 * @example set('motor.powerW', 1500) // { path: 'motor.powerW', value: 1500 }
 */
export const set = <P extends PlanPath>(path: P, value: ValueAt<P>): Change => ({ path, value })

type Tree = Record<string, unknown> | unknown[]

const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null

/**
 * What stands at a path, or undefined.
 *
 * @example valueAt(emptyPlan('Lathe'), 'name') // 'Lathe'
 * valueAt(emptyPlan('Lathe'), 'motor.powerW') // undefined
 */
export function valueAt(plan: unknown, path: PlanPath): unknown {
  let at: unknown = plan
  for (const key of stepsOf(path)) {
    if (!isTree(at)) return undefined
    at = (at as Record<string, unknown>)[key]
  }
  return at
}

function withValue(tree: unknown, keys: readonly string[], value: unknown): unknown {
  const [key, ...rest] = keys
  if (key === undefined) return value
  if (!isTree(tree)) return tree
  const inner = withValue(Reflect.get(tree, key), rest, value)
  if (Array.isArray(tree)) return tree.map((item: unknown, i) => (i === Number(key) ? inner : item))
  if (inner !== undefined) return { ...tree, [key]: inner }
  return Object.fromEntries(Object.entries(tree).filter(([k]) => k !== key))
}

/**
 * The plan with the changes made, in order; the plan passed in is left alone.
 *
 * @example applyPatch(emptyPlan('Lathe'), [set('name', 'Mill')]).name // 'Mill'
 */
export const applyPatch = (plan: Plan, patch: Patch): Plan =>
  patch.reduce<Plan>((at, { path, value }) => withValue(at, path.split('.'), value) as Plan, plan)

/**
 * The patch that takes `patch` back when applied to the plan it produced from `plan`.
 *
 * @example inversePatch(emptyPlan('Lathe'), [set('name', 'Mill')]) // [{ path: 'name', value: 'Lathe' }]
 */
export function inversePatch(plan: Plan, patch: Patch): Patch {
  const inverse: Change[] = []
  let at = plan
  for (const change of patch) {
    inverse.unshift({ path: change.path, value: valueAt(at, change.path) })
    at = applyPatch(at, [change])
  }
  return inverse
}
