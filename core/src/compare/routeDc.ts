import { dcSpeed } from '../dc'
import type { Evaluation } from '../evaluate/evaluate'
import { isKnown, type Reading } from '../evaluate/figure'
import type { Ledger, Naming } from '../evaluate/ledger'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { ratedTorque } from '../motor'
import type { Plan, RouteId } from '../plan'
import type { SlowestJob, SlowTorque } from './slowestJob'
import { torqueSource } from '../evaluate/torqueSource'

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
  const { torqueNm } = ledger.compute(
    ratedTorque,
    { torqueNm: { id: 'route.dc.torque', label: 'DC motor: rated torque', dimension: 'torque' } },
    { powerW: ledger.given('route.dcPowerW'), speedRpm: ledger.given('route.dcBaseRpm') },
  )
  const position = evaluation.positions.find((p) => p.name === slowest?.position) ?? evaluation.positions[0]
  const ratio = position && ledger.figures[position.speedRatio]
  const efficiency = position && ledger.figures[`position.${position.id}.efficiency`]
  if (!isKnown(torqueNm) || !ratio || !efficiency) return { slowNm: ledger.block(naming, [torqueNm]), slowSays: '' }
  return {
    slowNm: ledger.stated(
      naming,
      (torqueNm.value * efficiency.value) / ratio.value,
      'computed',
      [torqueNm, ratio, efficiency],
      'Full field: rated torque from standstill to base speed, while the motor is kept cool',
    ),
    slowSays: `${position.name}, field full${id === 'small-dc' ? '; weakened by hand it has less' : ''}`,
  }
}

/** The AC motor and drive, the DC drive kept, and the small one with the field left weak, drawn together. */
export function dcCurves(plan: Plan, evaluation: Evaluation, slowest: SlowestJob | undefined): DcCurves | undefined {
  const { dcPowerW, dcBaseRpm, dcTopRpm = dcBaseRpm } = plan.route
  const position = evaluation.positions.find((p) => p.name === slowest?.position) ?? evaluation.positions[0]
  const value = (id: string) => evaluation.figures[id]?.value
  const ratio = position && value(position.speedRatio)
  const efficiency = position && value(`position.${position.id}.efficiency`)
  if (dcPowerW === undefined || dcBaseRpm === undefined || dcTopRpm === undefined || !position || !ratio || !efficiency)
    return undefined
  const rated = dcPowerW / angularSpeed(dcBaseRpm)
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
  const source = torqueSource(plan, evaluation)
  return {
    position: position.name,
    ways: [
      ...(source
        ? [
            {
              id: 'drive-each' as const,
              name: 'AC motor and drive, all day',
              points: Array.from({ length: STEPS + 1 }, (_, i) =>
                source.at(Math.max(source.lowestHz, (source.highestHz * i) / STEPS)),
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
  energyJ: Reading
}

/** Heat of one reversal of the heaviest thing, at the top of the position used most, on each of the three. */
export function reversals(plan: Plan, ledger: Ledger): Reversal[] {
  if (plan.route.dcPowerW === undefined || plan.controls.reverseWanted === false) return []
  const inertia = ledger.figures['stop.inertia']
  const main = plan.survey.mainPositionId ?? plan.survey.positions[0]?.id ?? ''
  const speed = ledger.figures[`position.${main}.unloadedTopRpm`]
  const stored = (id: RouteId, label: string, times: number, note: string): Reading => {
    const naming = { id: `route.${id}.reversalJ`, label, dimension: 'energy' as const }
    if (!inertia || !speed)
      return ledger.block(naming, [{ id: 'survey.holders', label: 'Size of what spins', missing: ['survey.holders'] }])
    return ledger.stated(
      naming,
      times * 0.5 * inertia.value * angularSpeed(speed.value) ** 2,
      'computed',
      [inertia, speed],
      note,
    )
  }
  const resistor = plan.drive.resistorFitted === true
  return [
    {
      route: 'drive-each',
      says: resistor ? 'goes into the brake resistor' : 'must be swallowed by the bus, so the ramp is long',
      energyJ: stored(
        'drive-each',
        'AC drive: energy of each stop before a reversal',
        1,
        'J w^2/2 at the top of the position used most',
      ),
    },
    {
      route: 'keep-dc',
      says: 'goes back to the mains where the drive is made for it, else into its braking resistor',
      energyJ: stored(
        'keep-dc',
        'DC drive: energy of each stop before a reversal',
        1,
        'J w^2/2 at the top of the position used most',
      ),
    },
    {
      route: 'small-dc',
      says: 'heats the armature if it is plugged: once to stop it and twice to turn it the other way; wait for standstill',
      energyJ: stored(
        'small-dc',
        'Small DC drive: heat in the motor if reversed while turning',
        3,
        'Three times J w^2/2: what it stores, and twice that drawn from the supply',
      ),
    },
  ]
}
