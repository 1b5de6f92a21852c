import type { SettingLine, SettingValue } from '../facts/settings/settingLine'
import { isRamp } from '../facts/settings/rampOfDrive'
import { fieldAt, type SettingId } from '../plan'
import { amount, message, type Message } from '../quantities'

/** A setting’s value in plain words and units. */
export function plainValue(id: SettingId, value: SettingValue): Message {
  const { dimension, options } = fieldAt(`settings.chosen.${id}`)
  if (typeof value === 'string') return [options?.[value] ?? value]
  if (isRamp(id)) return message`${amount('time', value)} to or from the top`
  return dimension ? [amount(dimension, value)] : [String(value)]
}

/** The same of a line’s planned value. */
export const plannedWords = ({ id, value }: SettingLine): Message => (value === undefined ? [] : plainValue(id, value))
