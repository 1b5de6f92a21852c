import { dcCurve, magnetCurve } from '../hearts/rpmTorque'
import { inductionCurve } from './inductionCurve'
import type { TorqueInputs } from './torqueInputs'
import type { TorqueCurve } from './torquePoint'

/** Torque over speed of whatever turns the machine. */
export function torqueCurve(inputs: TorqueInputs): TorqueCurve {
  switch (inputs.of) {
    case 'dc':
      return dcCurve(inputs)
    case 'driver':
      return magnetCurve(inputs)
    default:
      return inductionCurve(inputs)
  }
}
