import { emptyManual, type Manual, type ManualTerminal } from '../manual/manual'
import { groupOf } from '../manual/manual'
import { terminalFunctions, type TerminalFunction } from '../manual/terminalFunctions'
import { heartOf, type Plan } from '../plan'
import { hallEnds, isFedDirect, motorEnds } from './motorEnds'

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
    ...(heartOf(plan) === 'driver' ? hallEnds : []),
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
