import type { Facts } from '../facts/facts'
import { defaultOf } from '../facts/settings/heldCodes'
import type { Plan, SettingId } from '../plan'
import { message } from '../quantities'
import { good, lacks, type CannotBeJudged, type Good } from './answer'

/** What is said where a setting was not read: that the card is said to be entered, that it comes as planned, or what to read. */
export function unread({ plan, settings }: Facts, id: SettingId): Good | CannotBeJudged {
  const { state } = plan.settings
  if (state === 'entered') return good(message`Entered as on the card.`)
  if (state === undefined) return lacks('settings.state')
  const wanted = settings.lines.find((line) => line.id === id)?.value
  if (wanted !== undefined && wanted === defaultOf(plan, id)) return good(message`So it comes, by its manual.`)
  return lacks(`settings.inDrive.${id}`)
}

/** What the drive was read to hold. */
export const read = (plan: Plan, id: SettingId): string | number | undefined => plan.settings.inDrive[id]
