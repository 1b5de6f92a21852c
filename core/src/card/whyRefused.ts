import { heldCodes } from '../facts/settings/heldCodes'
import { shareOfPlan } from '../facts/settings/shareOf'
import type { SettingLine } from '../facts/settings/settingLine'
import { codesByName, refusal, type DriveMemory, type Manual, type Refusal } from '../manual'
import type { Plan } from '../plan'
import type { CardLine } from './cardLine'

/** One thing that may stand behind a refusal, and what clears it. */
export interface RefusalReason {
  why: Refusal['why'] | 'keypad-locked'
  /** By the manual it must be this; else it may be. */
  certain: boolean
  says: string
  clears: string
}

/** What must be done so that the drive takes it, by its manual. */
function clearedBy(manual: Manual, found: Refusal): string {
  const named = (code: string): string => {
    const words = codesByName(manual).get(code)?.words
    return words === undefined ? code : `${code}, ${words.toLowerCase()}`
  }
  switch (found.why) {
    case 'running':
      return 'Stop it, wait until it stands, enter it again.'
    case 'plugged':
      return 'Power off, unplug the remote station, power on, enter it again.'
    case 'locked':
      return `Enter ${found.wants.code} = ${found.wants.value} first; then this again.`
    case 'order':
      return `Enter ${named(found.wants.code)} first, even if it is right; then this again.`
    case 'gate':
      return `Set ${named(found.wants.code)} to ${found.wants.value} first; then this is there.`
    case 'range':
      return found.wants
        ? `Move ${named(found.wants.code)} first: it stands at ${found.most ?? found.least ?? '?'}.`
        : `It takes ${found.least ?? '?'} to ${found.most ?? '?'}: choose a value in between.`
    case 'no-such-value':
      return found.allowed.length > 0
        ? `Its values are ${found.allowed.join(', ')}.`
        : 'Compare its values on the display with the manual.'
    case 'no-such-code':
      return 'Look for it in the manual of this very version; the code may be another.'
  }
}

/** What may be behind it though the manual does not say so, likeliest first. */
function perhaps({ manual }: Plan, line: CardLine, found: Refusal | undefined): RefusalReason[] {
  const code = line.code === undefined ? undefined : manual && codesByName(manual).get(line.code)
  const others: RefusalReason[] = [
    {
      why: 'running',
      certain: false,
      says: 'It runs, or RUN is still given.',
      clears: 'Stop it, open RUN, wait until it stands; then again.',
    },
    {
      why: 'order',
      certain: false,
      says: 'Another code must be entered first.',
      clears:
        line.settings.length > 0
          ? 'The motor’s plate first: volts, amps, hertz, rpm; then this again.'
          : 'What the other terminals do first; then this again.',
    },
    {
      why: 'locked',
      certain: false,
      says: 'A part of its menu is shut until a code is set.',
      clears:
        manual?.unlock === undefined
          ? 'Look in its manual for a password, an unlocking code or an advanced menu.'
          : `Enter ${manual.unlock.code} = ${manual.unlock.value}; then this again.`,
    },
    {
      why: 'range',
      certain: false,
      says: 'Another code holds a limit that this passes.',
      clears: 'Step towards it: where it stops is the limit. Raise the upper limit, then this.',
    },
    {
      why: 'plugged',
      certain: false,
      says: 'A remote station is plugged in, or a controller talks to it.',
      clears: 'Power off, unplug it, power on; then again.',
    },
    {
      why: 'keypad-locked',
      certain: false,
      says: 'The keypad is locked.',
      clears: 'Look for a key sign on the display; its manual names the keys that open it.',
    },
  ]
  return others.filter(({ why }) => why !== found?.why && !(why === 'running' && code?.onlyStopped === false))
}

/**
 * Why this drive may have refused a line: what its manual says of it as the drive stands, first; then what drives refuse
 * for that their manuals do not tell. Each with what clears it.
 */
export function whyRefused(plan: Plan, lines: readonly SettingLine[], line: CardLine): RefusalReason[] {
  const { manual } = plan
  if (manual === undefined || line.code === undefined) return perhaps(plan, line, undefined)
  const { held, told } = heldCodes(plan, manual, shareOfPlan(plan, lines))
  const memory: DriveMemory = { held, told, running: false, plugged: false }
  const code = codesByName(manual).get(line.code)
  const certain: Refusal[] = []
  const now = refusal(manual, memory, line.code, line.value)
  // What nobody knows of it is no reason that is certain.
  if (
    now &&
    !(now.why === 'order' && plan.settings.state !== 'reset') &&
    !(now.why === 'gate' && held[now.wants.code] === undefined)
  )
    certain.push(now)
  if (code?.onlyStopped === true) certain.push({ why: 'running' })
  if (code?.onlyUnplugged === true) certain.push({ why: 'plugged' })
  return [
    ...certain.map((found): RefusalReason => ({
      why: found.why,
      certain: found === now,
      says: saidOf(found),
      clears: clearedBy(manual, found),
    })),
    ...perhaps(plan, line, now).filter(({ why }) => !certain.some((c) => c.why === why)),
  ]
}

const saidOf = (found: Refusal): string => {
  switch (found.why) {
    case 'running':
      return 'By its manual it takes this only while it stands.'
    case 'plugged':
      return 'By its manual it takes this only with no remote station plugged in.'
    case 'locked':
      return 'By its manual this is shut.'
    case 'order':
      return 'By its manual another must be entered first.'
    case 'gate':
      return 'By its manual this is there only while another has a certain value.'
    case 'range':
      return 'By its manual this is outside what it takes now.'
    case 'no-such-value':
      return 'By its manual it has no such value.'
    case 'no-such-code':
      return 'Its manual has no such code.'
  }
}
