import type { TerminalFunction } from '../manual/terminalFunctions'
import { isFedDirect, motorEnds } from './motorEnds'
import { hasFedField, heartOf, type Plan } from '../plan'

/** What the run switch sends: two directions by name, or one RUN and a direction. */
export interface RunWay {
  forward: TerminalFunction
  reverse: TerminalFunction | undefined
  /** A stop button in the chain of a pressed start. */
  threeWire: boolean
}

/** How RUN reaches the drive; nothing where it does not come over terminals. */
export function runWay(plan: Plan): RunWay | undefined {
  const { controls, wiring, manual } = plan
  // A foot sends one thing.
  const byFoot = wiring.runWith === 'foot' && (controls.runBy === 'maintained' || controls.runBy === undefined)
  const reverse = controls.reverseWanted === true && !byFoot
  const stays = (): RunWay => {
    // Some drives know RUN and a direction, some only an enable; one of which nothing is known is taken for the usual.
    if (manual === undefined || has(plan, 'run-forward') || !(has(plan, 'run') || has(plan, 'enable')))
      return { forward: 'run-forward', reverse: reverse ? 'run-reverse' : undefined, threeWire: false }
    return {
      forward: has(plan, 'run') ? 'run' : 'enable',
      reverse: reverse ? 'direction' : undefined,
      threeWire: false,
    }
  }
  if (controls.runBy === 'momentary')
    return { forward: 'start', reverse: reverse ? 'direction' : undefined, threeWire: true }
  if (controls.runBy === 'maintained' || (controls.runBy === 'cnc' && controls.reference !== 'serial')) return stays()
  // The old switch in the machine's own mains lead is no signal.
  return wiring.runWith === 'foot' && controls.runBy === undefined ? stays() : undefined
}

/** Whether a drive's manual names a terminal that does this, or one that can be set to; not known without one. */
const has = ({ manual }: Plan, does: TerminalFunction): boolean =>
  manual?.terminals.some((t) => t.does === does) === true ||
  manual?.codes.some((c) => c.values.some((v) => v.does === does)) === true

/** An input that stops the motor coasting when it opens: an enable, or an outside fault where the drive has none. */
const coasts = (plan: Plan): TerminalFunction => (has(plan, 'enable') ? 'enable' : 'outside-fault')

/** Which input a stop mushroom opens; nothing where it acts otherwise. */
export function stopFunction(plan: Plan): TerminalFunction | undefined {
  switch (plan.controls.emergencyStop) {
    case 'stop-input':
      return 'stop-open'
    case 'ramp-input':
    case 'ramp-then-off':
      return 'quick-stop'
    case 'coast-input':
      return coasts(plan)
    // The supply goes, and the enable with it: the drive is not to push on with what is left in its bus.
    case 'contactor':
      return coasts(plan)
    default:
      return undefined
  }
}

/**
 * What a delay relay takes away once the ramp is over: torque by its own terminals where the drive has them, else an input
 * that lets it coast; nothing where that input is the one that runs it.
 */
export function delayedFunction(plan: Plan): TerminalFunction | undefined {
  if (plan.controls.emergencyStop !== 'ramp-then-off') return undefined
  if (plan.manual === undefined || has(plan, 'torque-off-1')) return 'torque-off-1'
  return runWay(plan)?.forward === coasts(plan) ? undefined : coasts(plan)
}

/** A lamp by the drive's relay, which then does nothing else. */
export const lampWanted = ({ controls, wiring }: Plan): boolean =>
  wiring.relayDoes === 'lamp' || (controls.runLamp === true && (wiring.relayDoes ?? 'nothing') === 'nothing')

/** How many bits choose that many fixed speeds. */
export const presetBits = (speeds: number): number => Math.max(1, Math.ceil(Math.log2(speeds + 1)))

/** Everything that the plan's choices want of the drive's terminals, each with why. */
export function wishesOf(plan: Plan): Map<TerminalFunction, string> {
  const { controls, wiring } = plan
  const wishes = new Map<TerminalFunction, string>()
  const want = (does: TerminalFunction | undefined, why: string) => {
    if (does !== undefined && !wishes.has(does)) wishes.set(does, why)
  }
  if (!isFedDirect(plan)) want('line-1', 'the supply')
  for (const does of motorEnds(plan))
    want(does, does.startsWith('field') ? 'the field' : does.startsWith('armature') ? 'the armature' : 'the motor')
  const run = runWay(plan)
  want(run?.forward, 'what starts it')
  want(run?.reverse, 'reverse')
  if (run?.threeWire === true) want('stop-open', 'the stop button')
  const pendant = controls.runBy === 'momentary' && wiring.runWith === 'pendant'
  if (pendant) want('jog', 'the pendant’s jog')
  const { emergencyStop } = controls
  want(stopFunction(plan), 'the stop mushroom')
  if (emergencyStop === 'safe-torque-off') {
    want('torque-off-1', 'the stop mushroom')
    if ((wiring.torqueOffChannels ?? 2) > 1) want('torque-off-2', 'the stop mushroom’s second channel')
  }
  if (emergencyStop === 'ramp-then-off') {
    const delayed = delayedFunction(plan)
    want(delayed, 'the delay relay')
    if (delayed === 'torque-off-1' && (wiring.torqueOffChannels ?? 2) > 1)
      want('torque-off-2', 'the delay relay’s second contact')
    want('supply-24', 'the delay relay')
  }
  if (plan.drive.resistor !== undefined) {
    want('resistor-1', 'the brake resistor')
    want('resistor-2', 'the brake resistor')
  }
  if (enableChain(plan).length > 0) want(enableFunction(plan), 'what must be closed to let it run')
  if (controls.reference === 'knob' || pendant) {
    want('reference-supply', 'the knob')
    want('reference-in', 'the knob')
    want('reference-common', 'the knob')
  }
  if (controls.reference === 'analogue') {
    want('reference-in', 'the controller’s 0-10 V')
    want('reference-common', 'the controller’s 0-10 V')
  }
  if (controls.reference === 'serial') {
    want('bus-line-a', 'the serial bus')
    want('bus-line-b', 'the serial bus')
  }
  if (controls.reference === 'presets')
    for (const bit of (['preset-1', 'preset-2', 'preset-3'] as const).slice(0, presetBits(wiring.presets ?? 3)))
      want(bit, 'the fixed speeds')
  if (wiring.upDown === true) {
    want('speed-up', 'the button for faster')
    want('speed-down', 'the button for slower')
  }
  if (controls.thermistorWired === true && wiring.thermistorOn !== 'nothing') {
    if (wiring.thermistorOn === 'fault') want('outside-fault', 'the thermistor')
    else {
      want('thermistor-1', 'the thermistor')
      want('thermistor-2', 'the thermistor')
    }
  }
  if (lampWanted(plan)) want('supply-24', 'the lamp')
  if (wiring.logic === 'source') want('supply-24', 'switches closed to volts')
  if (controls.runLamp === true || (wiring.relayDoes !== undefined && wiring.relayDoes !== 'nothing')) {
    want('relay-common', 'what the drive switches')
    want('relay-open', 'what the drive switches')
  }
  return wishes
}

/** Contacts in the chain that must be closed to let it run, besides the mushroom's own. */
export function enableChain(plan: Plan): string[] {
  const { wiring, drive, installation, dcDrive } = plan
  const provesField = heartOf(plan) === 'dc' && dcDrive.fieldLossTrip === true && hasFedField(plan)
  return [
    ...(provesField ? ['field-relay'] : []),
    ...(wiring.guardSwitch === true ? ['guard'] : []),
    ...(wiring.flowSwitch === true || installation.flowInterlock === 'stops-it' ? ['flow'] : []),
    ...(wiring.pressureSwitch === true ? ['pressure'] : []),
    ...(drive.resistor?.thermalSwitch === 'trips-drive' ? ['resistor'] : []),
    ...(wiring.isolator === 'early-break' ? ['isolator'] : []),
    // Only a drive for hertz has these behind it.
    ...(heartOf(plan) === 'inverter' && wiring.motorSwitch === 'early-break' ? ['motor-switch'] : []),
    ...(heartOf(plan) === 'inverter' && wiring.motors === 'two-overloads' ? ['overload', 'overload-2'] : []),
  ]
}

/** The input that such a chain closes: the mushroom's own where that is one that opens, else an enable. */
export const enableFunction = (plan: Plan): TerminalFunction => stopFunction(plan) ?? coasts(plan)
