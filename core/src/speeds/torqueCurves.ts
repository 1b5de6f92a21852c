import { angularSpeed } from '../drivetrain/angularSpeed'
import type { Evaluation } from '../evaluate/evaluation'
import { torqueCurve } from '../facts/motor/torqueCurve'
import type { TorquePoint } from '../facts/motor/torquePoint'
import { fieldWeakeningHz } from '../facts/motor/inductionCurve'
import { hertzAtRpm, rpmAtHertz } from '../motor'
import type { Plan } from '../plan'

/** A point of a motor that has hertz. */
export type HertzPoint = TorquePoint & { frequencyHz: number }

export interface TorqueCurves {
  points: HertzPoint[]
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
  { frequencyHz, motorRpm }: HertzPoint,
  torqueNm: number,
): number {
  // Slip grows with torque, and with the square of the field that is missing.
  const slip = slipRpm * (torqueNm / slipNm) * Math.max(1, frequencyHz / baseHz) ** 2
  return torqueNm * angularSpeed(motorRpm - Math.min(slip, PULLED_OUT * motorRpm))
}

const STEPS = 120
/** Drawn a little past the last limit, so that it is seen. */
const BEYOND = 1.08
/** Where the curves begin: at standstill not all of them are known. */
const FIRST_HZ = 0.5

/** Torque against hertz for a plan, worked out when asked for; undefined where its motor has no hertz, or too little is known. */
export function torqueCurves(plan: Plan, { torque }: Evaluation): TorqueCurves | undefined {
  if (torque?.of !== 'induction') return undefined
  const { poles, safeRpm, baseHz, lowestHz, highestHz } = torque
  const { at, slipNm, slipRpm } = torqueCurve(torque)
  const weakeningHz = fieldWeakeningHz(torque)
  const mechanicalHz = safeRpm === undefined ? undefined : hertzAtRpm(safeRpm, poles)
  const end = Math.max(highestHz, mechanicalHz ?? 0, weakeningHz) * BEYOND
  return {
    points: Array.from({ length: STEPS + 1 }, (_, i) => {
      const frequencyHz = Math.max(FIRST_HZ, (end * i) / STEPS)
      return { ...at(rpmAtHertz(frequencyHz, poles)), frequencyHz }
    }),
    baseHz,
    fieldWeakeningHz: weakeningHz,
    ...(mechanicalHz === undefined ? {} : { mechanicalHz }),
    lowestHz,
    highestHz,
    typical: plan.motor.breakdownRatio === undefined,
    slipNm,
    slipRpm,
  }
}
