import { wiringOf, type Wiring } from '@zesty/core/wiring'
import { useMemo } from 'react'
import { usePlan } from '../state/openPlan'

/** The wiring of the open plan; made anew only when a section that it rests on changes. */
export function useWiring(): Wiring {
  const plan = usePlan()
  const { supply, motor, drive, installation, controls, wiring, manual } = plan
  // eslint-disable-next-line react-hooks/exhaustive-deps
  return useMemo(() => wiringOf(plan), [supply, motor, drive, installation, controls, wiring, manual])
}
