import { typicalMotorEfficiency, motorEfficiency } from '../data/motorEfficiency'
import type { PlanningTables } from '../data/planningValues'
import { inputCurrent } from '../drive'
import type { Evaluation } from '../evaluate/evaluation'
import { isKnown, type FigureState } from '../facts/figure'
import { named, type Ledger } from '../facts/ledger'
import { fullLoadCurrent } from '../motor'
import { routes, supplyUnits, type Plan, type RouteId } from '../plan'
import { behindSupplyUnit } from '../supply'
import { isDcRoute } from './dcWay'
import { wantsConverter } from './routeCosts'

/** A machine that is fed: this one, or another of the shop. */
export interface Fed {
  key: string
  name: string
  powerW: FigureState
  hardStart: boolean
  runsTogether: boolean
}

/** Every machine that may be fed, this one first. */
export const fedMachines = (plan: Plan, ledger: Ledger): Fed[] => [
  {
    key: 'this',
    name: plan.name,
    powerW: ledger.given('motor.powerW'),
    hardStart: false,
    runsTogether: true,
  },
  ...plan.route.machines.map((m, i) => ({
    key: m.id,
    name: m.name?.trim() || `Machine ${i + 2}`,
    powerW: ledger.given(`route.machines.${i}.powerW`, `${m.name?.trim() || `Machine ${i + 2}`}: motor`),
    hardStart: m.hardStart ?? false,
    runsTogether: m.runsTogether ?? false,
  })),
]

/** cos phi of a loaded small motor straight on the mains. */
const MOTOR_POWER_FACTOR = 0.8
/** Efficiency of a small brushless or DC motor. */
const SMALL_MOTOR = 0.82

/** Wall amps of one machine at full load on a route. */
export function wallAmps(
  plan: Plan,
  ledger: Ledger,
  tables: PlanningTables,
  evaluation: Evaluation,
  route: RouteId,
  fed: Fed,
  powerW: FigureState = fed.powerW,
): FigureState {
  const { planning } = tables
  const id = `route.${route}.${fed.key}` as const
  const naming = named(`${id}.wallA`, `${routes[route]}, ${fed.name}: wall amps`, 'current')
  if (!isKnown(powerW)) return ledger.block(naming, [powerW])
  const supplyV = ledger.given('supply.voltageV', 'Supply volts')
  const phases = ledger.given('supply.phases', 'Supply phases')
  const own = fed.key === 'this' ? evaluation.figures['motor.efficiency'] : undefined
  const brushed = isDcRoute(route) || route === 'brushless'
  const motorEta = brushed
    ? ledger.typical(
        { id: `${id}.eta`, label: `${fed.name}: efficiency`, dimension: 'fraction' },
        SMALL_MOTOR,
        'Planning value for small DC and brushless motors',
      )
    : (own ??
      ledger.typical(
        { id: `${id}.eta`, label: `${fed.name}: efficiency`, dimension: 'fraction' },
        typicalMotorEfficiency(powerW.value),
        motorEfficiency.citation,
      ))
  const driveEta = ledger.typical(
    { id: 'drive.efficiency', label: 'Drive efficiency', dimension: 'fraction' },
    planning.driveEfficiency.value,
    planning.driveEfficiency.citation,
    'overrides.driveEfficiency',
  )
  const lambda = (three: boolean) =>
    ledger.typical(
      {
        id: three ? 'route.lambda3' : 'route.lambda1',
        label: three ? 'True power factor, three phases' : 'True power factor, one phase',
        dimension: 'fraction',
      },
      three ? planning.truePowerFactorThreePhase.value : planning.truePowerFactorSinglePhase.value,
      three ? planning.truePowerFactorThreePhase.citation : planning.truePowerFactorSinglePhase.citation,
    )
  const three = { raw: 3, shown: 3, label: 'Phases' }
  const taken = (name: typeof naming, count: FigureState | typeof three, factor: FigureState): FigureState =>
    ledger.compute(
      inputCurrent,
      { currentA: name },
      {
        shaftW: powerW,
        motorEfficiency: motorEta,
        driveEfficiency: driveEta,
        supplyV,
        phases: count,
        powerFactor: factor,
      },
    ).currentA
  // All are told at the wall: what stands behind a converter or transformer of the plan is carried through it.
  const unit = plan.supply.supplyUnit ?? 'mains'
  const behindUnit = unit !== 'mains' && unit !== 'generator'
  const atWallV = behindUnit ? ledger.given('supply.wallVoltageV', 'Volts at the wall') : supplyV
  const ownConverter = wantsConverter(plan, route)
  if (route !== 'converter-starters' && route !== 'converter-drives' && !ownConverter) {
    const factor = lambda(isKnown(phases) && phases.value === 3)
    if (!behindUnit) return taken(naming, phases, factor)
    const behind = named(`${id}.unitA`, `${fed.name}: amps behind ${supplyUnits[unit].toLowerCase()}`, 'current')
    return ledger.compute(
      behindSupplyUnit,
      { currentA: naming },
      {
        loadA: taken(behind, phases, factor),
        loadV: supplyV,
        loadPhases: phases,
        wallV: atWallV,
        wallPhases: unit === 'transformer' ? phases : { raw: 1, shown: 1, label: 'Phases at the wall' },
        efficiency: ledger.typical(
          { id: 'supply.unitEfficiency', label: 'Efficiency of converter or transformer', dimension: 'fraction' },
          unit === 'transformer' ? planning.transformerEfficiency.value : planning.rotaryEfficiency.value,
          unit === 'transformer' ? planning.transformerEfficiency.citation : planning.rotaryEfficiency.citation,
          'overrides.supplyUnitEfficiency',
        ),
      },
    ).currentA
  }
  const inner = named(`${id}.loadA`, `${fed.name}: amps behind the converter`, 'current')
  const loadA =
    route !== 'converter-starters'
      ? taken(inner, three, lambda(true))
      : ledger.compute(
          fullLoadCurrent,
          { currentA: inner },
          {
            powerW,
            voltageV: supplyV,
            efficiency: motorEta,
            powerFactor: ledger.typical(
              { id: 'route.cosPhi', label: 'cos phi of a loaded motor', dimension: 'number' },
              MOTOR_POWER_FACTOR,
              'Planning value for small four-pole motors at full load',
            ),
          },
        ).currentA
  return ledger.compute(
    behindSupplyUnit,
    { currentA: naming },
    {
      loadA,
      loadV: supplyV,
      loadPhases: three,
      wallV: atWallV,
      wallPhases: { raw: 1, shown: 1, label: 'Phases at the wall' },
      efficiency: ledger.typical(
        { id: 'route.converterEfficiency', label: 'Efficiency of the converter', dimension: 'fraction' },
        planning.rotaryEfficiency.value,
        planning.rotaryEfficiency.citation,
        'overrides.supplyUnitEfficiency',
      ),
    },
  ).currentA
}
