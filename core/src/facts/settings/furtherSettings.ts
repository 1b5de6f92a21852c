import type { SettingId } from '../../plan'
import { numberOf } from '../figure'
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

export type FurtherSetting = Exclude<SettingId, ActingSetting>

const further: Readonly<Record<FurtherSetting, (facts: FurtherInputs) => Derived>> = {
  ...pullSettings,
  ...protectionSettings,
  ...commandSettings,
  ...againSettings,
  ...outputSettings,
  ...brakingSettings,
  ...serialSettings,
}

const furtherIds = Object.keys(further) as FurtherSetting[]

/** The settings on which no figure rests: each follows from the plan and its figures. */
export function furtherSettings(facts: FurtherInputs): SettingLine[] {
  const hertz = { baseHz: numberOf(facts.settings.baseFrequencyHz), maximumHz: numberOf(facts.settings.maximumHz) }
  return furtherIds.map((id) => settingLine(id, facts.plan, further[id](facts), hertz))
}
