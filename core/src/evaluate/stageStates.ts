import type { Finding, StageId } from '../findings/finding'
import { stageIds } from '../findings/finding'
import { fieldAt, valueAt, type Plan, type PlanPath } from '../plan'
import type { Blocked, Figure } from './figure'

export const stageNames: Record<StageId, string> = {
  survey: 'Survey',
  route: 'Route',
  motor: 'Motor',
  drive: 'Drive',
  speeds: 'Speeds',
  settings: 'Settings',
}

/** What a stage cannot do without, in the order people come to it. */
const essentials: Record<StageId, readonly PlanPath[]> = {
  survey: [
    'survey.machineKind',
    'supply.voltageV',
    'supply.phases',
    'supply.frequencyHz',
    'supply.breakerA',
    'supply.isolatorInReach',
    'survey.spindleNose',
    'survey.positions',
    'survey.jobs',
    'survey.holders',
  ],
  route: ['route.chosen'],
  motor: [
    'motor.kind',
    'motor.powerW',
    'motor.lowVoltageV',
    'motor.lowVoltageA',
    'motor.ratedFrequencyHz',
    'motor.ratedSpeedRpm',
    'motor.frame',
    'motor.cooling',
    'motor.leads',
    'motor.connection',
  ],
  drive: ['drive.input', 'drive.inputVoltageV', 'drive.ratedOutputA', 'drive.ratedInputA', 'drive.control'],
  speeds: ['survey.positions', 'survey.jobs', 'survey.mainPositionId'],
  settings: [
    'controls.runBy',
    'controls.stopBy',
    'controls.emergencyStop',
    'controls.reference',
    'drive.lineStartLockout',
    'settings.state',
  ],
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
  return stageOfSection[path.split('.')[0] ?? ''] ?? 'survey'
}

const stageOfSection: Readonly<Record<string, StageId>> = {
  route: 'route',
  motor: 'motor',
  oldMotor: 'motor',
  checks: 'motor',
  drive: 'drive',
  mount: 'drive',
  controls: 'settings',
  settings: 'settings',
}

/** Every unknown field that something waits for: the essentials of each stage, and what blocks a figure. */
export function missingFields(
  plan: Plan,
  blocked: Readonly<Record<string, Blocked>>,
  figures: Readonly<Record<string, Figure>>,
): Missing[] {
  const waits = new Map<PlanPath, Set<string>>()
  for (const id of stageIds)
    for (const path of essentials[id]) if (asked(plan, path) && isMissing(plan, path)) waits.set(path, new Set())
  for (const b of Object.values(blocked)) {
    for (const path of b.missing) {
      if (figures[path]) continue
      const labels = waits.get(path) ?? new Set<string>()
      if (b.id !== path) labels.add(b.label)
      if (labels.size > 0 || waits.has(path)) waits.set(path, labels)
    }
  }
  return [...waits].map(([path, labels]) => ({
    path,
    label: fieldAt(path)?.label ?? path,
    stage: stageOfPath(path),
    blocks: [...labels],
  }))
}

export function stageStates(missing: readonly Missing[], findings: readonly Finding[]): StageLine[] {
  const unknown = new Set(missing.map((m) => m.path))
  return stageIds.map((id) => {
    const lacking = essentials[id].filter((path) => unknown.has(path)).length
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

/** One step on the way to a first verdict. */
export interface FirstStep {
  label: string
  text: string
  stage: StageId
  /** The first field of the step that is still unknown; none when it is done. */
  path?: PlanPath
  done: boolean
}

/** Where a first verdict starts: the few fields without which nothing can be said. */
const firstPath: readonly { label: string; text: string; stage: StageId; paths: readonly PlanPath[] }[] = [
  { label: 'Machine', text: 'Say what machine it is', stage: 'survey', paths: ['survey.machineKind'] },
  {
    label: 'Wall',
    text: 'Type what the wall gives',
    stage: 'survey',
    paths: ['supply.voltageV', 'supply.phases', 'supply.frequencyHz', 'supply.breakerA'],
  },
  { label: 'Belts', text: 'Type the pulleys of one belt position', stage: 'survey', paths: ['survey.positions'] },
  {
    label: 'Motor',
    text: 'Type the motor’s plate',
    stage: 'motor',
    paths: [
      'motor.kind',
      'motor.powerW',
      'motor.lowVoltageV',
      'motor.lowVoltageA',
      'motor.ratedSpeedRpm',
      'motor.ratedFrequencyHz',
      'motor.connection',
    ],
  },
  {
    label: 'Drive',
    text: 'Type the drive’s plate',
    stage: 'drive',
    paths: ['drive.input', 'drive.inputVoltageV', 'drive.ratedOutputA'],
  },
]

/** The five-minute path, each step done or with the field it waits for. */
export const firstSteps = (plan: Plan): FirstStep[] =>
  firstPath.map(({ label, text, stage, paths }) => {
    const path = paths.find((p) => asked(plan, p) && isMissing(plan, p))
    return { label, text, stage, done: path === undefined, ...(path === undefined ? {} : { path }) }
  })

/** The one thing to do next: the first essential that is missing, then the first stop, then whatever is left. */
export function nextStep(
  first: readonly FirstStep[],
  missing: readonly Missing[],
  findings: readonly Finding[],
): NextStep | undefined {
  const step = first.find((s) => !s.done)
  if (step) return { stage: step.stage, text: step.text, ...(step.path === undefined ? {} : { path: step.path }) }
  const stop = findings.find((f) => f.severity === 'stop')
  if (stop) return { stage: stop.stage, text: 'Clear the first stop', findingId: stop.id }
  const lacking = missing.find((m) => essentials[m.stage].includes(m.path))
  if (lacking) return { stage: lacking.stage, text: `Fill in: ${lacking.label.toLowerCase()}`, path: lacking.path }
  const watch = findings.find((f) => f.severity === 'watch')
  return watch ? { stage: watch.stage, text: 'Look at the first watch', findingId: watch.id } : undefined
}
