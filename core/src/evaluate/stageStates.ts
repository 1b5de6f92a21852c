import type { Finding, StageId } from '../findings/finding'
import { stageIds } from '../findings/finding'
import { fieldAt, valueAt, type Plan, type PlanPath } from '../plan'
import type { Blocked, Figure } from './figure'

export const stageNames: Record<StageId, string> = { survey: 'Survey', motor: 'Motor', drive: 'Drive', speeds: 'Speeds', settings: 'Settings' }

/** What a stage cannot do without, in the order people come to it. */
const essentials: Record<StageId, readonly PlanPath[]> = {
  survey: ['survey.machineKind', 'supply.voltageV', 'supply.phases', 'supply.frequencyHz', 'supply.breakerA', 'supply.isolatorInReach', 'survey.spindleNose', 'survey.positions', 'survey.jobs', 'survey.holders'],
  motor: ['motor.kind', 'motor.powerW', 'motor.lowVoltageV', 'motor.lowVoltageA', 'motor.ratedFrequencyHz', 'motor.ratedSpeedRpm', 'motor.frame', 'motor.cooling', 'motor.leads', 'motor.connection'],
  drive: ['drive.input', 'drive.inputVoltageV', 'drive.ratedOutputA', 'drive.ratedInputA', 'drive.control'],
  speeds: ['survey.mainPositionId'],
  settings: ['controls.runBy', 'controls.stopBy', 'controls.emergencyStop', 'controls.reference', 'drive.lineStartLockout', 'settings.state'],
}

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
function asked({ motor, survey }: Plan, path: PlanPath): boolean {
  if (path === 'motor.connection') return motor.leads !== '3' && motor.highVoltageV !== undefined
  if (path === 'survey.holders') return survey.spindleNose !== 'none'
  return path !== 'survey.mainPositionId' || survey.positions.length > 1
}

const stageOfPath = (path: PlanPath): StageId => {
  const listed = stageIds.find((id) => essentials[id].includes(path))
  if (listed) return listed
  const section = path.split('.')[0]
  return section === 'motor' || section === 'drive' ? section : section === 'controls' || section === 'settings' ? 'settings' : 'survey'
}

/** Every unknown field that something waits for: the essentials of each stage, and what blocks a figure. */
export function missingFields(plan: Plan, blocked: Iterable<Blocked>, figures: ReadonlyMap<string, Figure>): Missing[] {
  const waits = new Map<PlanPath, Set<string>>()
  for (const id of stageIds) for (const path of essentials[id]) if (asked(plan, path) && isMissing(plan, path)) waits.set(path, new Set())
  for (const b of blocked) {
    for (const path of b.missing) {
      if (figures.has(path)) continue
      const labels = waits.get(path) ?? new Set<string>()
      if (b.id !== path) labels.add(b.label)
      if (labels.size > 0 || waits.has(path)) waits.set(path, labels)
    }
  }
  return [...waits].map(([path, labels]) => ({ path, label: fieldAt(path)?.label ?? path, stage: stageOfPath(path), blocks: [...labels] }))
}

export function stageStates(missing: readonly Missing[], findings: readonly Finding[]): StageLine[] {
  return stageIds.map((id) => {
    const lacking = missing.filter((m) => m.stage === id && essentials[id].includes(m.path)).length
    const here = findings.filter((f) => f.stage === id)
    const stops = here.filter((f) => f.severity === 'stop').length
    const watches = here.filter((f) => f.severity === 'watch').length
    const state: StageState = stops > 0 || (lacking === 0 && watches > 0) ? 'attention' : lacking > 0 ? 'open' : 'done'
    return { id, name: stageNames[id], state, missing: lacking, stops, watches }
  })
}

export interface NextStep {
  stage: StageId
  text: string
  path?: PlanPath
  findingId?: string
}

/** Where a first verdict starts: the few fields without which nothing can be said. */
const firstPath: readonly { path: PlanPath; text: string; stage: StageId }[] = [
  { path: 'survey.machineKind', text: 'Say what machine it is', stage: 'survey' },
  { path: 'supply.voltageV', text: 'Type what the wall gives', stage: 'survey' },
  { path: 'motor.kind', text: 'Say what kind of motor it is', stage: 'motor' },
  { path: 'motor.powerW', text: 'Type the motor’s plate', stage: 'motor' },
  { path: 'motor.ratedSpeedRpm', text: 'Type the speed and hertz on the plate', stage: 'motor' },
  { path: 'drive.ratedOutputA', text: 'Type the drive’s plate', stage: 'drive' },
  { path: 'survey.positions', text: 'Add the first belt position', stage: 'survey' },
]

/** The one thing to do next: the first essential that is missing, then the first stop, then whatever is left. */
export function nextStep(plan: Plan, missing: readonly Missing[], findings: readonly Finding[]): NextStep | undefined {
  const first = firstPath.find((s) => isMissing(plan, s.path))
  if (first) return { stage: first.stage, text: first.text, path: first.path }
  const stop = findings.find((f) => f.severity === 'stop')
  if (stop) return { stage: stop.stage, text: 'Clear the first stop', findingId: stop.id }
  const lacking = missing.find((m) => essentials[m.stage].includes(m.path))
  if (lacking) return { stage: lacking.stage, text: `Fill in: ${lacking.label.toLowerCase()}`, path: lacking.path }
  const watch = findings.find((f) => f.severity === 'watch')
  return watch ? { stage: watch.stage, text: 'Look at the first watch', findingId: watch.id } : undefined
}
