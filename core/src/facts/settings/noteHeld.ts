import { codesFor } from '../../manual'
import { set, setSetting, type Patch, type Plan, type SettingId } from '../../plan'
import { rampNumber, type RampHertz } from './rampOfDrive'
import type { SettingLine, SettingValue } from './settingLine'
import { isRamp } from './settingsFacts'

/** What was noted of each code, less the codes of some settings: what they hold is told otherwise now. */
function recordsWithout({ settings: { entered }, manual }: Plan, ids: readonly SettingId[]): Patch {
  if (entered === undefined || manual === undefined) return []
  const gone = new Set(ids.flatMap((id) => codesFor(manual, id).map(({ code }) => code)))
  const kept = Object.fromEntries(Object.entries(entered).filter(([code]) => !gone.has(code)))
  return Object.keys(kept).length === Object.keys(entered).length ? [] : [set('settings.entered', kept)]
}

/** The drive is said to hold these, told under the product’s own names; ramps in seconds to the highest hertz. */
export function noteHeld(
  plan: Plan,
  values: readonly { id: SettingId; value: SettingValue | undefined }[],
  hertz: RampHertz,
): Patch {
  return [
    ...values.map(({ id, value }) =>
      setSetting('inDrive', id, typeof value === 'number' && isRamp(id) ? rampNumber(plan, value, hertz) : value),
    ),
    ...recordsWithout(
      plan,
      values.map(({ id }) => id),
    ),
  ]
}

/** The drive is said to hold what these lines want. */
export const noteAsPlanned = (plan: Plan, lines: readonly SettingLine[], hertz: RampHertz): Patch =>
  noteHeld(
    plan,
    lines.map(({ id, value }) => ({ id, value })),
    hertz,
  )
