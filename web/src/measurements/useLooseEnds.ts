import { looseEndsOf, type LooseEnd } from '@zesty/core/wiring'
import { useReadings } from './useReadings'
import { usePlan } from '../state/openPlan'
import { usePart } from '../parts/usePart'

/** What is temporary, left for later, or was proved on a wiring that has been changed since. */
export function useLooseEnds(): LooseEnd[] {
  const plan = usePlan()
  const wiring = usePart('wiring')
  const steps = usePart('steps')
  const { readings } = useReadings()
  return looseEndsOf(plan, steps, wiring, readings)
}
