import { heartOf, settingIds, type SettingId } from '../../plan'
import { heartIds, type Heart } from '../../stages/hearts'
import { settingHearts } from '../../stages/settingTable'
import { numberOf } from '../figure'
import type { RpmSetting } from '../hearts/rpmSettings'
import type { FurtherInputs } from './furtherInputs'
import { againSettings } from './againSettings'
import { brakingSettings } from './brakingSettings'
import { commandSettings } from './commandSettings'
import type { ActingSetting } from './deriveSettings'
import { outputSettings } from './outputSettings'
import { protectionSettings } from './protectionSettings'
import { pullSettings } from './pullSettings'
import { serialSettings } from './serialSettings'
import { settingLine } from './settingsFacts'
import type { Derived, SettingLine } from './settingLine'

type FurtherSetting = Exclude<SettingId, ActingSetting | RpmSetting>

/** The settings on which no figure rests: each follows from the plan and its figures. */
const further: Readonly<Record<FurtherSetting, (facts: FurtherInputs) => Derived>> = {
  ...pullSettings,
  ...protectionSettings,
  ...commandSettings,
  ...againSettings,
  ...outputSettings,
  ...brakingSettings,
  ...serialSettings,
}

const settingsOf = Object.fromEntries(
  heartIds.map((heart) => [heart, settingIds.filter((id) => settingHearts(id).includes(heart))]),
) as Record<Heart, SettingId[]>

/**
 * Every setting that what turns the machine has, in the order of the table: those on which figures rest as they were derived before, the others from all
 * that is known.
 */
export function everySetting(facts: FurtherInputs): SettingLine[] {
  const { plan, settings } = facts
  const hertz = { baseHz: numberOf(settings.baseFrequencyHz), maximumHz: numberOf(settings.maximumHz) }
  const acting = new Map<SettingId, SettingLine>(settings.lines.map((line) => [line.id, line]))
  return settingsOf[heartOf(plan)].map(
    (id) => acting.get(id) ?? settingLine(id, plan, further[id as FurtherSetting](facts), hertz),
  )
}
