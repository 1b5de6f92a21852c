import { shareOfPlan } from '../facts/settings/shareOf'
import type { SettingLine } from '../facts/settings/settingLine'
import { codesByName, decode, settingsOf, type ManualCode, type ShareOf, type Values } from '../manual'
import {
  fieldAt,
  set,
  setSetting,
  type Change,
  type EntryRecord,
  type Patch,
  type Plan,
  type SettingId,
  withKey,
} from '../plan'
import { recordKey, type CardLine } from './cardLine'
import { wantedValues } from './wantedValues'

/** Readings of settings, each where the plan may hold it. */
function inDrive(values: Values): Change[] {
  return (Object.entries(values) as [SettingId, string | number | undefined][]).flatMap(([id, value]) =>
    value === undefined || fieldAt(`settings.inDrive.${id}`).accepts(value) ? [setSetting('inDrive', id, value)] : [],
  )
}

const codeOf = (plan: Plan, line: CardLine): ManualCode | undefined =>
  line.code === undefined || plan.manual === undefined ? undefined : codesByName(plan.manual).get(line.code)

/** What the line stands for once the drive holds this, as it writes it. */
function meantBy(
  plan: Plan,
  lines: readonly SettingLine[],
  line: CardLine,
  value: string,
  of: ShareOf,
): Values | undefined {
  const code = codeOf(plan, line)
  const meant = code && decode(code, value, of)
  if (meant && Object.keys(meant).length > 0) return meant
  // In plain words: only what was planned is known for what it is.
  if (value !== line.value) return undefined
  const wanted = wantedValues(plan, lines)
  return Object.fromEntries(line.settings.map((id) => [id, wanted.get(id)]))
}

/** What entering a code changes behind one’s back: told as it is then, or no longer known. */
function changedBehind(plan: Plan, code: ManualCode | undefined, of: ShareOf): { values: Values; codes: string[] } {
  const codes = (code?.changes ?? []).map((c) => c.code)
  let values: Values = {}
  for (const { code: name, to } of code?.changes ?? []) {
    const other = plan.manual && codesByName(plan.manual).get(name)
    if (!other) continue
    const unknown: Values = Object.fromEntries(settingsOf(other).map((id) => [id, undefined]))
    values = { ...values, ...unknown, ...(to === undefined ? {} : decode(other, to, of)) }
  }
  return { values, codes }
}

/** What each answer to a line may bring along. */
export interface LineAnswer {
  answer: EntryRecord['answer']
  said?: string | undefined
  /** Day, ISO 8601. */
  on: string
}

/**
 * What became of a line: the drive took it, refused it, or it was left for later. What it took it holds from then on, and
 * what that changes behind one’s back is no longer what it was.
 */
export function answerLine(plan: Plan, lines: readonly SettingLine[], line: CardLine, given: LineAnswer): Patch {
  const { answer, said, on } = given
  const key = recordKey(line)
  const old = plan.settings.entered?.[key]
  const record: EntryRecord = {
    ...(answer === undefined ? {} : { answer }),
    value: line.value.slice(0, 40),
    on,
    ...(said === undefined || said === '' ? {} : { said }),
    ...(answer !== 'entered' && old?.readBack !== undefined ? { readBack: old.readBack } : {}),
  }
  if (answer !== 'entered') return [set('settings.entered', { ...plan.settings.entered, [key]: record })]
  const of = shareOfPlan(plan, lines)
  const behind = changedBehind(plan, codeOf(plan, line), of)
  const kept = Object.entries(plan.settings.entered ?? {}).filter(([key]) => !behind.codes.includes(key))
  const code = codeOf(plan, line)
  const decides = code !== undefined && settingsOf(code).length === 0
  return [
    set('settings.entered', { ...Object.fromEntries(kept), [key]: record }),
    ...inDrive(behind.values),
    ...inDrive(meantBy(plan, lines, line, line.value, of) ?? {}),
    ...(decides && line.code !== undefined
      ? [set('wiring.codesHeld', { ...plan.wiring.codesHeld, [line.code]: line.value.slice(0, 24) })]
      : []),
  ]
}

/** A code that decides no setting, such as what a terminal does, is no longer known to hold anything. */
const noLongerHeld = ({ wiring: { codesHeld } }: Plan, key: string): Patch =>
  codesHeld?.[key] === undefined ? [] : [set('wiring.codesHeld', withKey(codesHeld, key, undefined))]

/** The line as if nothing had been said of it, with what was noted of the drive through it. */
export function unanswerLine(plan: Plan, line: CardLine): Patch {
  const key = recordKey(line)
  const { entered } = plan.settings
  const rest = withKey(entered, key, undefined)
  if (entered?.[key]?.answer !== 'entered') return [set('settings.entered', rest)]
  const code = codeOf(plan, line)
  const ids = code ? settingsOf(code) : line.settings
  return [
    set('settings.entered', rest),
    ...inDrive(Object.fromEntries(ids.map((id) => [id, undefined]))),
    ...noLongerHeld(plan, key),
  ]
}

/** Whether somebody reads what it held before anybody entered anything. */
export const isBefore = ({ settings }: Plan, key: string): boolean =>
  settings.state !== 'entered' &&
  settings.state !== 'reset' &&
  settings.asFound?.[key] === undefined &&
  settings.entered?.[key]?.answer !== 'entered'

/** A value that was read in the drive, as it writes it; and whether it means something to the manual. */
export interface ReadBack {
  patch: Patch
  understood: boolean
}

/**
 * What was read in the drive at a line, kept as it was typed. Read before anything was entered it is kept as found too.
 * Nothing typed takes the reading away.
 */
export function readBackLine(
  plan: Plan,
  lines: readonly SettingLine[],
  line: CardLine,
  typed: string,
  on: string,
): ReadBack {
  const value = typed.trim().slice(0, 40)
  const key = recordKey(line)
  const { readBack, ...old } = plan.settings.entered?.[key] ?? {}
  const code = codeOf(plan, line)
  const ids = code ? settingsOf(code) : line.settings
  if (value === '')
    return {
      patch: [
        set('settings.entered', withKey(plan.settings.entered, key, Object.keys(old).length > 0 ? old : undefined)),
        ...(readBack === undefined ? [] : inDrive(Object.fromEntries(ids.map((id) => [id, undefined])))),
        ...(readBack === undefined ? [] : noLongerHeld(plan, key)),
      ],
      understood: true,
    }
  const meant = meantBy(plan, lines, line, value, shareOfPlan(plan, lines))
  const terminal = code !== undefined && ids.length === 0
  return {
    patch: [
      set('settings.entered', { ...plan.settings.entered, [key]: { ...old, readBack: value, on } }),
      ...(isBefore(plan, key) ? [set('settings.asFound', { ...plan.settings.asFound, [key]: value })] : []),
      ...inDrive(meant ?? Object.fromEntries(ids.map((id) => [id, undefined]))),
      ...(terminal ? [set('wiring.codesHeld', { ...plan.wiring.codesHeld, [key]: value.slice(0, 24) })] : []),
    ],
    understood: meant !== undefined || terminal,
  }
}

/** The drive was reset: what it was known to hold is gone, but for what a reset leaves. */
export function resetDrive(plan: Plan): Patch {
  const kept = (plan.manual?.codes ?? []).filter(({ keptAtReset }) => keptAtReset === true)
  const ids = new Set(kept.flatMap(settingsOf))
  const codes = new Set(kept.map(({ code }) => code))
  const records = Object.entries(plan.settings.entered ?? {}).flatMap(([key, record]): [string, EntryRecord][] =>
    codes.has(key) ? [[key, record]] : [],
  )
  const { inDrive: before } = plan.settings
  return [
    set('settings.state', 'reset'),
    set('settings.inDrive', Object.fromEntries(Object.entries(before).filter(([id]) => ids.has(id as SettingId)))),
    set('settings.entered', Object.fromEntries(records)),
    set('wiring.codesHeld', undefined),
  ]
}
