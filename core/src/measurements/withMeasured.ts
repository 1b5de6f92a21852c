import { fieldAt, mainPosition, set, applyPatch, valueAt, type Patch, type Plan, type PlanPath } from '../plan'
import type { Measured, MeasuredCoast, MeasuredPosition } from './measured'

/** A plan with what was read in place of what it does not say, and which fields those are. */
export interface PlanWithMeasured {
  plan: Plan
  fields: ReadonlySet<PlanPath>
}

const NO_FIELDS: ReadonlySet<PlanPath> = new Set()

/** What was read of a position; where there is only one, what was said of none is its own. */
export const readingsOf = (plan: Plan, { positions, anywhere }: Measured, id: string): MeasuredPosition | undefined =>
  positions[id] ?? (plan.survey.positions.length === 1 ? anywhere : undefined)

/** The coast that counts: of the position used most, else one that was said of none. */
export function coastOf(plan: Plan, measured: Measured): MeasuredCoast | undefined {
  const main = mainPosition(plan)
  return (main && readingsOf(plan, measured, main.id)?.coast) ?? measured.anywhere.coast
}

/**
 * Readings stand beside the plan and never over it: a field that the plan leaves open is judged by what was read, one that
 * it fills stays as it is. The plan that is kept is not changed.
 */
export function withMeasured(plan: Plan, measured: Measured): PlanWithMeasured {
  if (measured.count === 0) return { plan, fields: NO_FIELDS }
  const { survey, checks, commanded, highFrequency } = plan
  const coast = coastOf(plan, measured)
  const patch: Patch = [
    ...(survey.coastS === undefined && coast && coast.seconds.undecided !== true
      ? [set('survey.coastS', coast.seconds.median), set('survey.coastFromRpm', coast.fromRpm)]
      : []),
    // Of what protects, the least counts.
    ...(survey.seatTorqueNm === undefined && measured.seatTorqueNm
      ? [set('survey.seatTorqueNm', measured.seatTorqueNm.least)]
      : []),
    ...(checks.testMOhm === undefined && measured.insulation
      ? [set('checks.testMOhm', measured.insulation.least)]
      : []),
    ...(commanded.readings === undefined && measured.commands ? [set('commanded.readings', measured.commands)] : []),
    ...(highFrequency.hours === undefined && measured.spindleHours !== undefined
      ? [set('highFrequency.hours', measured.spindleHours)]
      : []),
    ...survey.holders.flatMap(({ inertiaFrom, runUpS }, i) =>
      inertiaFrom === 'timing' && runUpS === undefined && measured.runUpS
        ? [set(`survey.holders.${i}.runUpS`, measured.runUpS.median)]
        : [],
    ),
  ].filter(
    ({ path, value }) => value !== undefined && valueAt(plan, path) === undefined && fieldAt(path).accepts(value),
  )
  return patch.length === 0
    ? { plan, fields: NO_FIELDS }
    : { plan: applyPatch(plan, patch), fields: new Set(patch.map(({ path }) => path)) }
}
