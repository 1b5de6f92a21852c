import type { Measured } from './measured'

/**
 * Readings that stay true with another motor: of belts, spindle and chuck, and not of the winding nor of what the motor
 * that was there took or did.
 */
export function ofMachine(measured: Measured): Measured {
  const rest = { ...measured, amps: {} }
  delete rest.insulation
  delete rest.runUpS
  delete rest.taken
  delete rest.commands
  delete rest.spindleHours
  return rest
}
