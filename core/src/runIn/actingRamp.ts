import type { Facts } from '../facts/facts'
import { actingValue } from '../facts/settings/settingsFacts'

export type RampId = 'accelerationS' | 'decelerationS'

/** Seconds of a ramp to the highest hertz as it acts; undefined where it is not known, or read as one that never ends. */
export function actingRamp({ settings }: Facts, id: RampId): number | undefined {
  const value = actingValue(settings.lines, id)
  return typeof value === 'number' && Number.isFinite(value) ? value : undefined
}
