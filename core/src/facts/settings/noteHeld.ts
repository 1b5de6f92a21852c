import { codesFor } from '../../manual'
import { set, setSetting, type Patch, type Plan, type SettingId } from '../../plan'
import { asDriveCounts, type RampHertz } from './rampOfDrive'
import type { SettingLine } from './settingLine'

/** What was noted of each code, less the codes of some settings: what they hold is told otherwise now. */
function recordsWithout({ settings: { entered }, manual }: Plan, ids: readonly SettingId[]): Patch {
  if (entered === undefined || manual === undefined) return []
  const gone = new Set(ids.flatMap((id) => codesFor(manual, id).map(({ code }) => code)))
  const kept = Object.fromEntries(Object.entries(entered).filter(([code]) => !gone.has(code)))
  return Object.keys(kept).length === Object.keys(entered).length ? [] : [set('settings.entered', kept)]
}

/** The drive is said to hold what these lines want. */
export const noteAsPlanned = (plan: Plan, lines: readonly SettingLine[], hertz: RampHertz): Patch => [
  ...lines.map(({ id, value }) => setSetting('inDrive', id, asDriveCounts(plan, id, value, hertz))),
  ...recordsWithout(
    plan,
    lines.map(({ id }) => id),
  ),
]
