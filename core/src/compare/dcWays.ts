import type { PlanningTables } from '../data/planningValues'
import { isSealed, powerForTorque, spindleTorque } from '../drivetrain'
import type { Evaluation } from '../evaluate/evaluation'
import type { PositionLine } from '../evaluate/positionLine'
import { isKnown, numberOf, type FigureState } from '../facts/figure'
import { named, unknownField, type Ledger } from '../facts/ledger'
import { torqueCurve } from '../facts/motor/torqueCurve'
import type { Plan } from '../plan'
import { dcMotor, onItsCurrent, type DcMotor } from './dcMotor'
import { verdictOf } from './dcVerdict'
import { dcWayIds, dcWayNames, isDcRoute, routeOfWay, type DcWay, type DcWayId } from './dcWay'
import type { SlowTorque } from './slowestJob'
import type { ThreePhaseSide } from './threePhaseSide'

/** What a way gives at the motor: speeds, and torque all day as it is cooled, and with a blower of its own. */
interface Reach {
  lowestRpm: number
  highestRpm: number
  allDayNm: (motorRpm: number) => number | undefined
  blownNm: (motorRpm: number) => number
  rests: FigureState[]
}

interface WantedJob {
  name: string
  rpm: number
}

/** A belt position as a way can use it: its spindle speeds, and how many jobs lie within them. */
interface Stand {
  line: PositionLine
  ratio: number
  /** Torque at the spindle for one at the motor. */
  multiplies: number
  fromRpm: number
  toRpm: number
  jobs: number
}

const within = ({ fromRpm, toRpm }: Pick<Stand, 'fromRpm' | 'toRpm'>, rpm: number): boolean =>
  rpm >= fromRpm && rpm <= toRpm * (1 + 1e-9)

const best = <T>(of: readonly T[], worth: (one: T) => number): T | undefined =>
  of.reduce<T | undefined>((a, b) => (a !== undefined && worth(a) >= worth(b) ? a : b), undefined)

/** Every way, in the order of least change; none while there is no DC motor. */
export function dcWays(
  plan: Plan,
  evaluation: Evaluation,
  side: ThreePhaseSide,
  tables: PlanningTables,
): { motor: DcMotor | undefined; ways: DcWay[] } {
  const { ledger } = side
  const motor = dcMotor(plan, evaluation, ledger)
  if (!motor) return { motor, ways: [] }
  const jobs = evaluation.jobs.flatMap((j): WantedJob[] => {
    const rpm = evaluation.figures[j.wantedRpm]?.value
    return rpm === undefined ? [] : [{ name: j.name, rpm }]
  })
  const slowest = best(jobs, (j) => -j.rpm)
  const made = dcWayIds.map((id) => {
    const lines = side.evaluation.positions.filter((line) => id !== 'ac-open' || !isGeared(plan, line))
    const reach = reachOf(id, plan, evaluation, side, motor, tables)
    const stands = reach ? lines.flatMap((line) => standOf(line, reach, ledger, jobs)) : []
    const main = best(stands, (at) => at.jobs)
    const blown = best(stands, (at) => blownAt(at, reach, slowest))
    return {
      way: {
        id,
        route: routeOfWay(id),
        name: dcWayNames[id],
        ...atSlowest(id, reach, stands, slowest, [motor.torqueNm, acPower(ledger)], ledger),
        span: main && { position: main.line.name, fromRpm: main.fromRpm, toRpm: main.toRpm, jobs: main.jobs },
        jobs: jobs.filter((j) => stands.some((at) => within(at, j.rpm))).length,
      },
      isNone: lines.length === 0,
      blownNm: blown && blownAt(blown, reach, slowest),
    }
  })
  const kept = made.find(({ way }) => way.id === 'keep-dc')?.way.slowNm
  const ways = made.map(({ way, isNone, blownNm }): DcWay => {
    const equalW = way.route === 'drive-each' ? equalPower(way.id, blownNm, kept, ledger) : undefined
    const whole = { ...way, equalW }
    return { ...whole, verdict: verdictOf(plan, whole, { kept, wanted: jobs.length, isNone, motor }) }
  })
  return { motor, ways }
}

const acPower = (ledger: Ledger): FigureState => ledger.given('motor.powerW', 'AC motor: power')

/** Whether a position goes through gears, as a back gear does. */
const isGeared = (plan: Plan, line: PositionLine): boolean =>
  plan.survey.positions
    .find((p) => p.id === line.id)
    ?.transmission.some(({ kind }) => kind === 'gear-pair' || isSealed(kind)) ?? false

function standOf(line: PositionLine, reach: Reach, ledger: Ledger, jobs: readonly WantedJob[]): Stand[] {
  const ratio = numberOf(ledger.figures[line.speedRatio])
  const efficiency = numberOf(ledger.figures[`position.${line.id}.efficiency`])
  if (ratio === undefined || efficiency === undefined) return []
  const span = { fromRpm: reach.lowestRpm * ratio, toRpm: reach.highestRpm * ratio }
  return [
    { line, ratio, multiplies: efficiency / ratio, ...span, jobs: jobs.filter((j) => within(span, j.rpm)).length },
  ]
}

const blownAt = (at: Stand, reach: Reach | undefined, slowest: WantedJob | undefined): number =>
  reach && slowest ? reach.blownNm(slowest.rpm / at.ratio) * at.multiplies : 0

/** Torque all day at the slowest job, on the position that has most of it there. */
function atSlowest(
  id: DcWayId,
  reach: Reach | undefined,
  stands: readonly Stand[],
  slowest: WantedJob | undefined,
  wants: readonly FigureState[],
  ledger: Ledger,
): SlowTorque {
  const naming = named(`route.${id}.slowNm`, `${dcWayNames[id]}: torque at the slowest job`, 'torque')
  const not = (from: readonly FigureState[], refusal?: string): SlowTorque => ({
    slowNm: ledger.block(naming, from, refusal),
    slowSays: '',
  })
  if (!slowest) return not([unknownField('survey.jobs', 'Jobs')])
  if (!reach) return not(wants)
  if (stands.length === 0) return not([unknownField('survey.positions', 'Belt positions')])
  const motorNm = (at: Stand) => reach.allDayNm(slowest.rpm / at.ratio)
  const at = best(
    stands.filter((one) => within(one, slowest.rpm)),
    (one) => (motorNm(one) ?? 0) * one.multiplies,
  )
  if (!at) return not([], `No belt position turns ${Math.round(slowest.rpm)} rpm this way`)
  const torqueNm = motorNm(at)
  if (torqueNm === undefined) return not([], 'So slow on the fan of its shaft no torque all day is known')
  return {
    slowNm: ledger.derive(spindleTorque, 'torqueNm', naming, {
      torqueNm: { raw: torqueNm, shown: torqueNm, label: 'All day at the motor, at that speed', from: reach.rests },
      speedRatio: ledger.figures[at.line.speedRatio],
      efficiency: ledger.figures[`position.${at.line.id}.efficiency`],
    }),
    slowSays: `${Math.round(slowest.rpm)} rpm, ${at.line.name}`,
  }
}

/** Power of an AC motor, with a blower of its own, that is as strong at the slowest job as the DC motor. */
function equalPower(
  id: DcWayId,
  blownNm: number | undefined,
  kept: FigureState | undefined,
  ledger: Ledger,
): FigureState | undefined {
  if (!blownNm || !kept || !isKnown(kept)) return undefined
  return ledger.derive(
    powerForTorque,
    'powerW',
    named(`route.${id}.equalW`, `${dcWayNames[id]}: power that equals the DC motor at the slowest job`, 'power'),
    {
      powerW: acPower(ledger),
      torqueNm: { raw: blownNm, shown: blownNm, label: 'Torque there with a blower', from: [acPower(ledger)] },
      wantedNm: kept,
    },
  )
}

function reachOf(
  id: DcWayId,
  plan: Plan,
  evaluation: Evaluation,
  side: ThreePhaseSide,
  motor: DcMotor,
  tables: PlanningTables,
): Reach | undefined {
  const route = routeOfWay(id)
  if (!isDcRoute(route)) {
    if (!side.evaluation.torque) return undefined
    const curve = torqueCurve(side.evaluation.torque)
    return {
      lowestRpm: curve.lowestRpm,
      highestRpm: curve.highestRpm,
      allDayNm: (rpm) => curve.at(rpm).continuousNm,
      blownNm: (rpm) => curve.at(rpm).blowerNm,
      rests: [acPower(side.ledger)],
    }
  }
  const torque = onItsCurrent(route, plan, evaluation, side.ledger, motor, tables)
  const [base, top, rated] = [motor.baseRpm, motor.topRpm, torque].map(numberOf)
  if (base === undefined || top === undefined || rated === undefined) return undefined
  // Full field below base; above it torque goes with the field.
  const atSpeed = (rpm: number) => rated * Math.min(1, base / Math.max(rpm, 1))
  return {
    // By its armature from standstill, while something cools it.
    lowestRpm: 0,
    highestRpm: route === 'fixed-dc' ? base : Math.max(top, base),
    allDayNm: atSpeed,
    blownNm: atSpeed,
    rests: [torque],
  }
}
