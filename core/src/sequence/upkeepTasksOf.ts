import type { UpkeepTask } from '../log/logEntry'
import { commonTasks } from '../log/upkeep'
import { hasFedField, heartOf, type Plan } from '../plan'

/** What this machine wants from time to time, by what turns it. */
export function upkeepTasksOf(plan: Plan): readonly UpkeepTask[] {
  const isSpindle = plan.motor.kind === 'high-frequency'
  return [
    ...commonTasks,
    ...(heartOf(plan) === 'dc' ? (['brushes'] as const) : []),
    ...(heartOf(plan) === 'dc' && hasFedField(plan) ? (['field-trip'] as const) : []),
    ...(isSpindle ? (['spindle-hours'] as const) : []),
    ...(isSpindle && plan.installation.flowInterlock !== 'no-liquid' ? (['water'] as const) : []),
    ...((plan.axes ?? []).length > 0 ? (['homing'] as const) : []),
  ]
}
