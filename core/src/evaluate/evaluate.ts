import { shippedLibrary, type Library } from '../data/planningValues'
import type { Finding } from '../findings/finding'
import { judge } from '../findings/judge'
import type { Plan } from '../plan'
import type { SettingLine } from '../settings/settingLine'
import { chain, type ChainLink } from './chain'
import { circuitFacts } from './circuitFacts'
import { driveFacts } from './driveFacts'
import type { Facts } from './facts'
import { numberOf, type Blocked, type Figure, type Reading } from './figure'
import { Ledger } from './ledger'
import { linkPlan, type LinkPlan } from './linkPlan'
import { motorFacts } from './motorFacts'
import { motorPhysics } from './motorPhysics'
import { settingsFacts } from './settingsFacts'
import { speedFacts, type JobFacts, type PositionFacts } from './speedFacts'
import { spindleLimits } from './spindleLimits'
import {
  firstSteps,
  missingFields,
  nextStep,
  stageStates,
  type FirstStep,
  type Missing,
  type NextStep,
  type StageLine,
} from './stageStates'
import { stopFacts } from './stopFacts'
import { supplyFacts } from './supplyFacts'
import { mainPosition, trainFacts } from './trainFacts'

/** One belt position as shown; figures by id, to be looked up in `figures` or `blocked`. */
export interface PositionLine {
  id: string
  name: string
  main: boolean
  speedRatio: string
  bottomRpm: string
  baseRpm: string
  topRpm: string
  unloadedTopRpm: string
  torqueNm: string
  reversed?: boolean
  /** Unloaded spindle rpm at round hertz between lowest and highest. */
  ladder: { frequencyHz: number; spindleRpm: number }[]
  jobsReached: number
}

export interface JobLine {
  id: string
  name: string
  wantedRpm: string
  positionId?: string
  reach: JobFacts['reach']
  reachedOn: string[]
}

/** Everything the product says about a plan. Figures are in base units; prose holds amounts unprinted. */
export interface Evaluation {
  figures: Record<string, Figure>
  blocked: Record<string, Blocked>
  missing: Missing[]
  chain: ChainLink[]
  stages: StageLine[]
  next?: NextStep
  /** The way to a first verdict; all done once there is one. */
  firstSteps: FirstStep[]
  findings: Finding[]
  positions: PositionLine[]
  jobs: JobLine[]
  /** Speed limits of what spins, lowest first. */
  /** Kind of earth-leakage device the circuit wants. */
  earthLeakageType?: 'F' | 'B'
  limits: { rpm: number; what: string; marked: boolean }[]
  settings: SettingLine[]
  links?: LinkPlan
}

/** Judges a plan. Pure: the same plan and library give the same evaluation, and no valid plan makes it throw. */
export function evaluate(plan: Plan, library: Library = shippedLibrary): Evaluation {
  const ledger = new Ledger(plan)
  const supply = supplyFacts(ledger)
  const motor = motorFacts(plan, ledger)
  const drive = driveFacts(plan, ledger, library, supply, motor)
  const trains = trainFacts(plan, ledger)
  const main = trains.find((t) => t.position.id === mainPosition(plan)?.id)
  const settings = settingsFacts({ plan, library, motor, drive, main }, ledger)
  const speeds = speedFacts({ plan, ledger, motor, drive, settings, trains })
  const physics = motorPhysics(plan, ledger, library, motor, drive, settings)
  const circuit = circuitFacts(plan, ledger, library, supply, drive)
  const stop = stopFacts(plan, ledger, library, drive, settings, speeds)
  const facts: Facts = { plan, library, supply, motor, drive, settings, physics, circuit, stop, speeds }
  const findings = judge(facts)
  const links = linkPlan(facts)
  const missing = missingFields(plan, ledger.blocked, ledger.figures)
  const steps = firstSteps(plan)
  const next = nextStep(steps, missing, findings)
  return {
    figures: ledger.figures,
    blocked: ledger.blocked,
    missing,
    chain: chain(facts, findings),
    stages: stageStates(missing, findings),
    ...(next ? { next } : {}),
    firstSteps: steps,
    findings,
    positions: speeds.positions.map((p) => positionLine(facts, p)),
    jobs: speeds.jobs.map(jobLine),
    limits: spindleLimits(plan)
      .map(({ rpm, what, marked }) => ({ rpm, what, marked }))
      .sort((a, b) => a.rpm - b.rpm),
    settings: settings.lines,
    ...(circuit.earthLeakageType ? { earthLeakageType: circuit.earthLeakageType } : {}),
    ...(links ? { links } : {}),
  }
}

function positionLine({ speeds, settings, motor }: Facts, p: PositionFacts): PositionLine {
  const id = (reading: Reading) => reading.id
  return {
    id: p.position.id,
    name: p.name,
    main: p === speeds.main,
    speedRatio: id(p.speedRatio),
    bottomRpm: id(p.bottomRpm),
    baseRpm: id(p.baseRpm),
    topRpm: id(p.topRpm),
    unloadedTopRpm: id(p.unloadedTopRpm),
    torqueNm: id(p.torqueNm),
    ...(p.reversed === undefined ? {} : { reversed: p.reversed }),
    ladder: ladder(p, settings.minimumHz, settings.maximumHz, motor.frequencyHz),
    jobsReached: speeds.jobs.filter((j) => j.reachedOn.includes(p)).length,
  }
}

const jobLine = ({ job, name, wantedRpm, on, reach, reachedOn }: JobFacts): JobLine => ({
  id: job.id,
  name,
  wantedRpm: wantedRpm.id,
  ...(on ? { positionId: on.position.id } : {}),
  reach,
  reachedOn: reachedOn.map((p) => p.position.id),
})

/** Steps between the rungs of a ladder, by how far it spans. */
const STEPS = [5, 10, 25, 50, 100, 250]
const MOST_RUNGS = 10

function ladder(p: PositionFacts, low: Reading, high: Reading, base: Reading): PositionLine['ladder'] {
  const [lowHz, highHz, baseHz, topRpm] = [numberOf(low), numberOf(high), numberOf(base), numberOf(p.unloadedTopRpm)]
  if (lowHz === undefined || highHz === undefined || topRpm === undefined || lowHz >= highHz) return []
  const step = STEPS.find((s) => (highHz - lowHz) / s <= MOST_RUNGS) ?? 500
  const hertz = new Set([lowHz, highHz])
  if (baseHz !== undefined && baseHz > lowHz && baseHz < highHz) hertz.add(baseHz)
  for (let hz = Math.ceil(lowHz / step) * step; hz < highHz; hz += step) hertz.add(hz)
  return [...hertz]
    .sort((a, b) => a - b)
    .map((frequencyHz) => ({ frequencyHz, spindleRpm: (topRpm * frequencyHz) / highHz }))
}
