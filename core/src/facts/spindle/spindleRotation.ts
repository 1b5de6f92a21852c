import type { Plan, Rotation } from '../../plan'

const other = (sense: Rotation): Rotation => (sense === 'clockwise' ? 'counter-clockwise' : 'clockwise')

/**
 * How the motor turns as it is seen by a person facing the spindle's nose, its leads in order: first,
 * second and third lead on L1, L2 and L3 (U, V, W of the drive) turn a motor clockwise, seen at its shaft
 * end (IEC 60034-8).
 */
export const motorRotation = ({ survey }: Plan): Rotation | undefined =>
  survey.motorFaces === undefined ? undefined : survey.motorFaces === 'same' ? 'clockwise' : 'counter-clockwise'

/**
 * How the spindle then turns; undefined where the train or where the motor points is not known.
 *
 * @example spindleRotation(emptyPlan('Lathe'), false) // undefined
 */
export function spindleRotation(plan: Plan, reversed: boolean | undefined): Rotation | undefined {
  const motor = motorRotation(plan)
  return motor === undefined || reversed === undefined ? undefined : reversed ? other(motor) : motor
}

/** Whether two of the motor's leads are to be swapped for forward on a position; undefined where that is not known. */
export function leadsSwapped(plan: Plan, reversed: boolean | undefined): boolean | undefined {
  const sense = spindleRotation(plan, reversed)
  return sense === undefined || plan.survey.forward === undefined ? undefined : sense !== plan.survey.forward
}

/** How the spindle turns on a position with the leads as the position used most wants them. */
export function forwardRotation(
  plan: Plan,
  reversed: boolean | undefined,
  swapped: boolean | undefined,
): Rotation | undefined {
  const sense = spindleRotation(plan, reversed)
  return sense === undefined || !swapped ? sense : other(sense)
}
