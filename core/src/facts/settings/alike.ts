import type { SettingValue } from './settingLine'

/** What a value may be off by and still be the one that was meant: what rounding and a display leave. */
const TOLERANCE = 0.02

/** Whether two values of a setting are one: numbers within what rounding leaves, words exactly. */
export const alike = (a: SettingValue | undefined, b: SettingValue | undefined): boolean =>
  typeof a === 'number' && typeof b === 'number'
    ? Math.abs(a - b) <= TOLERANCE * Math.max(Math.abs(a), Math.abs(b))
    : a === b
