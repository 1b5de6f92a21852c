import { numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import { openSettings } from '../facts/settings/openSettings'
import { rampMeaningOf } from '../facts/settings/rampOfDrive'
import { actingValue } from '../facts/settings/settingsFacts'
import { set } from '../plan'
import { listed, message, seconds } from '../quantities'
import { settingTable } from '../stages/settingTable'
import { doesNotApply, good, lacks } from './answer'
import { type Answer } from './finding'

/** A card that was begun and not ended, or a reset in the middle of it. */
export function halfWritten({ plan, settings }: Facts): Answer {
  const { entered, state } = plan.settings
  const begun = Object.values(entered ?? {}).some(({ answer }) => answer === 'entered')
  if (!begun) return doesNotApply('No line of the card was ticked')
  if (state === 'entered') return good(message`The whole card is said to be entered.`)
  const open = openSettings(plan, settings.lines)
  const first = open.filter(({ id }) => settingTable[id].firstSpin === true)
  if (first.length > 0)
    return {
      severity: 'stop',
      about: 'first',
      title: message`The card is half entered`,
      says: message`Still to be entered before it turns: ${listed(first.map(({ label }) => label))}.`,
      why: 'Half a card is neither the old settings nor the new: it may start from another place, too fast, or without its overload.',
      toDo: true,
    }
  if (open.length > 0)
    return {
      severity: 'watch',
      about: 'rest',
      title: message`Some lines of the card are open`,
      says: message`What a first spin wants is in. Open: ${listed(open.map(({ label }) => label))}.`,
      why: 'They are wanted before it goes onto the machine.',
      toDo: true,
    }
  return good(message`Every line that was to be entered is.`)
}

/** Seconds of a ramp that count to another end than was thought. */
export function rampMeaning({ plan, settings }: Facts): Answer {
  const { accelerationS, decelerationS } = plan.settings.inDrive
  const meaning = rampMeaningOf(plan)
  const [baseHz, topHz] = [numberOf(settings.baseFrequencyHz), numberOf(settings.maximumHz)]
  if (meaning !== undefined) {
    if (meaning === 'grade' && (plan.settings.grades?.length ?? 0) < 2) return lacks('settings.grades')
    const acting = actingValue(settings.lines, 'decelerationS')
    return good(
      typeof acting === 'number'
        ? message`${seconds(acting)} from the highest hertz to standstill, as this drive counts.`
        : message`It is known what they count.`,
    )
  }
  if (accelerationS === undefined && decelerationS === undefined)
    return doesNotApply('No ramp was read in the drive; what is entered is timed at run-in')
  if (baseHz === undefined || topHz === undefined || topHz <= baseHz * 1.05) return lacks('settings.rampMeans')
  const entered = decelerationS ?? accelerationS ?? 0
  return {
    severity: 'note',
    title: message`What its ramps count is not known`,
    says: message`${seconds(entered)} take ${seconds(entered)} if they count to the highest hertz, ${seconds((entered * topHz) / baseHz)} if to base.`,
    why: 'A ramp judged by the wrong end is too short for the belt or the thread, or too long for a stop.',
    remedies: [
      { label: message`They count to the highest hertz`, patch: [set('settings.rampMeans', 'to-maximum')] },
      { label: message`They count to base hertz`, patch: [set('settings.rampMeans', 'to-base')] },
    ],
    path: 'settings.rampMeans',
  }
}
