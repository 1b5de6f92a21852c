import type { Reading } from '../readings/measurement'
import { looseInPlan, type LooseEnd, type Plan } from '../plan'
import type { Wiring } from '../wiring/model'
import { circuitOf } from './circuitOf'
import { judgeReading, readAtStep, type BuildStep } from './step'

/**
 * What must still be undone or done: typed ones, steps that were left or went wrong, what was measured and is not as it
 * should be, and what was proved on a wiring that has been changed since.
 */
export function looseEndsOf(
  plan: Plan,
  steps: readonly BuildStep[],
  wiring: Wiring,
  readings: readonly Reading[],
): LooseEnd[] {
  const { typed, notMade } = looseInPlan(plan)
  const circuit = circuitOf(wiring)
  const left = steps.flatMap((step): LooseEnd[] => {
    const { id, title, looseEnd } = step
    const record = plan.wiring.steps?.[id]
    const read = readAtStep(step, record?.readings, readings)
    const wrong = step.readings.filter((asked) => judgeReading(asked, read, step.readings) === 'wrong')
    if (wrong.length > 0)
      return [
        { id, what: `${title}: ${wrong.map((r) => r.label).join(', ')} not as it should be`, stop: true, from: 'step' },
      ]
    if (record?.answer === 'skipped' || record?.answer === 'wrong')
      return [
        { id, what: looseEnd?.what ?? title, stop: record.answer === 'wrong' || looseEnd?.stop === true, from: 'step' },
      ]
    return isOutdated(step, record?.circuit, circuit)
      ? [{ id, what: `${title}: the wiring was changed since`, stop: looseEnd?.stop === true, from: 'change' }]
      : []
  })
  return [...typed, ...left, ...notMade]
}

/** Whether a proof is of a wiring that is not this one. */
const isOutdated = ({ part }: BuildStep, proved: string | undefined, now: string): boolean =>
  part === 'prove' && proved !== undefined && proved !== now

/** How far the work is: done, or the step to go on with. */
export function whereItStopped(plan: Plan, steps: readonly BuildStep[]): BuildStep | undefined {
  return steps.find(({ id }) => plan.wiring.steps?.[id]?.answer === undefined)
}
