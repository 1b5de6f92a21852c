import type { Plan } from '../plan'
import type { BuildStep } from './step'

/** Something temporary or left for later. */
export interface LooseEnd {
  id: string
  what: string
  /** With it open the machine is not used. */
  stop: boolean
  /** Typed by somebody, or from a step that was left. */
  from: 'typed' | 'step'
}

/** What must still be undone or done: typed ones, and steps that were left or went wrong. */
export function looseEndsOf(plan: Plan, steps: readonly BuildStep[]): LooseEnd[] {
  const typed = (plan.wiring.looseEnds ?? []).flatMap(({ id, what, stop, undone }): LooseEnd[] =>
    undone === true ? [] : [{ id, what: what ?? '', stop: stop === true, from: 'typed' }],
  )
  const left = steps.flatMap(({ id, title, looseEnd }): LooseEnd[] => {
    const answer = plan.wiring.steps?.[id]?.answer
    if (answer !== 'skipped' && answer !== 'wrong') return []
    return [{ id, what: looseEnd?.what ?? title, stop: answer === 'wrong' || looseEnd?.stop === true, from: 'step' }]
  })
  return [...typed, ...left]
}

/** How far the work is: done, or the step to go on with. */
export function whereItStopped(plan: Plan, steps: readonly BuildStep[]): BuildStep | undefined {
  return steps.find(({ id }) => plan.wiring.steps?.[id]?.answer === undefined)
}
