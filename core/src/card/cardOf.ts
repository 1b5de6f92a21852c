import { couldHurt } from '../facts/settings/couldHurt'
import { heldCodes, holds, type HeldCodes } from '../facts/settings/heldCodes'
import type { SettingLine } from '../facts/settings/settingLine'
import { shareOfPlan } from '../facts/settings/shareOf'
import { codesFor, encode, settingsOf, type CannotWrite, type ShareOf, type Value } from '../manual/coding'
import { codesByName } from '../manual/driveMemory'
import { entryOrder, entryReasons, type Entry, type Wish } from '../manual/entryOrder'
import { emptyManual, type Manual, type ManualCode } from '../manual/manual'
import type { Plan, SettingId } from '../plan'
import { message, messageText, type Message } from '../quantities'
import { settingTable } from '../stages/settingTable'
import { endOf } from '../wiring/model'
import { wiringOf } from '../wiring/wiringOf'
import type { Card, CardLine, LeftAlone, Problem, Waiting } from './cardLine'
import { cautionFor } from './cautionFor'
import { settingOfTrim } from './trimSlots'
import { plainValue, plannedWords } from './plainValue'
import { wantedValues } from './wantedValues'

/** Settings whose value is another on each belt position. */
const byPosition: ReadonlySet<SettingId> = new Set(['displayScale', 'maximumHz', 'decelerationS'])

const isFirst = (id: SettingId): boolean => settingTable[id].firstSpin === true

/** What must be known to make lines of what is wanted. */
interface Making {
  plan: Plan
  manual: Manual
  lines: readonly SettingLine[]
  wanted: ReadonlyMap<SettingId, Value>
  of: ShareOf
  now: HeldCodes
}

/**
 * The card for this drive: what differs from what it holds now, in an order that its locks allow, in its own codes and way
 * of writing. Of a drive of which nothing is known only what could hurt or spoil the plan; the rest is left alone. What no
 * manual gives a code for stands under the product’s own name.
 *
 * @param lines the settings of the plan’s evaluation
 */
export function cardOf(plan: Plan, lines: readonly SettingLine[]): Card {
  const manual = plan.manual ?? emptyManual('The drive')
  const of = shareOfPlan(plan, lines)
  const making: Making = {
    plan,
    manual,
    lines,
    wanted: wantedValues(plan, lines),
    of,
    now: heldCodes(plan, manual, of),
  }
  const made = [...codedLines(making), ...wiringLines(making), ...neutralLines(making)]
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
  return own.inDrive !== undefined && near(own.inDrive, own.value)
}

const near = (a: Value, b: Value): boolean =>
  typeof a === 'number' && typeof b === 'number'
    ? Math.abs(a - b) <= 0.02 * Math.max(Math.abs(a), Math.abs(b))
    : a === b

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
  (trimFor(making.manual, line) !== undefined || (making.manual.codes.length > 0 && !matters(making, line)))

/** The trim potentiometer that makes a setting. */
const trimFor = ({ trims }: Manual, { settings: [id] }: CardLine): Manual['trims'][number] | undefined =>
  trims.find((trim) => id !== undefined && settingOfTrim[trim.sets] === id)

const leftFor = ({ manual }: Making, line: CardLine): LeftAlone[] => {
  const trim = trimFor(manual, line)
  return line.settings.slice(0, 1).map((id) => ({
    id,
    label: settingTable[id].name,
    ...(line.code === undefined ? {} : { code: line.code }),
    says: trim
      ? message`Set by the trim ${trim.prints}: ${line.means}.`
      : line.code === undefined && manual.codes.length > 0
        ? message`Its manual names no code for it. The plan would have ${line.means}.`
        : message`Not known what it holds; the usual default does no harm. The plan would have ${line.means}.`,
  }))
}

/** The codes that the wanted settings are entered under, each once. */
function codedLines(making: Making): CardLine[] {
  const { manual, lines, wanted } = making
  const codes = new Set<ManualCode>()
  for (const { id, value } of lines) {
    const code = value === undefined ? undefined : codesFor(manual, id)[0]
    if (code && wanted.has(id)) codes.add(code)
  }
  return [...codes].map((code) => codedLine(making, code))
}

function codedLine(making: Making, code: ManualCode): CardLine {
  const { plan, lines, wanted, of, now } = making
  const settings = settingsOf(code).filter((id) => wanted.has(id))
  const own = settings.flatMap((id) => lines.find((l) => l.id === id) ?? [])
  const [main] = own
  const written = encode(code, Object.fromEntries(settings.map((id) => [id, wanted.get(id)])), of, now.held[code.code])
  const says = own.flatMap((line, i): Message => [
    ...(i > 0 ? ['; '] : []),
    ...(own.length > 1 ? [`${line.label}: `] : []),
    ...plannedWords(line),
  ])
  return finished(making, {
    key: code.code,
    code: code.code,
    words: code.words,
    settings,
    value: typeof written === 'string' ? written : (written.nearest ?? messageText(says)),
    means: says,
    why: main?.reason ?? [],
    basis: main?.basis ?? 'computed',
    for: 'plan',
    first: settings.some(isFirst),
    ...(settings.some((id) => byPosition.has(id)) && plan.survey.positions.length > 1 ? { byPosition: true } : {}),
    ...(settings.some((id) => plan.settings.chosen[id] !== undefined) ? { chosen: true } : {}),
    ...problemOf(code, written, says),
  })
}

function problemOf(code: ManualCode, written: string | CannotWrite, says: Message): { problem?: Problem } {
  if (typeof written === 'string' || written.why === 'not-said') return {}
  const { nearest } = written
  switch (written.why) {
    case 'above-most':
      return {
        problem: {
          says: message`It takes ${nearest ?? ''} at the most.`,
          ...(nearest === undefined ? {} : { nearest }),
        },
      }
    case 'below-least':
      return {
        problem: {
          says: message`It takes ${nearest ?? ''} at the least.`,
          ...(nearest === undefined ? {} : { nearest }),
        },
      }
    case 'share-unknown':
      return { problem: { says: [`It is written as a share of something that is not known yet.`] } }
    default:
      return { problem: { says: message`None of the values of ${code.code} in its manual is ${says}.` } }
  }
}

/** Codes that choose what terminals do, as the wiring wants them. */
function wiringLines(making: Making): CardLine[] {
  const { plan, manual } = making
  if (plan.manual === undefined) return []
  const wiring = wiringOf(plan)
  const line = (code: string, value: string, words: string, means: string): CardLine =>
    finished(making, {
      key: code,
      code,
      words,
      settings: [],
      value,
      means: [means],
      why: ['The wiring wants this terminal so.'],
      basis: 'computed',
      for: 'plan',
      first: false,
    })
  const asked = wiring.lines.map(({ code, value, words, means }) => line(code, value, words, means))
  if (isKnownState(plan)) return asked
  // Nobody knows whether its terminals do what is printed: those that have a wire are entered too.
  const wired = new Set(wiring.wires.flatMap(({ from, to }) => [from, to]))
  const taken = new Set(asked.map(({ key }) => key))
  const drive = wiring.devices.find(({ role }) => role === 'drive')
  const others = (drive?.terminals ?? []).flatMap(({ id, does }): CardLine[] => {
    const code = manual.codes.find((c) => c.terminal === id)
    const value = code?.values.find((v) => v.does === does)
    return code && value && does !== undefined && wired.has(endOf('drive', id)) && !taken.has(code.code)
      ? [line(code.code, value.value, code.words, value.means)]
      : []
  })
  return [...asked, ...others]
}

/** Whether it holds what it comes with, or the card. */
const isKnownState = ({ settings: { state } }: Plan): boolean => state !== undefined && state !== 'second-hand'

/** What the manual gives no code for, under the product’s own names. */
function neutralLines(making: Making): CardLine[] {
  const { plan, manual, lines } = making
  return lines.flatMap((line): CardLine[] => {
    if (line.value === undefined || codesFor(manual, line.id).length > 0) return []
    const means = plannedWords(line)
    return [
      finished(making, {
        key: line.id,
        words: line.label,
        settings: [line.id],
        value: messageText(means),
        means,
        why:
          manual.codes.length + manual.trims.length > 0
            ? message`${line.reason} Its manual names no code for it.`
            : line.reason,
        basis: line.basis,
        for: 'plan',
        first: isFirst(line.id),
        ...(line.inDrive === undefined
          ? {}
          : { from: messageText(plainValue(line.id, line.inDrive)), fromBy: 'read' as const }),
        ...(byPosition.has(line.id) && plan.survey.positions.length > 1 ? { byPosition: true } : {}),
        ...(plan.settings.chosen[line.id] === undefined ? {} : { chosen: true }),
      }),
    ]
  })
}

/** A line with what the manual says of its code, what it holds now, and what became of it. */
function finished({ plan, manual, now }: Making, line: CardLine): CardLine {
  const code = line.code === undefined ? undefined : codesByName(manual).get(line.code)
  const held = line.code === undefined ? undefined : now.held[line.code]
  const by = line.code === undefined ? undefined : now.by[line.code]
  const record = plan.settings.entered?.[line.key]
  const caution = cautionFor(line.settings)
  const keys = code?.keys ?? keysFor(manual, line)
  return {
    ...line,
    ...(held === undefined || by === undefined ? {} : { from: held, fromBy: by }),
    ...(code?.menu === undefined ? {} : { menu: code.menu }),
    ...(keys === undefined ? {} : { keys }),
    ...(code?.onlyStopped === true ? { onlyStopped: true } : {}),
    ...(code?.onlyUnplugged === true ? { onlyUnplugged: true } : {}),
    ...(code?.atFirstPower === true ? { atFirstPower: true } : {}),
    ...(caution === undefined ? {} : { caution }),
    ...(record === undefined ? {} : { record }),
    ...(record?.answer === 'entered' && record.value !== undefined && record.value !== line.value
      ? { stale: true }
      : {}),
  }
}

const keysFor = ({ keying }: Manual, { code, value }: CardLine): string | undefined =>
  code === undefined ? undefined : keying?.replaceAll('{code}', code).replaceAll('{value}', value)

/** Coded lines in the order that the locks allow, with the entries that serve them; each part before those without a code. */
function inOrder(making: Making, open: readonly CardLine[]): Pick<Card, 'lines' | 'first' | 'cycle'> {
  const { manual, now } = making
  const places = new Map(making.lines.map(({ id }, i) => [id, i]))
  const rank = ({ settings: [id] }: CardLine): number => (id === undefined ? places.size : (places.get(id) ?? 0))
  const coded = open.filter(({ code }) => code !== undefined).sort((a, b) => rank(a) - rank(b))
  const plain = open.filter(({ code }) => code === undefined)
  const byKey = new Map(coded.map((line) => [line.key, line]))
  // What stands at a limit, or names no value in the drive’s writing, is asked of nobody.
  const wishes = coded
    .filter(({ problem }) => problem === undefined)
    .map(({ key, value }): Wish => ({ code: key, value }))
  const made = entryOrder(manual, wishes, now.held, now.told, (code) => byKey.get(code)?.first === true)
  const stuck = coded.filter(({ problem }) => problem !== undefined)
  if ('cycle' in made) {
    const sorted = [...coded, ...plain].sort((a, b) => Number(b.first) - Number(a.first))
    return { lines: sorted, first: sorted.filter(({ first }) => first).length, cycle: made.cycle }
  }
  const lines = made.entries.map((entry, i) => {
    const line = lineFor(making, entry, byKey.get(entry.code))
    return { ...line, first: i < made.first }
  })
  const sooner = [...lines.slice(0, made.first), ...[...stuck, ...plain].filter(({ first }) => first)]
  const later = [...lines.slice(made.first), ...[...stuck, ...plain].filter(({ first }) => !first)]
  return { lines: [...sooner, ...later], first: sooner.length }
}

/** The line of an entry: the plan’s own, or one that only serves another. */
function lineFor(making: Making, entry: Entry, own: CardLine | undefined): CardLine {
  if (own && entry.for === 'plan') return own
  const code = codesByName(making.manual).get(entry.code)
  const means = code?.values.find((v) => v.value === entry.value)?.means
  return finished(making, {
    key: entry.for === 'plan' || entry.for === 'closes' ? entry.code : `${entry.code} ${entry.for}`,
    code: entry.code,
    words: code?.words ?? entry.code,
    settings: [],
    value: entry.value,
    means: means === undefined ? [] : [means],
    why: [`${entryReasons[entry.for]}${entry.because === undefined ? '' : `: ${entry.because}`}.`],
    basis: 'computed',
    for: entry.for,
    first: false,
    ...(entry.because === undefined ? {} : { because: entry.because }),
  })
}
