import type { PlanPath } from '@zesty/core'

export interface PlateFieldsProps {
  /** Path of a field of the plate. */
  at: (field: string) => PlanPath
  /** Path of what it is called. */
  name: PlanPath
  /** Whether it must be called something. */
  needed?: boolean
}
