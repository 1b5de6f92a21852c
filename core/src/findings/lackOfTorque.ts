import type { Facts } from '../facts/facts'
import { ended, isUnjudged, need, type CannotBeJudged } from './answer'

/** What the motor's torque waits for, where it is not known. */
export function lackOfTorque({ motor, settings }: Facts): CannotBeJudged {
  if (motor.suitable === false) return ended('Of a motor that a drive cannot run the torque is not told')
  const known = need(
    motor.torqueNm,
    motor.frequencyHz,
    motor.poles,
    settings.baseFrequencyHz,
    settings.minimumHz,
    settings.maximumHz,
  )
  return isUnjudged(known) ? known : ended('The plate does not tell its torque')
}
