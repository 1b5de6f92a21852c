import { isKnown, type FigureState } from '../facts/figure'
import { choice, named, type Ledger } from '../facts/ledger'
import { crossover as crossoverRule, MOST_MACHINES, routeCost as routeCostRule } from '../cost'
import type { FieldFigureId } from '../facts/figureId'
import { heartOf, routes, type Plan, type RouteId } from '../plan'

/** What a route costs: once for the shop, and again for each machine. */
interface Prices {
  once?: FieldFigureId
  each?: FieldFigureId
  /** True where it does away with this machine's motor, or needs a three-phase one. */
  wantsMotor: boolean
}

const prices: Readonly<Record<RouteId, Prices>> = {
  'drive-each': { each: 'route.drivePrice', wantsMotor: true },
  'converter-starters': { once: 'route.converterPrice', each: 'route.starterPrice', wantsMotor: true },
  'converter-drives': { once: 'route.converterPrice', each: 'route.smallDrivePrice', wantsMotor: true },
  'keep-dc': { once: 'route.dcRepairPrice', wantsMotor: false },
  'fixed-dc': { once: 'route.fixedDcPrice', wantsMotor: false },
  'small-dc': { once: 'route.smallDcPrice', wantsMotor: false },
  brushless: { once: 'route.brushlessPrice', wantsMotor: false },
  kit: { once: 'route.kitPrice', wantsMotor: false },
}

/** Routes that feed the whole shop; the others are for this machine alone. */
export const shopRoutes: readonly RouteId[] = ['drive-each', 'converter-starters', 'converter-drives']

/** Whether this machine's motor must be replaced before a three-phase route can run it. */
export const replacesMotor = ({ motor }: Plan): boolean =>
  motor.kind !== undefined && !['induction', 'high-frequency', 'pole-changing'].includes(motor.kind)

/** Phases that the DC machine's own system wants: as told, or by its bridge; undefined while neither says. */
export function ownSystemWants(plan: Plan): 'one' | 'three' | undefined {
  const { rectifier } = plan.dcDrive
  if (plan.route.dcPhases !== undefined || heartOf(plan) !== 'dc') return plan.route.dcPhases
  return rectifier === 'one-phase' ? 'one' : rectifier === 'three-phase' ? 'three' : undefined
}

/** Whether a system that is kept was made for three phases, where the wall has one: a converter is to be bought with it. */
export const wantsConverter = (plan: Plan, id: RouteId): boolean =>
  id === 'keep-dc' && ownSystemWants(plan) === 'three' && plan.supply.phases === 1

/** Cost of a route for a number of machines, this one counted. */
export function routeCost(plan: Plan, ledger: Ledger, route: RouteId, machines: number): FigureState {
  const { once, each = wantsConverter(plan, route) ? 'route.converterPrice' : undefined, wantsMotor } = prices[route]
  const of = machines === 1 ? 'machine' : 'machines'
  return ledger.derive(
    routeCostRule,
    'cost',
    named(`route.${route}.cost.${machines}`, `${routes[route]}: cost for ${machines} ${of}`, 'money'),
    {
      once: once && ledger.given(once),
      each: each && ledger.given(each),
      motor: wantsMotor && replacesMotor(plan) ? ledger.given('route.motorPrice') : undefined,
      machines: choice(machines, 'Machines fed so'),
    },
  )
}

/** From how many machines on a converter is cheaper than a drive on each; not known where it never is, or prices are not. */
export function crossover(ledger: Ledger, route: 'converter-starters' | 'converter-drives'): FigureState {
  const naming = named(`route.${route}.crossover`, `${routes[route]}: cheaper than a drive each from`, 'number')
  const each = ledger.given(route === 'converter-starters' ? 'route.starterPrice' : 'route.smallDrivePrice')
  const drive = ledger.given('route.drivePrice')
  if (isKnown(each) && isKnown(drive) && each.value >= drive.value)
    return ledger.block(naming, [], 'Never: what each machine then still needs costs as much as a drive')
  const made = ledger.derive(crossoverRule, 'machines', naming, {
    converter: ledger.given('route.converterPrice'),
    each,
    drive,
  })
  return isKnown(made) || made.refusal === undefined
    ? made
    : ledger.block(naming, [], `Never in one shop: not before ${MOST_MACHINES} machines`)
}
