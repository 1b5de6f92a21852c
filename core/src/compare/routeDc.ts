import { dcSpeed } from '../dc'
import type { Evaluation } from '../evaluate/evaluate'
import { isKnown, type FigureState } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import { choice, named, unknownField, type Ledger, type Naming } from '../facts/ledger'
import { rotationalEnergy, spindleTorque } from '../drivetrain'
import { ratedTorque } from '../motor'
import type { Plan, RouteId } from '../plan'
import type { SlowestJob, SlowTorque } from './slowestJob'
import { torqueCurve } from '../facts/motor/torqueCurve'

/** Torque at the spindle over its speed, on one belt position, of the three ways to turn a toolroom lathe. */
export interface DcCurves {
  position: string
  ways: { id: RouteId; name: string; points: { rpm: number; torqueNm: number }[] }[]
}

const STEPS = 60

/** Torque of the DC motor at the slowest job, field full: constant below base speed. */
export function dcTorque(
  ledger: Ledger,
  evaluation: Evaluation,
  id: RouteId,
  naming: Naming,
  slowest: SlowestJob | undefined,
): SlowTorque {
  const torqueNm = ledger.derive(
    ratedTorque,
    'torqueNm',
    named('route.dc.torque', 'DC motor: rated torque', 'torque'),
    {
      powerW: ledger.given('route.dcPowerW'),
      speedRpm: ledger.given('route.dcBaseRpm'),
    },
  )
  const position = evaluation.positions.find((p) => p.name === slowest?.position) ?? evaluation.positions[0]
  const ratio = position && ledger.figures[position.speedRatio]
  const efficiency = position && ledger.figures[`position.${position.id}.efficiency`]
  if (!isKnown(torqueNm) || !ratio || !efficiency) return { slowNm: ledger.block(naming, [torqueNm]), slowSays: '' }
  return {
    // Full field: rated torque from standstill to base speed, while the motor is kept cool.
    slowNm: ledger.derive(spindleTorque, 'torqueNm', naming, { torqueNm, speedRatio: ratio, efficiency }),
    slowSays: `${position.name}, field full${id === 'small-dc' ? '; weakened by hand it has less' : ''}`,
  }
}

/** The AC motor and drive, the DC drive kept, and the small one with the field left weak, drawn together. */
export function dcCurves(plan: Plan, evaluation: Evaluation, slowest: SlowestJob | undefined): DcCurves | undefined {
  const { dcPowerW, dcBaseRpm, dcTopRpm = dcBaseRpm } = plan.route
  const position = evaluation.positions.find((p) => p.name === slowest?.position) ?? evaluation.positions[0]
  const value = (id: FigureId) => evaluation.figures[id]?.value
  const ratio = position && value(position.speedRatio)
  const efficiency = position && value(`position.${position.id}.efficiency`)
  if (dcPowerW === undefined || dcBaseRpm === undefined || dcTopRpm === undefined || !position || !ratio || !efficiency)
    return undefined
  const made = ratedTorque.run({ powerW: dcPowerW, speedRpm: dcBaseRpm })
  const rated = made.ok ? made.value.torqueNm : 0
  const atSpindle = (motorRpm: number, motorNm: number) => ({
    rpm: motorRpm * ratio,
    torqueNm: (motorNm * efficiency) / ratio,
  })
  const weakest = Math.min(1, dcBaseRpm / dcTopRpm)
  const over = (top: number, torque: (rpm: number) => number) =>
    Array.from({ length: STEPS + 1 }, (_, i) => {
      const rpm = (top * i) / STEPS
      return atSpindle(rpm, torque(rpm))
    })
  const kept = over(dcTopRpm, (rpm) => {
    const field = Math.min(1, dcBaseRpm / Math.max(rpm, 1))
    const at = dcSpeed.run({
      baseRpm: dcBaseRpm,
      armatureFraction: Math.min(1, rpm / dcBaseRpm),
      fieldFraction: Math.max(field, 0.11),
    })
    return at.ok ? rated * at.value.torqueFraction : 0
  })
  const curve = evaluation.torque && torqueCurve(evaluation.torque)
  return {
    position: position.name,
    ways: [
      ...(curve
        ? [
            {
              id: 'drive-each' as const,
              name: 'AC motor and drive, all day',
              points: Array.from({ length: STEPS + 1 }, (_, i) =>
                curve.at(Math.max(curve.lowestRpm, (curve.highestRpm * i) / STEPS)),
              ).flatMap((p) => (p.continuousNm === undefined ? [] : [atSpindle(p.motorRpm, p.continuousNm)])),
            },
          ]
        : []),
      { id: 'keep-dc', name: 'DC drive kept', points: kept },
      {
        id: 'small-dc',
        name: weakest < 1 ? 'Small DC drive, field left at its weakest' : 'Small DC drive',
        points: over(dcTopRpm, () => rated * weakest),
      },
    ],
  }
}

/** Where the energy of a reversal goes. */
export interface Reversal {
  route: RouteId
  says: string
  energyJ: FigureState
}

/** Heat of one reversal of the heaviest thing, at the top of the position used most, on each of the three. */
export function reversals(plan: Plan, ledger: Ledger): Reversal[] {
  if (plan.route.dcPowerW === undefined || plan.controls.reverseWanted === false) return []
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
      route: 'small-dc',
      says: 'heats armature and resistor if it is plugged, three times to stop it and once to run it up again, and takes as much from the supply, half for each; wait for standstill',
      energyJ: stored('small-dc', 'Small DC drive: heat in armature and resistor if reversed while turning', 4),
    },
  ]
}
