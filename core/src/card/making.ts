import type { HeldCodes } from '../facts/settings/heldCodes'
import type { SettingLine } from '../facts/settings/settingLine'
import type { Manual, ShareOf, Value } from '../manual'
import type { Plan, SettingId } from '../plan'
import { settingTable } from '../stages/settingTable'
import type { Wiring } from '../wiring/model'

/** What must be known to make lines of what is wanted. */
export interface Making {
  plan: Plan
  manual: Manual
  lines: readonly SettingLine[]
  /** Looked at only where a manual says what its terminals are. */
  wiring: () => Wiring
  wanted: ReadonlyMap<SettingId, Value>
  of: ShareOf
  now: HeldCodes
}

/** Whether it holds what it comes with, or the card. */
export const isKnownState = ({ settings: { state } }: Plan): boolean => state !== undefined && state !== 'second-hand'

/** Whether a setting must be right before a first spin. */
export const isFirst = (id: SettingId): boolean => settingTable[id].firstSpin === true
