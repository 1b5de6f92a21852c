import { shareOfPlan } from '../facts/settings/shareOf'
import type { SettingLine } from '../facts/settings/settingLine'
import { codesByName, decode, settingsOf } from '../manual'
import { fieldAt, set, setSetting, type Patch, type Plan, type SettingId } from '../plan'
import { isBefore } from './answerLine'
import type { ListedMeaning } from './readSettingsList'

/**
 * A list of what a drive holds, taken as read in it: each value kept as it was written, under its code, and as found where
 * nothing was entered before.
 *
 * @param on the day, ISO 8601
 */
export function listedPatch(
  plan: Plan,
  lines: readonly SettingLine[],
  listed: readonly ListedMeaning[],
  on: string,
): Patch {
  const { manual, settings, wiring } = plan
  if (manual === undefined) return []
  const of = shareOfPlan(plan, lines)
  const entered = { ...settings.entered }
  const asFound = { ...settings.asFound }
  const held: Partial<Record<SettingId, string | number>> = {}
  const codesHeld = { ...wiring.codesHeld }
  for (const { code: name, listed: one } of listed) {
    const code = name === undefined ? undefined : codesByName(manual).get(name)
    if (!code || one.value === undefined) continue
    entered[code.code] = { ...entered[code.code], readBack: one.value, on }
    if (isBefore(plan, code.code)) asFound[code.code] ??= one.value
    if (settingsOf(code).length === 0) {
      if (code.terminal !== undefined || code.macro === true) codesHeld[code.code] = one.value
      continue
    }
    Object.assign(held, decode(code, one.value, of))
  }
  return [
    set('settings.entered', entered),
    ...(Object.keys(asFound).length > 0 ? [set('settings.asFound', asFound)] : []),
    ...(Object.entries(held) as [SettingId, string | number][]).flatMap(([id, value]) =>
      fieldAt(`settings.inDrive.${id}`).accepts(value) ? [setSetting('inDrive', id, value)] : [],
    ),
    ...(Object.keys(codesHeld).length > 0 ? [set('wiring.codesHeld', codesHeld)] : []),
  ]
}
