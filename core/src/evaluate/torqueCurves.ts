import { shippedLibrary, type Library } from '../data/planningValues'
import { angularSpeed } from '../drivetrain/angularSpeed'
import type { Plan } from '../plan'
import type { Evaluation } from './evaluate'
import { torqueSource, type TorquePoint } from './torqueSource'

export interface TorqueCurves {
  points: TorquePoint[]
  baseHz: number
  /** Up to here rated power is held; beyond, pull-out limits it. */
  fieldWeakeningHz: number
  /** Where the motor reaches its safe speed, if that is known. */
  mechanicalHz?: number
  /** Hertz the plan goes between. */
  lowestHz: number
  highestHz: number
  /** True where the pull-out is a typical value. */
  typical: boolean
  /** Torque that the plate's slip belongs to, with the field there is. */
  slipNm: number
  /** Rpm lost at `slipNm`, up to base; none where the drive makes up for it. */
  slipRpm: number
}

/** No curve is drawn where a motor would slip by more than this: it has pulled out there. */
const PULLED_OUT = 0.3

/** Shaft power in W at a torque on the curves, at the speed to which that torque pulls the motor. */
export function shaftPower(
  { slipNm, slipRpm, baseHz }: Pick<TorqueCurves, 'slipNm' | 'slipRpm' | 'baseHz'>,
  { frequencyHz, motorRpm }: TorquePoint,
  torqueNm: number,
): number {
  // Slip grows with torque, and with the square of the field that is missing.
  const slip = slipRpm * (torqueNm / slipNm) * Math.max(1, frequencyHz / baseHz) ** 2
  return torqueNm * angularSpeed(motorRpm - Math.min(slip, PULLED_OUT * motorRpm))
}

const STEPS = 120
/** Drawn a little past the last limit, so that it is seen. */
const BEYOND = 1.08

/** Torque against hertz for a plan, worked out when asked for. */
export function torqueCurves(
  plan: Plan,
  evaluation: Evaluation,
  library: Library = shippedLibrary,
): TorqueCurves | undefined {
  const source = torqueSource(plan, evaluation, library)
  if (!source) return undefined
  const { at, mechanicalHz, ...marks } = source
  const end = Math.max(marks.highestHz, mechanicalHz ?? 0, marks.fieldWeakeningHz) * BEYOND
  return {
    points: Array.from({ length: STEPS + 1 }, (_, i) => at(Math.max(0.5, (end * i) / STEPS))),
    ...marks,
    ...(mechanicalHz === undefined ? {} : { mechanicalHz }),
    typical: plan.motor.breakdownRatio === undefined,
  }
}
