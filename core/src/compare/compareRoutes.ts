import { shippedTables, type PlanningTables } from '../data/planningValues'
import { ratedTorque } from '../motor'
import type { Evaluation } from '../evaluate/evaluation'
import { isKnown, numberOf, type FigureState } from '../facts/figure'
import { unsuitableHere } from '../findings/unsuitableKinds'
import { named, unknownField, type Ledger } from '../facts/ledger'
import { isShifted, shaftTorque, torqueByPower } from '../drivetrain'
import { routes, type Plan, type RouteId } from '../plan'
import { converter, currentSum } from '../supply'
import { crossover, replacesMotor, routeCost, shopRoutes } from './routeCosts'
import { fedMachines, wallAmps, type Fed } from './routeAmps'
import { dcWays } from './dcWays'
import { isDcRoute, type DcWay, type WayVerdict } from './dcWay'
import { dcCurves, reversals, type DcCurves, type Reversal } from './routeDc'
import { routeWords } from './routeWork'
import { slowestJob, type SlowestJob, type SlowTorque } from './slowestJob'
import { threePhaseSide } from './threePhaseSide'

/** One way to go, in this shop's numbers. Readings open to their working through `figures`. */
export interface RouteLine extends SlowTorque {
  id: RouteId
  name: string
  /** False where it cannot be had for this machine; then `why` says so. */
  applies: boolean
  why?: string
  costThis: FigureState
  /** For every machine; only for routes that feed the whole shop. */
  costAll: FigureState | undefined
  wallA: FigureState
  /** Of everything that runs at the same time. */
  togetherA: FigureState
  /** Machines that can run at once on the breaker, in the order listed; undefined while amps are not known. */
  runAtOnce: string[] | undefined
  idlerW: FigureState | undefined
  /** Of a way to turn a machine with a DC motor: what it is worth. */
  verdict?: WayVerdict
  work: string[]
  gives: string
  lacks: string
}

export interface RouteComparison {
  lines: RouteLine[]
  /** What motor stands here that no drive of this kind runs, and the ways that lead on from it. */
  motor: { says: string; why: string; leadsTo: string[] } | undefined
  machines: number
  slowest: SlowestJob | undefined
  /** Cost over the number of machines for the routes that feed the shop; only where prices are typed. */
  costCurve: { route: RouteId; points: { machines: number; cost: number }[] }[]
  crossovers: FigureState[]
  /** The ways of a machine with a DC motor, with what each is worth; none where there is no such motor. */
  dcWays: DcWay[]
  dc: DcCurves | undefined
  reversals: Reversal[]
  figures: Evaluation['figures']
  blocked: Evaluation['blocked']
}

const MOST_MACHINES = 8

/** The ways to go, compared for this shop. Worked out when asked for. */
export function compareRoutes(
  plan: Plan,
  evaluation: Evaluation,
  tables: PlanningTables = shippedTables,
): RouteComparison {
  const side = threePhaseSide(plan, evaluation)
  const { ledger } = side
  const fed = fedMachines(plan, ledger)
  const slowest = slowestJob(side.evaluation, ledger)
  const dc = dcWays(plan, evaluation, side, tables)
  const lines = (Object.keys(routes) as RouteId[]).map((id) => line(id))
  const drawn = Math.max(fed.length, Math.min(MOST_MACHINES, fed.length + 3))
  return {
    lines,
    motor: motorHere(plan),
    machines: fed.length,
    slowest,
    costCurve: shopRoutes.flatMap((route) => {
      const points = Array.from({ length: drawn }, (_, i) => ({
        machines: i + 1,
        cost: numberOf(routeCost(plan, ledger, route, i + 1)),
      }))
      return points.every((p) => p.cost !== undefined)
        ? [{ route, points: points.map(({ machines, cost }) => ({ machines, cost: cost ?? 0 })) }]
        : []
    }),
    crossovers: (['converter-starters', 'converter-drives'] as const).map((r) => crossover(ledger, r)),
    dcWays: dc.ways,
    dc: dcCurves(plan, evaluation, side, dc, tables),
    reversals: dc.motor ? reversals(plan, ledger) : [],
    figures: ledger.figures,
    blocked: ledger.blocked,
  }

  function line(id: RouteId): RouteLine {
    const words = routeWords[id]
    const feedsShop = shopRoutes.includes(id)
    const here = feedsShop ? fed : fed.slice(0, 1)
    const powerW = isDcRoute(id) ? dc.motor?.powerW : routePower(ledger, id)
    const amps = here.map((f) => ({
      ...f,
      wallA: wallAmps(plan, ledger, tables, side.evaluation, id, f, f.key === 'this' ? powerW : undefined),
    }))
    const own = amps[0]?.wallA ?? ledger.block({ id: `route.${id}.wallA`, label: 'Wall amps' }, [])
    const refused = notFor(plan, id, dc.motor !== undefined)
    return {
      id,
      name: routes[id],
      applies: refused === undefined,
      ...(refused === undefined ? {} : { why: refused }),
      costThis: routeCost(plan, ledger, id, 1),
      costAll: feedsShop && fed.length > 1 ? routeCost(plan, ledger, id, fed.length) : undefined,
      wallA: own,
      togetherA: together(ledger, id, amps),
      runAtOnce: atOnce(plan, amps),
      ...slowOf(id),
      idlerW: id === 'converter-starters' || id === 'converter-drives' ? idler(ledger, id, fed) : undefined,
      work: [
        ...(feedsShop && replacesMotor(plan) ? ['Replace this machine’s motor by a three-phase one'] : []),
        ...ofVariable(plan, id),
        ...words.work,
      ],
      gives: words.gives,
      lacks: words.lacks,
    }
  }

  /** Of a machine with a DC motor as its ways say it; with the back gear lost no position through gears is counted. */
  function slowOf(id: RouteId): SlowTorque & Pick<RouteLine, 'verdict'> {
    const way = dc.ways.find(
      (w) => w.route === id && w.id !== (plan.route.backGearKept === false ? 'ac-geared' : 'ac-open'),
    )
    return way
      ? { slowNm: way.slowNm, slowSays: way.slowSays, verdict: way.verdict }
      : slow(ledger, side.evaluation, id, slowest)
  }
}

/** What a unit that is shifted while it turns asks: beside a drive it becomes one ratio, on a starter it stays what makes the speeds. */
function ofVariable({ survey }: Plan, id: RouteId): string[] {
  if (!survey.positions.some(({ transmission }) => transmission.some(({ kind }) => isShifted(kind)))) return []
  if (id === 'converter-starters') return ['Keep the variable unit: its belt or oil, and shift it only while it turns']
  return ['Lock the variable unit at one ratio, its belt renewed, or put two fixed pulleys in its place']
}

/** Of a motor that cannot go on the drive as it is: why, as Motor says it, and where it leads. */
function motorHere(plan: Plan): RouteComparison['motor'] {
  const unsuitable = unsuitableHere(plan)
  return unsuitable && { ...unsuitable, leadsTo: unsuitable.leadsTo.map((id) => routes[id]) }
}

/** Power of the motor that a route would turn this machine with, where that is its own. */
function routePower(ledger: Ledger, id: RouteId): FigureState | undefined {
  if (id === 'kit') return ledger.given('route.kitPowerW')
  return id === 'brushless' ? ledger.given('route.brushlessPowerW') : undefined
}

/** Above this brushless bench sets are not made. */
const BRUSHLESS_MOST_W = 1500

function notFor(plan: Plan, id: RouteId, hasDcMotor: boolean): string | undefined {
  const { powerW } = plan.motor
  if (isDcRoute(id) && !hasDcMotor)
    return 'There is no DC drive on this machine; type its motor’s plate below if there is.'
  if (
    (id === 'converter-starters' || id === 'converter-drives') &&
    plan.supply.phases === 3 &&
    (plan.supply.supplyUnit ?? 'mains') === 'mains'
  )
    return 'The wall has three phases already.'
  if (id === 'brushless' && powerW !== undefined && powerW > BRUSHLESS_MOST_W)
    return 'Brushless bench sets end at about 1.5 kW.'
  return undefined
}

function together(ledger: Ledger, id: RouteId, amps: readonly (Fed & { wallA: FigureState })[]): FigureState {
  const running = amps.filter((f) => f.runsTogether).map((f) => f.wallA)
  const naming = named(`route.${id}.togetherA`, `${routes[id]}: everything that runs at the same time`, 'current')
  return ledger.derive(currentSum, 'currentA', naming, {
    currentsA: {
      raw: running.map(numberOf),
      shown: `${running.length} of them`,
      label: 'Their wall amps at full load; they are seldom all at full load at once',
      from: running,
    },
  })
}

/** Taken in the order listed, as far as the breaker carries full loads. */
function atOnce(plan: Plan, amps: readonly (Fed & { wallA: FigureState })[]): string[] | undefined {
  const { supplyUnit = 'mains' } = plan.supply
  // At the wall, as the amps are.
  const breakerA =
    supplyUnit === 'mains' || supplyUnit === 'generator' ? plan.supply.breakerA : plan.supply.wallBreakerA
  if (breakerA === undefined || amps.some((f) => !isKnown(f.wallA))) return undefined
  let left = breakerA
  return amps.flatMap((f) => {
    const wanted = numberOf(f.wallA) ?? 0
    if (wanted > left) return []
    left -= wanted
    return [f.name]
  })
}

function idler(ledger: Ledger, id: RouteId, fed: readonly Fed[]): FigureState {
  const known = fed.filter((f) => isKnown(f.powerW))
  const starts = id === 'converter-starters'
  return ledger.derive(converter, 'idlerW', named(`route.${id}.idlerW`, `${routes[id]}: idler`, 'power'), {
    motors:
      known.length === 0
        ? fed[0]?.powerW
        : {
            raw: known.map((f) => ({ powerW: numberOf(f.powerW) ?? 0, hardStart: starts && f.hardStart })),
            shown: known.map((f) => f.name).join(', '),
            label: 'Motors',
            from: known.map((f) => f.powerW),
          },
  })
}

/** Torque at the slowest job, or what the route has instead. */
function slow(ledger: Ledger, evaluation: Evaluation, id: RouteId, slowest: SlowestJob | undefined): SlowTorque {
  const naming = named(`route.${id}.slowNm`, `${routes[id]}: torque at the slowest job`, 'torque')
  const waits = {
    slowNm: ledger.block(naming, [unknownField('survey.jobs', 'Jobs')]),
    slowSays: '',
  }
  if (!slowest || isDcRoute(id)) return waits
  const at = `${Math.round(slowest.rpm)} rpm, ${slowest.position}`
  switch (id) {
    case 'drive-each':
    case 'converter-drives':
      return { slowNm: slowest.continuousNm, slowSays: slowest.reached ? at : `knob ends above ${at}` }
    case 'converter-starters': {
      const bottom = evaluation.positions
        .flatMap((p) => {
          const [rpm, torque] = [ledger.figures[p.baseRpm], ledger.figures[p.torqueNm]]
          return rpm && torque ? [{ rpm, torque, name: p.name }] : []
        })
        .reduce<{ rpm: { value: number }; torque: FigureState; name: string } | undefined>(
          (a, b) => (a && a.rpm.value <= b.rpm.value ? a : b),
          undefined,
        )
      return bottom
        ? { slowNm: bottom.torque, slowSays: `its slowest: ${Math.round(bottom.rpm.value)} rpm, ${bottom.name}` }
        : waits
    }
    case 'kit': {
      // A motor of as many poles on the same belts.
      const slowNm = ledger.derive(torqueByPower, 'torqueNm', naming, {
        torqueNm: slowest.continuousNm,
        powerW: ledger.given('motor.powerW'),
        otherPowerW: ledger.given('route.kitPowerW'),
      })
      return { slowNm, slowSays: isKnown(slowNm) ? at : '' }
    }
    case 'brushless': {
      const [powerW, speedRpm] = [ledger.given('route.brushlessPowerW'), ledger.given('route.brushlessRpm')]
      const position = evaluation.positions.find((p) => p.name === slowest.position)
      const ratio = position && ledger.figures[position.speedRatio]
      const torqueNm = ledger.derive(
        ratedTorque,
        'torqueNm',
        named('route.brushless.torque', 'Brushless motor: rated torque', 'torque'),
        { powerW, speedRpm },
      )
      if (!isKnown(torqueNm) || !ratio) return { slowNm: ledger.block(naming, [torqueNm]), slowSays: '' }
      return {
        // Rated torque, held from standstill until it is hot, on the same pulleys.
        slowNm: ledger.derive(shaftTorque, 'torqueNm', naming, { torqueNm, speedRatio: ratio }),
        slowSays: at,
      }
    }
  }
}
