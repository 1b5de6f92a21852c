import type { Plan } from './plan'

/** Something temporary or left for later. */
export interface LooseEnd {
  id: string
  what: string
  /** With it open the machine is not used. */
  stop: boolean
  /** Typed by somebody; from a step that was left or went wrong; a proof from before a change; not made yet. */
  from: 'typed' | 'step' | 'change' | 'mount'
}

/** The loose ends that a plan itself names: those that were typed, and what the machine wants and does not have yet. */
export const looseInPlan = ({ wiring, mount }: Plan): { typed: LooseEnd[]; notMade: LooseEnd[] } => ({
  typed: (wiring.looseEnds ?? []).flatMap(({ id, what, stop, undone }): LooseEnd[] =>
    undone === true ? [] : [{ id, what: what ?? 'a loose end', stop: stop === true, from: 'typed' }],
  ),
  notMade: [
    ...(mount.guard === 'to-make'
      ? [{ id: 'guard', what: 'The guard over belt and pulleys is not made yet', stop: true, from: 'mount' as const }]
      : []),
    ...(mount.keeper === 'to-make'
      ? [{ id: 'keeper', what: 'The belt keeper is not made yet', stop: false, from: 'mount' as const }]
      : []),
  ],
})
