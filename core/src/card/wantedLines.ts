import { codesFor, encode, settingsOf, type CannotWrite, type ManualCode } from '../manual'
import type { SettingId } from '../plan'
import { message, messageText, type Message } from '../quantities'
import { endOf } from '../wiring/model'
import type { CardLine, Problem } from './cardLine'
import { finished } from './finished'
import { isFirst, isKnownState, type Making } from './making'
import { plainValue, plannedWords } from './plainValue'

/** Settings whose value is another on each belt position. */
const byPosition: ReadonlySet<SettingId> = new Set(['displayScale', 'maximumHz', 'decelerationS'])

/** A line for everything that is wanted, whatever the drive holds: by codes, for the wiring, under plain names. */
export const wantedLines = (making: Making): CardLine[] => [
  ...codedLines(making),
  ...wiringLines(making),
  ...neutralLines(making),
]

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
    case 'below-least':
      return {
        problem: {
          says: message`It takes ${nearest ?? ''} at the ${written.why === 'above-most' ? 'most' : 'least'}.`,
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
  const wiring = making.wiring()
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
