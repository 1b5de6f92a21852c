import type { Blocked, Figure } from '../facts/figure'
import { connectionOf } from '../facts/motor/motorFacts'
import type { FigureId } from '../facts/figureId'
import type { Finding } from '../findings/finding'
import { fieldAt, hasFedField, heartOf, isThere, valueAt, type Plan, type PlanPath } from '../plan'
import { stageIds, stages, type StageId } from '../stages/stages'

/** What a stage cannot do without. That each is a path of the plan is checked here: the table of stages stands below the plan. */
const essentialsOf = (id: StageId): readonly PlanPath[] => stages[id].essentials

export interface Missing {
  path: PlanPath
  label: string
  stage: StageId
  /** Labels of the figures that wait for it. */
  blocks: string[]
}

export type StageState = 'open' | 'attention' | 'done'

export interface StageLine {
  id: StageId
  name: string
  state: StageState
  missing: number
  stops: number
  watches: number
}

const isMissing = (plan: Plan, path: PlanPath): boolean => {
  const value = valueAt(plan, path)
  return value === undefined || value === '' || (Array.isArray(value) && value.length === 0)
}

/** Links are only a question where the plate leaves a choice, and so for what spins and the position used most. */
export function asked(plan: Plan, path: PlanPath): boolean {
  const { motor, survey } = plan
  // What this kind of motor does not have is no question.
  if (!isThere(plan, path)) return false
  if (path === 'motor.connection')
    // As long as the volts are not told it may leave a choice, and is asked with the rest of the plate.
    return (
      connectionOf(plan) === undefined &&
      (motor.highVoltageV !== undefined || motor.leads !== undefined || motor.lowVoltageV === undefined)
    )
  // One voltage, and no more leads than it takes: nothing hangs on their number.
  if (path === 'motor.leads') return motor.highVoltageV !== undefined || motor.lowVoltageV === undefined
  // Only a motor with magnets is asked for its poles: of others they follow. A drive for hertz needs no other name.
  if (path === 'motor.platePoles') return heartOf(plan) === 'driver'
  if (path === 'drive.kind') return heartOf(plan) !== 'inverter'
  // Magnets have no field that is fed.
  if (path === 'dcDrive.fieldControl' || path === 'dcDrive.fieldLossTrip') return hasFedField(plan)
  // Whose drive is typed has chosen the way to go.
  if (path === 'route.chosen') return plan.drive.ratedOutputA === undefined
  if (path === 'survey.holders') return survey.spindleNose !== 'none'
  return path !== 'survey.mainPositionId' || survey.positions.length > 1
}

const isFigured = (figures: Readonly<Partial<Record<string, Figure>>>, path: PlanPath): boolean =>
  figures[path] !== undefined

/** Every unknown field that something waits for: the essentials of each stage, and what blocks a figure. */
export function missingFields(
  plan: Plan,
  blocked: Readonly<Partial<Record<FigureId, Blocked>>>,
  figures: Readonly<Partial<Record<FigureId, Figure>>>,
): Missing[] {
  const waits = new Map<PlanPath, Set<string>>()
  for (const id of stageIds)
    for (const path of essentialsOf(id)) if (asked(plan, path) && isMissing(plan, path)) waits.set(path, new Set())
  for (const b of Object.values(blocked)) {
    for (const path of b?.missing ?? []) {
      // What is known, or what this kind of thing does not have, is not asked for.
      if (isFigured(figures, path) || !isThere(plan, path)) continue
      const labels = waits.get(path) ?? new Set<string>()
      if (b && b.id !== path) labels.add(b.label)
      if (labels.size > 0 || waits.has(path)) waits.set(path, labels)
    }
  }
  return [...waits].map(([path, labels]) => ({
    path,
    label: fieldAt(path).label,
    stage: fieldAt(path).stage,
    blocks: [...labels],
  }))
}

/** Fields of a stage that nobody is asked for, and that say that it is through. */
const opensOf = (id: StageId): readonly PlanPath[] => stages[id].opens

export function stageStates(plan: Plan, missing: readonly Missing[], findings: readonly Finding[]): StageLine[] {
  const unknown = new Set(missing.map((m) => m.path))
  return stageIds.map((id) => {
    const lacking = essentialsOf(id).filter((path) => unknown.has(path)).length
    const here = findings.filter((f) => f.stage === id && f.due)
    const stops = here.filter((f) => f.severity === 'stop').length
    const watches = here.filter((f) => f.severity === 'watch').length
    const isOpen = lacking > 0 || opensOf(id).some((path) => isMissing(plan, path))
    const state: StageState = stops > 0 || (!isOpen && watches > 0) ? 'attention' : isOpen ? 'open' : 'done'
    return { id, name: stages[id].name, state, missing: lacking, stops, watches }
  })
}

/** One step on the way to a first verdict. */
export interface FirstStep {
  label: string
  text: string
  stage: StageId
  /** Its fields that are still unknown; none when it is done. */
  paths: PlanPath[]
  done: boolean
}

/** Where a first verdict starts, through all stages in their order. */
const firstPath = stageIds.flatMap((stage) => {
  const steps: readonly { label: string; text: string; paths: readonly PlanPath[] }[] = stages[stage].firstSteps
  return steps.map((step) => ({ stage, ...step }))
})

/** The five-minute path, each step done or with the fields it waits for. */
export const firstSteps = (plan: Plan): FirstStep[] =>
  firstPath.flatMap(({ label, text, stage, paths }) => {
    if (!paths.some((p) => isThere(plan, p))) return []
    const unknown = paths.filter((p) => asked(plan, p) && isMissing(plan, p))
    return { label, text, stage, done: unknown.length === 0, paths: unknown }
  })
