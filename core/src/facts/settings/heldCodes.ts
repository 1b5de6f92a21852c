import {
  codesByName,
  codesFor,
  decode,
  encode,
  sameValue,
  settingsOf,
  type Entered,
  type Manual,
  type ManualCode,
  type ShareOf,
  type Value,
} from '../../manual'
import type { Plan, SettingId } from '../../plan'
import { alike } from './alike'

/** How it is known what a code holds. */
export type HeldBy = 'read' | 'entered' | 'default'

export interface HeldCodes {
  held: Entered
  by: Readonly<Record<string, HeldBy>>
  /** Codes known to have been entered since a reset. */
  told: ReadonlySet<string>
  /** Codes that an entry changed behind one’s back, and that were not entered since. */
  changed: ReadonlySet<string>
}

/** Whether what somebody noted of a code still is what the plan says that the drive holds. */
function stands(plan: Plan, code: ManualCode, value: string, of: ShareOf): boolean {
  const { inDrive } = plan.settings
  const settings = settingsOf(code)
  if (settings.length === 0) return true
  if (settings.every((id) => inDrive[id] === undefined)) return false
  // A share of something else reads otherwise once that is changed: then the note is what it holds.
  if (code.counts?.shareOf !== undefined) return true
  const meant = decode(code, value, of)
  return meant === undefined || (Object.keys(meant) as SettingId[]).every((id) => alike(inDrive[id], meant[id]))
}

/** What entries of others left in codes: the value where the manual tells it. */
function changedBehind({ settings: { entered } }: Plan, { codes }: Manual): Map<string, string | undefined> {
  return new Map(
    codes.flatMap(({ code, changes }) =>
      entered?.[code]?.answer === 'entered'
        ? (changes ?? []).map((c): [string, string | undefined] => [c.code, c.to])
        : [],
    ),
  )
}

/**
 * What a drive holds by its codes, as it writes them: read back or entered on the card, read under the product’s own names,
 * or as it comes where it was reset or is new. What nobody knows is not in it.
 */
export function heldCodes(plan: Plan, manual: Manual, of: ShareOf): HeldCodes {
  const { settings, wiring } = plan
  const held: Record<string, string> = {}
  const by: Record<string, HeldBy> = {}
  const told = new Set<string>()
  const fresh = isFresh(plan)
  const behind = changedBehind(plan, manual)
  for (const code of manual.codes) {
    const put = (value: string, how: HeldBy): void => {
      held[code.code] = value
      by[code.code] = how
    }
    const record = settings.entered?.[code.code]
    if (record?.answer === 'entered') told.add(code.code)
    const noted = record?.readBack ?? (record?.answer === 'entered' ? record.value : undefined)
    const terminal = wiring.codesHeld?.[code.code]
    if (noted !== undefined && stands(plan, code, noted, of))
      put(noted, record?.readBack === undefined ? 'entered' : 'read')
    else if (terminal !== undefined) put(terminal, 'read')
    else {
      const read = settingsOf(code).some((id) => settings.inDrive[id] !== undefined)
        ? encode(code, settings.inDrive, of)
        : undefined
      const comes = behind.has(code.code) ? behind.get(code.code) : (code.foundWith ?? code.comesWith)
      if (typeof read === 'string') put(read, 'read')
      else if (fresh && comes !== undefined && !(settings.state === 'reset' && code.keptAtReset === true))
        put(comes, 'default')
    }
  }
  return { held, by, told, changed: new Set([...behind.keys()].filter((code) => !told.has(code))) }
}

/** Whether nothing was entered since it came or was reset. */
export const isFresh = ({ settings: { state } }: Plan): boolean => state === 'reset' || state === 'as-arrived'

/** What a setting is while the drive is as it comes, by its manual; undefined where that is not known. */
export function defaultOf(plan: Plan, id: SettingId): Value | undefined {
  if (plan.manual === undefined || !isFresh(plan)) return undefined
  const [code] = codesFor(plan.manual, id)
  const comes = code?.foundWith ?? code?.comesWith
  return code && comes !== undefined ? decode(code, comes, {})?.[id] : undefined
}

/** Whether a code holds what is wanted of it. */
export const holds = (manual: Manual, held: Entered, code: string, value: string): boolean => {
  const now = held[code]
  return now !== undefined && sameValue(codesByName(manual).get(code), now, value)
}
