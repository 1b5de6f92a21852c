import { dcFormFactor } from '../dc'
import type { PlanningTables } from '../data/planningValues'
import type { Evaluation } from '../evaluate/evaluation'
import { isKnown, type FigureState } from '../facts/figure'
import { choice, named, type Ledger } from '../facts/ledger'
import { ratedTorque } from '../motor'
import { hasFedField, heartOf, type Plan } from '../plan'
import type { DcRouteId } from './dcWay'
import { dcWayNames } from './dcWay'

/** A DC motor that stands here: the planned one, or one whose plate is typed with the routes. */
export interface DcMotor {
  powerW: FigureState
  baseRpm: FigureState
  topRpm: FigureState
  torqueNm: FigureState
}

/** The DC motor's plate, booked once; undefined while nothing says that there is one. */
export function dcMotor(plan: Plan, evaluation: Evaluation, ledger: Ledger): DcMotor | undefined {
  const isMotor = heartOf(plan) === 'dc'
  if (!isMotor && plan.route.dcPowerW === undefined && plan.route.dcBaseRpm === undefined) return undefined
  const of = isMotor
    ? (['motor.powerW', 'motor.ratedSpeedRpm', 'motor.maximumRpm'] as const)
    : (['route.dcPowerW', 'route.dcBaseRpm', 'route.dcTopRpm'] as const)
  // The comparison's ledger holds an AC motor in the planned one's place: these are booked under names of their own.
  const own = (path: (typeof of)[number], naming: ReturnType<typeof named>): FigureState => {
    if (!isMotor) return ledger.given(path)
    const found = evaluation.figures[path] ?? evaluation.blocked[path]
    if (found && isKnown(found)) return ledger.stated(naming, found.value, 'given', [])
    return ledger.block(naming, [found ?? { id: path, label: naming.label, missing: [path] }])
  }
  const powerW = own(of[0], named('route.dc.powerW', 'DC motor: power', 'power'))
  const baseRpm = own(of[1], named('route.dc.baseRpm', 'DC motor: base speed', 'speed'))
  const plateTop = own(of[2], named('route.dc.topRpm', 'DC motor: top speed by field', 'speed'))
  const weakens = isMotor ? hasFedField(plan) : true
  return {
    powerW,
    baseRpm,
    // A plate that prints one speed has no other.
    topRpm: weakens && isKnown(plateTop) ? plateTop : baseRpm,
    torqueNm: ledger.derive(
      ratedTorque,
      'torqueNm',
      named('route.dc.torque', 'DC motor: rated torque, full field', 'torque'),
      { powerW, speedRpm: baseRpm },
    ),
  }
}

/** Rated torque, less what the ripple of the current costs: of its own drive by what is known of it, of a new one by the wall's phases. */
export function onItsCurrent(
  id: DcRouteId,
  plan: Plan,
  evaluation: Evaluation,
  ledger: Ledger,
  motor: DcMotor,
  tables: PlanningTables,
): FigureState {
  const isOwn = id === 'keep-dc' || plan.dcDrive.source === 'modern'
  const own = evaluation.figures['dc.formFactor']
  // A drive that is kept feeds the motor as its plate was made for, unless more is known of its current.
  if (id === 'keep-dc' && !own) return motor.torqueNm
  const three = plan.supply.phases === 3
  const formFactor =
    isOwn && own
      ? ledger.stated(named(`route.${id}.formFactor`, own.label, 'number'), own.value, own.basis, [], own.citation)
      : ledger.typical(
          named(`route.${id}.formFactor`, 'Form factor of a new drive’s current', 'number'),
          tables.planning[three ? 'formFactorThreePhase' : 'formFactorOnePhase'].value,
          tables.planning[three ? 'formFactorThreePhase' : 'formFactorOnePhase'].citation,
        )
  return ledger.derive(
    dcFormFactor,
    'continuousNm',
    named(`route.${id}.torque`, `${dcWayNames[id]}: torque all day, full field`, 'torque'),
    { ratedA: choice(1, 'Rated amps, as one'), formFactor, ratedTorqueNm: motor.torqueNm },
  )
}
