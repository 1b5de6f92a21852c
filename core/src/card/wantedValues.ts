import { asDriveCounts } from '../facts/settings/rampOfDrive'
import type { SettingLine } from '../facts/settings/settingLine'
import { shareOfPlan } from '../facts/settings/shareOf'
import type { Value } from '../manual/coding'
import type { Plan, SettingId } from '../plan'

/** What the drive shall hold: ramps as the drive counts them. */
export function wantedValues(plan: Plan, lines: readonly SettingLine[]): Map<SettingId, Value> {
  const of = shareOfPlan(plan, lines)
  const wanted = new Map<SettingId, Value>()
  for (const { id, value } of lines) {
    const counted = asDriveCounts(plan, id, value, of)
    if (counted !== undefined) wanted.set(id, counted)
  }
  return wanted
}
