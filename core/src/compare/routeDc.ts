import type { Evaluation } from '../evaluate/evaluation'
import type { PlanningTables } from '../data/planningValues'
import { numberOf, type FigureState } from '../facts/figure'
import { choice, named, unknownField, type Ledger } from '../facts/ledger'
import { rotationalEnergy } from '../drivetrain'
import type { Plan, RouteId } from '../plan'
import { torqueCurve } from '../facts/motor/torqueCurve'
import { onItsCurrent } from './dcMotor'
import { dcWayNames, type DcRouteId } from './dcWay'
import type { dcWays } from './dcWays'
import type { ThreePhaseSide } from './threePhaseSide'

/** Torque at the spindle over its speed, on one belt position, of the ways to turn a toolroom lathe. */
export interface DcCurves {
  position: string
  curves: { id: RouteId; name: string; points: { rpm: number; torqueNm: number }[] }[]
}

const STEPS = 60

/** Torque over the spindle's speed, on the position that does most of the jobs with the drive kept. */
export function dcCurves(
  plan: Plan,
  evaluation: Evaluation,
  side: ThreePhaseSide,
  { motor, ways }: ReturnType<typeof dcWays>,
  tables: PlanningTables,
): DcCurves | undefined {
  const { ledger } = side
  const kept = ways.find((w) => w.id === 'keep-dc')
  const position = evaluation.positions.find((p) => p.name === kept?.span?.position) ?? evaluation.positions[0]
  const ratio = position && numberOf(ledger.figures[position.speedRatio])
  const efficiency = position && numberOf(ledger.figures[`position.${position.id}.efficiency`])
  const [baseRpm, topRpm] = [motor?.baseRpm, motor?.topRpm].map(numberOf)
  if (!motor || baseRpm === undefined || topRpm === undefined || !position || !ratio || !efficiency) return undefined
  const over = (toRpm: number, torque: (rpm: number) => number | undefined, fromRpm = 0) =>
    Array.from({ length: STEPS + 1 }, (_, i) => Math.max(fromRpm, (toRpm * i) / STEPS)).flatMap((motorRpm) => {
      const torqueNm = torque(motorRpm)
      return torqueNm === undefined ? [] : [{ rpm: motorRpm * ratio, torqueNm: (torqueNm * efficiency) / ratio }]
    })
  const ratedNm = (id: DcRouteId) => numberOf(onItsCurrent(id, plan, evaluation, ledger, motor, tables)) ?? 0
  const [keptNm, fixedNm, byHandNm] = [ratedNm('keep-dc'), ratedNm('fixed-dc'), ratedNm('small-dc')]
  const byField = (rpm: number) => Math.min(1, baseRpm / Math.max(rpm, 1))
  const curve = side.evaluation.torque && torqueCurve(side.evaluation.torque)
  const weakest = baseRpm / topRpm
  return {
    position: position.name,
    curves: [
      ...(curve
        ? [
            {
              id: 'drive-each' as const,
              name: 'AC motor and drive, all day',
              points: over(curve.highestRpm, (rpm) => curve.at(rpm).continuousNm, curve.lowestRpm),
            },
          ]
        : []),
      { id: 'keep-dc', name: dcWayNames['keep-dc'], points: over(topRpm, (rpm) => keptNm * byField(rpm)) },
      { id: 'fixed-dc', name: dcWayNames['fixed-dc'], points: over(baseRpm, () => fixedNm) },
      ...(weakest < 1
        ? [
            {
              id: 'small-dc' as const,
              name: 'DC drive, field left at its weakest',
              points: over(topRpm, () => byHandNm * weakest),
            },
          ]
        : []),
    ],
  }
}

/** Where the energy of a reversal goes. */
export interface Reversal {
  route: RouteId
  says: string
  energyJ: FigureState
}

/** Heat of one reversal of the heaviest thing, at the top of the position used most, each way. */
export function reversals(plan: Plan, ledger: Ledger): Reversal[] {
  if (plan.controls.reverseWanted === false) return []
  const inertia = ledger.figures['stop.inertia']
  const main = plan.survey.mainPositionId ?? plan.survey.positions[0]?.id ?? ''
  const speed = ledger.figures[`position.${main}.unloadedTopRpm`]
  const stored = (id: RouteId, label: string, times: number): FigureState => {
    const naming = named(`route.${id}.reversalJ`, label, 'energy')
    if (!inertia || !speed) return ledger.block(naming, [unknownField('survey.holders', 'Size of what spins')])
    return ledger.derive(rotationalEnergy, 'energyJ', naming, {
      inertiaKgM2: inertia,
      speedRpm: speed,
      times: choice(times, 'Times what it stores'),
    })
  }
  const resistor = plan.drive.resistor !== undefined
  return [
    {
      route: 'drive-each',
      says: resistor ? 'goes into the brake resistor' : 'must be swallowed by the bus, so the ramp is long',
      energyJ: stored('drive-each', 'AC drive: energy of each stop before a reversal', 1),
    },
    {
      route: 'keep-dc',
      says: 'goes back to the mains where the drive is made for it, else into its braking resistor',
      energyJ: stored('keep-dc', 'DC drive: energy of each stop before a reversal', 1),
    },
    {
      route: 'fixed-dc',
      says: 'heats armature and resistor if it is plugged, three times to stop it and once to run it up again, and takes as much from the supply, half for each; wait for standstill',
      energyJ: stored('fixed-dc', 'Small DC drive: heat in armature and resistor if reversed while turning', 4),
    },
  ]
}
