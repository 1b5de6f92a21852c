import type { LooseEnd } from './looseInPlan'
import type { useStates } from './runIn'

/** Why a machine may not be called in use or done. */
export const stateRefusals = {
  stop: 'A stop is open',
  'loose-stop': 'A loose end that is a stop',
  loose: 'Loose ends are left',
} as const
export type StateRefusal = keyof typeof stateRefusals

/** What a machine may not be called, by the stops that are open and the loose ends that are left. */
export function refusedStates(
  stops: number,
  loose: readonly Pick<LooseEnd, 'stop'>[],
): Partial<Record<keyof typeof useStates, StateRefusal>> {
  const hard: StateRefusal | undefined = stops > 0 ? 'stop' : loose.some(({ stop }) => stop) ? 'loose-stop' : undefined
  const any = hard ?? (loose.length > 0 ? ('loose' as const) : undefined)
  return { ...(hard && { 'in-use': hard }), ...(any && { done: any }) }
}
