import { shippedLibrary, type Library } from '../data/planningValues'
import type { Finding } from '../findings/finding'
import { judge } from '../findings/judge'
import type { Connection, Plan } from '../plan'
import type { SettingLine } from '../settings/settingLine'
import { beltFacts } from './beltFacts'
import { chain, type ChainLink } from './chain'
import { checkFacts } from './checkFacts'
import { circuitFacts } from './circuitFacts'
import { driveFacts } from './driveFacts'
import type { Facts } from './facts'
import { numberOf, type Blocked, type Figure, type Reading } from './figure'
import { fastDeltaFacts } from './fastDeltaFacts'
import { joiningFacts } from './joiningFacts'
import { Ledger } from './ledger'
import { linkPlan, type LinkPlan } from './linkPlan'
import { motorCableFacts } from './motorCableFacts'
import { motorFacts } from './motorFacts'
import { motorPhysics } from './motorPhysics'
import { mountFacts } from './mountFacts'
import { settingsFacts } from './settingsFacts'
import { shakeFacts } from './shakeFacts'
import { sizeUpReasons } from './sizing'
import { sourceFacts } from './sourceFacts'
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
import { torqueSource } from './torqueSource'
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
  window: { slower: number; faster: number }
  torqueNm?: string
  powerW?: string
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
  /** Kind of earth-leakage device the circuit wants. */
  earthLeakageType?: 'F' | 'B'
  /** What speaks for a drive one size up here. */
  sizeUpReasons: string[]
  /** Verdicts on a second-hand motor's tests. */
  checks: { insulation?: 'pass' | 'dry-out' | 'reject'; alike?: boolean }
  /** Lower-voltage links on this higher-voltage drive, where that trick applies. */
  fastDelta?: { connection: Connection; permitted: boolean }
  /** Speed limits of what spins, lowest first. */
  limits: { rpm: number; what: string; marked: boolean }[]
  settings: SettingLine[]
  links?: LinkPlan
}

/** Judges a plan. Pure: the same plan and library give the same evaluation, and no valid plan makes it throw. */
export function evaluate(plan: Plan, library: Library = shippedLibrary): Evaluation {
  const ledger = new Ledger(plan)
  const supply = supplyFacts(ledger)
  const motor = motorFacts(plan, ledger)
  const mount = mountFacts(plan, ledger, library, motor)
  const drive = driveFacts(plan, ledger, library, supply, motor, mount)
  const trains = trainFacts(plan, ledger)
  const main = trains.find((t) => t.position.id === mainPosition(plan)?.id)
  const settings = settingsFacts({ plan, library, motor, drive, main }, ledger)
  const speeds = speedFacts({ plan, ledger, motor, drive, settings, trains })
  const physics = motorPhysics(plan, ledger, library, motor, drive, settings)
  const circuit = circuitFacts(plan, ledger, library, supply, drive)
  const stop = stopFacts(plan, ledger, library, drive, settings, speeds, supply, mount)
  const facts: Facts = {
    plan,
    library,
    supply,
    motor,
    drive,
    settings,
    physics,
    circuit,
    stop,
    mount,
    speeds,
    source: sourceFacts(plan, ledger, library, supply, drive),
    joining: joiningFacts(plan, ledger, supply, drive),
    motorCable: motorCableFacts(plan, ledger, library, supply, motor, drive),
    checks: plan.checks.secondHand === true ? checkFacts(plan, ledger, motor) : undefined,
    fastDelta: fastDeltaFacts(plan, ledger, motor, drive),
    torque: torqueSource(plan, ledger, library),
    shakes: shakeFacts(ledger, motor, stop.inertia, speeds.positions),
    belts: beltFacts(plan, ledger, motor),
  }
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
    sizeUpReasons: sizeUpReasons(facts),
    checks: {
      ...(facts.checks?.insulationVerdict ? { insulation: facts.checks.insulationVerdict } : {}),
      ...(facts.checks?.alike === undefined ? {} : { alike: facts.checks.alike }),
    },
    ...(facts.fastDelta
      ? { fastDelta: { connection: facts.fastDelta.connection, permitted: facts.fastDelta.permitted } }
      : {}),
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

const jobLine = ({ job, name, wantedRpm, window, torqueNm, powerW, on, reach, reachedOn }: JobFacts): JobLine => ({
  id: job.id,
  name,
  wantedRpm: wantedRpm.id,
  window,
  ...(torqueNm ? { torqueNm: torqueNm.id } : {}),
  ...(powerW ? { powerW: powerW.id } : {}),
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
  for (let hz = step * (Math.floor(lowHz / step) + 1); hz < highHz; hz += step) hertz.add(hz)
  return [...hertz]
    .sort((a, b) => a - b)
    .map((frequencyHz) => ({ frequencyHz, spindleRpm: (topRpm * frequencyHz) / highHz }))
}
