import { isKnown, numberOf, type Reading } from '../evaluate/figure'
import type { Ledger } from '../evaluate/ledger'
import { routes, type Plan, type RouteId } from '../plan'

/** What a route costs: once for the shop, and again for each machine. */
interface Prices {
  once?: string
  each?: string
  /** True where it does away with this machine's motor, or needs a three-phase one. */
  wantsMotor: boolean
}

const prices: Readonly<Record<RouteId, Prices>> = {
  'drive-each': { each: 'route.drivePrice', wantsMotor: true },
  'converter-starters': { once: 'route.converterPrice', each: 'route.starterPrice', wantsMotor: true },
  'converter-drives': { once: 'route.converterPrice', each: 'route.smallDrivePrice', wantsMotor: true },
  'keep-dc': { once: 'route.dcRepairPrice', wantsMotor: false },
  'small-dc': { once: 'route.smallDcPrice', wantsMotor: false },
  brushless: { once: 'route.brushlessPrice', wantsMotor: false },
  kit: { once: 'route.kitPrice', wantsMotor: false },
}

/** Routes that feed the whole shop; the others are for this machine alone. */
export const shopRoutes: readonly RouteId[] = ['drive-each', 'converter-starters', 'converter-drives']

/** Whether this machine's motor must be replaced before a three-phase route can run it. */
export const replacesMotor = ({ motor }: Plan): boolean =>
  motor.kind !== undefined && !['three-phase', 'one-winding', 'high-frequency', 'two-speed'].includes(motor.kind)

/** Cost of a route for a number of machines, this one counted; a figure of its own where `id` names one. */
export function routeCost(plan: Plan, ledger: Ledger, route: RouteId, machines: number): Reading {
  const { once, each, wantsMotor } = prices[route]
  const motor = wantsMotor && replacesMotor(plan) ? ledger.given('route.motorPrice') : undefined
  const [onceR, eachR] = [once, each].map((path) => (path === undefined ? undefined : ledger.given(path)))
  const from = [onceR, eachR, motor].filter((r) => r !== undefined)
  const naming = {
    id: `route.${route}.cost.${machines}`,
    label: `${routes[route]}: cost for ${machines} ${machines === 1 ? 'machine' : 'machines'}`,
    dimension: 'money' as const,
  }
  if (from.some((r) => !isKnown(r))) return ledger.block(naming, from)
  return ledger.stated(
    naming,
    (numberOf(onceR) ?? 0) + machines * (numberOf(eachR) ?? 0) + (numberOf(motor) ?? 0),
    'computed',
    from,
    'Once for the shop, again for each machine, and a three-phase motor where this one must go; prices as typed',
  )
}

/** More than any shop has. */
const MOST_MACHINES = 100

/** From how many machines on a converter is cheaper than a drive on each; undefined where it never is, or prices are not known. */
export function crossover(ledger: Ledger, route: 'converter-starters' | 'converter-drives'): Reading {
  const naming = {
    id: `route.${route}.crossover`,
    label: `${routes[route]}: cheaper than a drive each from`,
    dimension: 'number' as const,
  }
  const { each } = prices[route]
  const [converter, own, drive] = [
    ledger.given('route.converterPrice'),
    ledger.given(each ?? ''),
    ledger.given('route.drivePrice'),
  ]
  const [c, e, d] = [converter, own, drive].map(numberOf)
  if (c === undefined || e === undefined || d === undefined) return ledger.block(naming, [converter, own, drive])
  if (e >= d) return ledger.block(naming, [], 'Never: what each machine then still needs costs as much as a drive')
  const machines = Math.floor(c / (d - e)) + 1
  if (machines > MOST_MACHINES)
    return ledger.block(naming, [], `Never in one shop: not before ${MOST_MACHINES} machines`)
  return ledger.stated(
    naming,
    machines,
    'computed',
    [converter, own, drive],
    'First whole number above: converter over (a drive each less what each still needs)',
  )
}
