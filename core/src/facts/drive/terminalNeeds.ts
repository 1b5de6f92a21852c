import type { DrivePlate, Plan } from '../../plan'

/** Something the plan wants of a drive's terminals, and whether a drive has it; undefined where that is not known. */
export interface TerminalNeed {
  what: string
  /** What it is wanted for. */
  because: string
  has: boolean | undefined
}

/** Switch inputs the controls take: run, direction, stop of its own, quick stop, and one for each fixed speed bit. */
export function switchInputs({ controls }: Plan): number {
  const run = controls.runBy === 'momentary' ? 2 : controls.runBy === 'maintained' || controls.runBy === 'cnc' ? 1 : 0
  const reverse = controls.reverseWanted && run > 0 ? 1 : 0
  const emergency = ['stop-input', 'ramp-input', 'ramp-then-off', 'coast-input'].includes(controls.emergencyStop ?? '')
    ? 1
    : 0
  const presets = controls.reference === 'presets' ? 2 : 0
  return run + reverse + emergency + presets
}

const atLeast = (has: number | undefined, wanted: number): boolean | undefined =>
  has === undefined ? undefined : has >= wanted

/** What the controls of a plan want of a drive, held against its plate. */
export function terminalNeeds(plan: Plan, drive: DrivePlate): TerminalNeed[] {
  const { controls } = plan
  const needs: TerminalNeed[] = []
  const switches = switchInputs(plan)
  const need = (wanted: boolean, what: string, because: string, has: boolean | undefined) => {
    if (wanted) needs.push({ what, because, has })
  }
  need(
    switches > 0,
    `${switches} switch ${switches === 1 ? 'input' : 'inputs'}`,
    'run, direction and stop',
    atLeast(drive.digitalInputs, switches),
  )
  need(
    controls.reference === 'knob' || controls.reference === 'analogue',
    'an analogue input',
    controls.reference === 'knob' ? 'the speed knob' : 'the controller’s 0-10 V',
    atLeast(drive.analogueInputs, 1),
  )
  need(controls.runLamp === true, 'a relay output', 'the RUN lamp', atLeast(drive.relays, 1))
  need(controls.thermistorWired === true, 'a thermistor input', 'the winding’s thermistor', drive.thermistorInput)
  need(controls.emergencyStop === 'safe-torque-off', 'safe torque off', 'the emergency stop', drive.safeTorqueOff)
  need(controls.remoteKeypad === true, 'a keypad that goes on a lead', 'the keypad at the machine', drive.keypadLead)
  need(
    controls.reference === 'serial',
    'a serial bus',
    'speed from the controller',
    drive.fieldbus === undefined ? undefined : drive.fieldbus === 'serial',
  )
  return needs
}
