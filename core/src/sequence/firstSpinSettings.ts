import type { SettingId } from '../plan'

/** Settings whose codes are asked for where there is no manual; on a drive with trims the current limit too. */
export const firstSpinSettings: readonly SettingId[] = [
  'ratedVoltageV',
  'baseFrequencyHz',
  'overloadA',
  'maximumHz',
  'restart',
  'commandSource',
  'referenceSource',
]
