import { alike } from '../facts/settings/alike'
import { couldHurt } from '../facts/settings/couldHurt'
import { heldCodes, holds } from '../facts/settings/heldCodes'
import type { SettingLine } from '../facts/settings/settingLine'
import { shareOfPlan } from '../facts/settings/shareOf'
import { emptyManual, type Manual } from '../manual'
import { heartOf, type Plan } from '../plan'
import { message } from '../quantities'
import { settingTable } from '../stages/settingTable'
import { part } from '../conversion/known'
import type { Wiring } from '../wiring/model'
import type { Card, CardLine, LeftAlone, Waiting } from './cardLine'
import { inOrder } from './inOrder'
import { isKnownState, type Making } from './making'
import { settingOfTrim } from './trimSlots'
import { wantedLines } from './wantedLines'
import { wantedValues } from './wantedValues'

/**
 * The card for this drive: what differs from what it holds now, in an order that its locks allow, in its own codes and way
 * of writing. Of a drive of which nothing is known only what could hurt or spoil the plan; the rest is left alone. What no
 * manual gives a code for stands under the product’s own name.
 *
 */
export const card = part('card', ({ plan, facts }) => cardOf(plan, facts.settings.lines, () => facts.wiring.wiring))

function cardOf(plan: Plan, lines: readonly SettingLine[], wiring: () => Wiring): Card {
  const manual = plan.manual ?? emptyManual('The drive')
  const of = shareOfPlan(plan, lines)
  const making: Making = {
    plan,
    manual,
    lines,
    wiring,
    wanted: wantedValues(plan, lines),
    of,
    now: heldCodes(plan, manual, of),
  }
  const made = wantedLines(making)
  const leave: LeftAlone[] = []
  const standing: CardLine[] = []
  const open: CardLine[] = []
  for (const line of made) {
    if (isNowhere(making, line)) leave.push(...leftFor(making, line))
    else if (stands(making, line)) standing.push(line)
    else if (line.from === undefined && !matters(making, line)) leave.push(...leftFor(making, line))
    else open.push(line)
  }
  for (const { id, label, leave: left, reason } of lines) if (left === true) leave.push({ id, label, says: reason })
  const ordered = inOrder(making, open)
  return {
    coded: plan.manual !== undefined && plan.manual.codes.length > 0,
    ...ordered,
    standing,
    leave,
    waiting: waitingOf(lines),
    unknown: !isKnownState(plan),
  }
}

const waitingOf = (lines: readonly SettingLine[]): Waiting[] =>
  lines.flatMap(({ id, label, value, leave, reason, missing }) =>
    value === undefined && leave !== true ? [{ id, label, says: reason, missing }] : [],
  )

/** Whether a line is done: the drive is known to hold it. */
function stands({ plan, manual, now, lines }: Making, line: CardLine): boolean {
  if (line.problem) return false
  if (line.code !== undefined && line.from !== undefined) return holds(manual, now.held, line.code, line.value)
  if (line.settings.length === 0) return plan.settings.state === 'entered' && line.record?.answer !== 'refused'
  const [id] = line.settings
  const own = lines.find((l) => l.id === id)
  if (own === undefined || own.value === undefined) return false
  if (plan.settings.state === 'entered' && own.inDrive === undefined) return true
  return own.inDrive !== undefined && alike(own.inDrive, own.value)
}

/** Whether it must be entered though nobody knows what the drive holds. */
const matters = ({ plan, lines, now }: Making, line: CardLine): boolean =>
  line.settings.length === 0 ||
  (line.code !== undefined && now.changed.has(line.code)) ||
  line.record !== undefined ||
  line.settings.some((id) => {
    const value = lines.find((l) => l.id === id)?.value
    return plan.settings.chosen[id] !== undefined || (value !== undefined && couldHurt(plan, id, value))
  })

/** Whether the manual is read and names nothing by which a setting could be made, and it matters to nobody. */
const isNowhere = (making: Making, line: CardLine): boolean =>
  line.code === undefined &&
  line.from === undefined &&
  line.record === undefined &&
  (trimFor(making, line) !== undefined ||
    switchFor(making, line) !== undefined ||
    (making.manual.codes.length > 0 && !matters(making, line)))

/** The trim potentiometer that makes a setting. */
const trimFor = ({ plan, manual }: Making, { settings: [id] }: CardLine): Manual['trims'][number] | undefined =>
  manual.trims.find((trim) => id !== undefined && settingOfTrim(trim.sets, heartOf(plan)) === id)

/** The switches that choose the amps of its limit. */
const switchFor = ({ manual }: Making, { settings: [id] }: CardLine): Manual['jumpers'][number] | undefined =>
  id === 'currentLimitA' ? manual.jumpers.find(({ chooses }) => chooses === 'current-limit') : undefined

const leftFor = (making: Making, line: CardLine): LeftAlone[] => {
  const { manual } = making
  const trim = trimFor(making, line) ?? switchFor(making, line)
  return line.settings.slice(0, 1).map((id) => ({
    id,
    label: settingTable[id].name,
    ...(line.code === undefined ? {} : { code: line.code }),
    says: trim
      ? message`Set by ${'kind' in trim ? 'its switches' : 'the trim'} ${trim.prints}: ${line.means}.`
      : line.code === undefined && manual.codes.length > 0
        ? message`Its manual names no code for it. The plan would have ${line.means}.`
        : message`Not known what it holds; the usual default does no harm. The plan would have ${line.means}.`,
  }))
}
