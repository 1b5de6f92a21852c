import type { PlanningTables } from '../../data/planningValues'
import type { Plan } from '../../plan'

const overloads = { light: 1.1, normal: 1.5, heavy: 2 } as const

/** What a drive gives for moments, of its own amps: by its overload class, else the planning value. */
export const driveOverload = ({ drive }: Plan, { planning }: PlanningTables): number =>
  drive.overloadClass ? overloads[drive.overloadClass] : planning.driveOverload.value
