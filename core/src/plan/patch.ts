import type { PlanPath } from './fieldAt'
import type { Plan } from './plan'

/** One change: what stands at `path` becomes `value`; undefined takes it away. */
export interface Change {
  path: PlanPath
  value?: unknown
}

/** Changes that belong together: one press, one undo. */
export type Patch = readonly Change[]

export const set = (path: PlanPath, value: unknown): Change => ({ path, value })

type Tree = Record<string, unknown> | unknown[]

const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null

const split = new Map<PlanPath, readonly string[]>()

/** The keys of a path; the same few hundred paths are asked for at every edit. */
function keysOf(path: PlanPath): readonly string[] {
  let keys = split.get(path)
  if (!keys) split.set(path, (keys = path.split('.')))
  return keys
}

/** What stands at a path, or undefined. */
export function valueAt(plan: unknown, path: PlanPath): unknown {
  let at: unknown = plan
  for (const key of keysOf(path)) {
    if (!isTree(at) || !Object.hasOwn(at, key)) return undefined
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

/** The plan with the changes made, in order; the plan passed in is left alone. */
export const applyPatch = (plan: Plan, patch: Patch): Plan =>
  patch.reduce<Plan>((at, { path, value }) => withValue(at, path.split('.'), value) as Plan, plan)

/** The patch that takes `patch` back when applied to the plan it produced from `plan`. */
export function inversePatch(plan: Plan, patch: Patch): Patch {
  const inverse: Change[] = []
  let at = plan
  for (const change of patch) {
    inverse.unshift({ path: change.path, value: valueAt(at, change.path) })
    at = applyPatch(at, [change])
  }
  return inverse
}
