import { isPlanPath } from './fieldAt'
import { set, type Patch } from './patch'
import type { Plan } from './plan'
import { MOST_PLANNED, type Planned } from './plannedSchema'
import type { PlanPath } from './planPath'

/**
 * Fields that say what is: how links lie, what a drive was read to hold, what was measured and looked at. Only whoever
 * looked can fill them in; no remedy does it for him.
 */
const READ_BACK =
  /^(?:motor\.(?:connection|leads)|settings\.(?:inDrive(?:\.|$)|state)|checks(?:\.|$)|drive\.(?:filterLink|jumperSet|laid|lineStartLockout)|supply\.(?:earthing|isolatorInReach)|controls\.(?:resetStarts|reverseLocked))/

/**
 * Whether a field says what somebody saw at the machine, and not what is planned.
 *
 * @example isReadBack('motor.connection') // true
 */
export const isReadBack = (path: PlanPath): boolean => READ_BACK.test(path)

/** What a remedy claims to be done already; none where it only plans. */
export const claimOf = (patch: Patch): PlanPath | undefined => patch.find(({ path }) => isReadBack(path))?.path

/**
 * What planning a remedy changes: all that is decision goes into the plan; what it would claim to be done is noted as
 * work, and the field stays as it was read.
 */
export function planWork(plan: Plan, label: string, patch: Patch): Patch {
  const path = claimOf(patch)
  if (path === undefined) return patch
  const others = (plan.planned ?? []).filter((p) => p.path !== path)
  return [
    ...patch.filter((change) => !isReadBack(change.path)),
    set('planned', [...others, { label, path }].slice(-MOST_PLANNED)),
  ]
}

/**
 * A change with what it settles: whoever fills in a field that work was planned for has looked, and the work is done.
 *
 * @example withPlannedDone(emptyPlan('x'), []) // []
 */
export function withPlannedDone({ planned = [] }: Plan, patch: Patch): Patch {
  const isSettled = ({ path }: Planned) => patch.some((change) => change.path === path)
  return patch.some(({ path }) => path === 'planned') || !planned.some(isSettled)
    ? patch
    : [
        ...patch,
        set(
          'planned',
          planned.filter((work) => !isSettled(work)),
        ),
      ]
}

/** Planned work whose field is one of this plan. */
export const plannedWork = ({ planned = [] }: Plan): (Planned & { path: PlanPath })[] =>
  planned.flatMap(({ label, path }) => (isPlanPath(path) ? [{ label, path }] : []))
