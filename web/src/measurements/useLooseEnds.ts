import { looseEndsOf, type LooseEnd } from '@zesty/core/wiring'
import { useReadings } from './useReadings'
import { useSteps } from '../parts/useSteps'
import { useWiring } from '../parts/useWiring'
import { usePlan } from '../state/openPlan'

/** What is temporary, left for later, or was proved on a wiring that has been changed since. */
export function useLooseEnds(): LooseEnd[] {
  const plan = usePlan()
  const wiring = useWiring()
  const steps = useSteps()
  const { readings } = useReadings()
  return looseEndsOf(plan, steps, wiring, readings)
}
