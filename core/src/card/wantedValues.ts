import { rampNumber } from '../facts/settings/rampOfDrive'
import type { SettingLine } from '../facts/settings/settingLine'
import { isRamp } from '../facts/settings/settingsFacts'
import { shareOfPlan } from '../facts/settings/shareOf'
import type { Value } from '../manual/coding'
import type { Plan, SettingId } from '../plan'

/** What the drive shall hold: ramps as the drive counts them. */
export function wantedValues(plan: Plan, lines: readonly SettingLine[]): Map<SettingId, Value> {
  const { baseHz, maximumHz } = shareOfPlan(plan, lines)
  const wanted = new Map<SettingId, Value>()
  for (const { id, value } of lines) {
    if (value === undefined) continue
    const counted = isRamp(id) && typeof value === 'number' ? rampNumber(plan, value, { baseHz, maximumHz }) : value
    if (counted !== undefined) wanted.set(id, counted)
  }
  return wanted
}
