import type { Change } from './patch'
import type { SettingId } from './settingFields'

/** Sets a setting to a value that is only known to be a number or a word; whether it may hold it is for its schema to say. */
export const setSetting = (where: 'chosen' | 'inDrive', id: SettingId, value: number | string | undefined): Change => ({
  path: `settings.${where}.${id}`,
  value,
})
