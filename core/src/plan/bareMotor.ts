import { isOfMachine } from './heart'
import type { Plan, Position } from './plan'
import type { PlanPath } from './planPath'

/** What only a machine has in which the motor drives a spindle. */
const OF_A_SPINDLE =
  /^survey\.(?:positions|mainPositionId|jobs|holders|spindleNose|noseThreadMm|noseSeat|seatTorqueNm|originalTopRpm|motorFaces)(?:\.|$)/

/** The shaft of a motor on the bench, as the one position there is: coupled to itself. */
const shaft: Position = { id: 'shaft', name: 'Motor shaft', transmission: [{ kind: 'direct' }] }

/** A motor on the bench drives nothing: no belts, no spindle, no work. */
export const isBareMotor = ({ survey }: Plan): boolean => survey.machineKind === 'bare-motor'

/**
 * The plan as it is judged. A motor on the bench turns its own shaft, seen at its end, and nothing else; what was typed
 * of a machine before stays in the plan and is left alone. Any other plan is judged as it stands.
 */
export function asJudged(plan: Plan): Plan {
  if (!isBareMotor(plan)) return plan
  return {
    ...plan,
    survey: {
      ...plan.survey,
      spindleNose: 'none',
      noseThreadMm: undefined,
      noseSeat: undefined,
      seatTorqueNm: undefined,
      originalTopRpm: undefined,
      motorFaces: 'same',
      positions: [shaft],
      mainPositionId: shaft.id,
      jobs: [],
      holders: [],
    },
  }
}

/** Whether there is such a field on this machine, with this motor and this drive; what there is not is never asked for. */
export const isThere = (plan: Plan, path: PlanPath): boolean =>
  isOfMachine(plan, path) && !(isBareMotor(plan) && OF_A_SPINDLE.test(path))
