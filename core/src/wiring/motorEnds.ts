import type { TerminalFunction } from '../manual/terminalFunctions'
import { hasFedField, heartOf, type Plan } from '../plan'

/** Whether a power supply, battery or rectifier stands before the driver. */
export const isFedDirect = (plan: Plan): boolean =>
  heartOf(plan) === 'driver' && plan.driver.supply !== undefined && plan.driver.supply !== 'mains'

/** What a motor hangs on, by what turns the machine. */
export function motorEnds(plan: Plan): readonly TerminalFunction[] {
  if (heartOf(plan) !== 'dc') return ['motor-u', 'motor-v', 'motor-w']
  return hasFedField(plan) ? ['armature-1', 'armature-2', 'field-1', 'field-2'] : ['armature-1', 'armature-2']
}

/** What no such drive runs without. */
export const neededEnds = (plan: Plan): ReadonlySet<TerminalFunction> =>
  new Set<TerminalFunction>([
    ...(isFedDirect(plan) ? (['direct-plus', 'direct-minus'] as const) : (['line-1'] as const)),
    ...motorEnds(plan).filter((does) => !does.startsWith('field')),
  ])

/** The sensors that tell a driver where the rotor stands. */
export const hallEnds = ['hall-supply', 'hall-a', 'hall-b', 'hall-c', 'hall-common'] as const
