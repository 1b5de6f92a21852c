import { emptyManual, type Manual, type ManualTerminal } from '../manual/manual'
import { groupOf } from '../manual/manual'
import { terminalFunctions, type TerminalFunction } from '../manual/terminalFunctions'
import { hasFedField, heartOf, type Plan } from '../plan'

/** Whether a power supply, battery or rectifier stands before the driver. */
export const isFedDirect = (plan: Plan): boolean =>
  heartOf(plan) === 'driver' && plan.driver.supply !== undefined && plan.driver.supply !== 'mains'

/** What a motor hangs on, by what turns the machine. */
function motorEnds(plan: Plan): readonly TerminalFunction[] {
  switch (heartOf(plan)) {
    case 'dc':
      return hasFedField(plan)
        ? ['armature-1', 'armature-2', 'field-1', 'field-2']
        : ['armature-1', 'armature-2']
    case 'driver':
      return ['motor-u', 'motor-v', 'motor-w', 'hall-supply', 'hall-a', 'hall-b', 'hall-c', 'hall-common']
    default:
      return ['motor-u', 'motor-v', 'motor-w']
  }
}

/**
 * What a drive usually has, where nobody has its manual: the terminals that its plate lets expect, each called by what it
 * does and marked as assumed. Nothing of it is printed on the drive.
 */
export function assumedManual(plan: Plan): Manual {
  const { drive, supply, controls } = plan
  const three = drive.input === '3' || (drive.input === 'either' && supply.phases === 3)
  const wanted: TerminalFunction[] = [
    ...(isFedDirect(plan)
      ? (['direct-plus', 'direct-minus'] as const)
      : three
        ? (['line-1', 'line-2', 'line-3'] as const)
        : (['line-1', 'neutral'] as const)),
    'earth',
    ...motorEnds(plan),
    ...(drive.brakeChopper === true ? (['resistor-1', 'resistor-2'] as const) : []),
    'digital-common',
    'run-forward',
    'run-reverse',
    'outside-fault',
    'reference-supply',
    'reference-in',
    'reference-common',
    ...(drive.thermistorInput === true ? (['thermistor-1', 'thermistor-2'] as const) : []),
    ...(drive.safeTorqueOff === true ? (['torque-off-supply', 'torque-off-1', 'torque-off-2'] as const) : []),
    ...(drive.fieldbus === 'serial' || controls.reference === 'serial'
      ? (['bus-line-a', 'bus-line-b', 'bus-line-common'] as const)
      : []),
    ...(drive.relays === undefined || drive.relays > 0 ? (['relay-common', 'relay-open'] as const) : []),
  ]
  const terminals = wanted.map((does): ManualTerminal => ({
    id: does,
    prints: terminalFunctions[does].words.slice(0, 24),
    group: groupOf(does),
    does,
    wires: 2,
    basis: 'assumed',
  }))
  return { ...emptyManual(drive.name ?? 'The drive'), terminals }
}
