/**
 * What may be only the consequence of another finding, with the judgements that come first: amps typed wrong make the
 * overload, the cable and the drive look wrong; hertz beyond the motor are beyond belt and drive too. Found together,
 * the consequence hangs under its cause, and one mistake is one stop. Names of judgements; a test holds them to that.
 */
export const causes: Readonly<Record<string, readonly string[]>> = {
  'motor.plate-pair': ['motor.plate-amps'],
  'motor.overload': ['motor.plate-amps', 'motor.plate-pair'],
  'motor.cable': ['motor.plate-amps', 'motor.plate-pair'],
  'drive.output-too-small': ['motor.plate-amps', 'motor.plate-pair'],
  'drive.hertz-beyond-drive': ['motor.over-safe-speed'],
  // A motor of one heart on a drive for another: its plate is read as that of the other, and its screws are not there.
  'dc.plate': ['motor.kind'],
  'wiring.lacks': ['motor.kind'],
  'wiring.stop-way': ['wiring.lacks'],
  'wiring.contactor-enable': ['wiring.lacks'],
  'wiring.chain-complete': ['wiring.lacks'],
  'wiring.pendant': ['wiring.lacks'],
  'belts.over-speed': ['motor.over-safe-speed', 'drive.hertz-beyond-drive', 'belts.cannot-be'],
}
