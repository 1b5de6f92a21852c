import { parseQuantity, type Dimension } from '../quantities'
import { cut } from '../rules/text'
import type { MeasurementKind } from './measurement'
import { instant, leadOf, withoutHoles, type ReadingsContext } from './readingWords'

const N = String.raw`(-?\d[\d.,]*(?:[ -]\d+/\d+)?)`
const RPM = String.raw`(?:rpm|r/min|u/min|tr/min|min-1|min⁻¹|1/min|revs?)`

/** A quantity with its unit, and what it may be a reading of. */
const quantities: readonly (readonly [Dimension, string])[] = [
  ['surfaceSpeed', 'm/min|mpm|m/s|ft/min|fpm|sfm|sfpm'],
  ['speed', RPM],
  ['torque', 'n ?·?m|lbf?[ -]?ft|ft[ -]?lbf?|in[ -]?lbf?'],
  ['insulation', 'mω|mohms?|megohms?|meg|gω|gohms?'],
  ['resistance', 'kω|kohms?|ω|ohms?'],
  ['frequency', 'hz|hertz|cycles'],
  ['temperature', '°c|°f|deg c|deg f|celsius|fahrenheit'],
  ['voltage', 'volts?|vac|v'],
  ['current', 'amps?|amperes?|ma|a'],
  ['time', 'seconds?|secs?|s|minutes?|min'],
]

const readsAs = (rest: string): Partial<Record<Dimension, MeasurementKind | undefined>> => ({
  surfaceSpeed: 'surface-speed',
  speed: /\bmotor\b|\bshaft\b/i.test(rest) ? 'motor-speed' : 'spindle-speed',
  torque: 'seat-torque',
  insulation: 'insulation',
  resistance: 'resistance',
  frequency: 'hertz',
  temperature: 'temperature',
  voltage: 'volts',
  current: 'amps',
  time: timedIn(rest),
})

/** Which of the three times, by its word. */
const timedIn = (words: string): MeasurementKind | undefined =>
  /\bcoast|\bfree|\bruns? (?:on|out)\b/i.test(words)
    ? 'coast'
    : /\bup\b|\baccel|\bto speed\b|\bstart/i.test(words)
      ? 'run-up'
      : /\bdown\b|\bstop|\bbrak|\bdecel/i.test(words)
        ? 'run-down'
        : undefined

const PLACED = '(?:on|pos(?:ition)?|belt|step|lever|in)'
const EXAMPLE = 'Such as: 412 rpm at 50 Hz on slow'

/** The readings of one line of words, with what is said beside them; or why there are none. */
export function readingsOfLine(line: string, { positions, system, takenAt }: ReadingsContext): unknown[] | string {
  let rest = ` ${line} `
  const at: Record<string, unknown> = { takenAt }
  const take = (pattern: RegExp): RegExpExecArray | undefined => {
    const found = pattern.exec(rest)
    if (!found) return undefined
    rest = `${rest.slice(0, found.index)} ; ${rest.slice(found.index + found[0].length)}`
    return found
  }
  const amount = (text: string | undefined, dimension: Dimension): number | undefined => {
    const read = parseQuantity(text ?? '', dimension, system)
    return read.ok ? read.value : undefined
  }

  const day = take(/\b(\d{4}-\d\d-\d\d)(?:[T ](\d\d:\d\d))?\b/)
  if (day?.[1]) at.takenAt = instant(day[1], day[2]) ?? takenAt
  // Names may hold numbers, so they go before numbers are looked for; the longest first.
  const named = [...positions]
    .sort((a, b) => b.name.length - a.name.length)
    .find(
      ({ name }) =>
        take(
          new RegExp(
            // A name that is a number is one only behind its word; what stands behind a number is its unit.
            String.raw`(?<!\p{L}|[\d.,]\s*)(?:${PLACED}\.?\s+(?:the\s+)?)${/\p{L}/u.test(name) ? '*' : '+'}${escaped(name)}(?![\p{L}\d.,])`,
            'iu',
          ),
        ) !== undefined,
    )
  if (named) at.positionId = named.id
  const lead = take(/(?<!\p{L}|\d\s*)(?:(?:lead|phase|leg)\s+([uvw123])|([uvw])[12]?|[ltr]([123]))(?![\p{L}\d/])/iu)
  if (lead) at.lead = leadOf(lead[1] ?? lead[2] ?? lead[3] ?? '')
  const fromTo = take(
    new RegExp(
      String.raw`\bfrom\s+${N}(?:\s*${RPM})?(?:\s+(?:down\s+)?to\s+(?:${N}(?:\s*${RPM})?|rest|standstill|nothing))?`,
      'i',
    ),
  )
  if (fromTo) {
    at.fromRpm = amount(fromTo[1], 'speed')
    at.toRpm = fromTo[2] === undefined ? undefined : amount(fromTo[2], 'speed')
  }
  const command = take(
    new RegExp(String.raw`\b(?:command(?:ed)?\s+(?:at\s+|speed\s+)?|s(?=\d))${N}(?:\s*${RPM})?`, 'i'),
  )
  const dial = take(new RegExp(String.raw`\bdial\s+(?:at\s+|mark\s+)?${N}`, 'i'))
  // A setting is said beside a reading, or after `at`.
  const hertz =
    take(new RegExp(String.raw`(?:\bat|@)\s*${N}\s*(?:hz|hertz|cycles)`, 'i')) ??
    (others(rest, 'frequency') ? take(quantityOf('frequency')) : undefined)
  if (hertz) at.hz = amount(hertz[1], 'frequency')
  const motor = take(
    new RegExp(
      String.raw`(?:\b(?:at|with)\s+)?\bmotor\s+(?:at\s+)?${N}\s*${RPM}|(?:\bat|@)\s+${N}\s*${RPM}(?:\s+(?:of\s+the\s+)?motor)?`,
      'i',
    ),
  )
  const found: unknown[] = []
  for (const [dimension] of quantities)
    for (;;) {
      const before = rest
      const match = take(quantityOf(dimension))
      if (!match) break
      const value = amount(match[0], dimension)
      const kind = readsAs(before)[dimension]
      if (value === undefined) return `"${match[0].trim()}" could not be read. ${EXAMPLE}`
      if (kind === undefined) return `${match[0].trim()} of what? Say coast, up or down: coast 14 s from 1420 rpm`
      found.push({ kind, value })
    }
  if (motor) {
    const rpm = amount(motor[1] ?? motor[2], 'speed')
    if (found.length > 0) at.motorRpm = rpm
    else found.push({ kind: 'motor-speed', value: rpm })
  }
  if (dial) {
    const mark = amount(dial[1], 'number')
    if (found.length > 0) at.dial = mark
    else found.push({ kind: 'dial', value: mark })
  }
  if (command && found.length > 0) at.commandedRpm = amount(command[1], 'speed')
  if (hertz && found.length === 0) found.push({ kind: 'hertz', value: at.hz })
  if (found.length === 0)
    return /\d/.test(line)
      ? `There is a number, and no unit that says of what. ${EXAMPLE}`
      : `No number is in it. ${EXAMPLE}`
  const unread = /\d[\d.,]*/.exec(rest)
  if (unread) return `${unread[0]} was not understood. ${EXAMPLE}`
  const note = leftOver(rest)
  return found.map((one) => withoutHoles({ ...at, ...(one as object), note }))
}

const quantityOf = (dimension: Dimension): RegExp =>
  new RegExp(String.raw`${N}\s*(?:${quantities.find(([d]) => d === dimension)?.[1] ?? ''})(?![\p{L}\d/])`, 'iu')

/** Whether there is a quantity beside those of one dimension. */
const others = (rest: string, dimension: Dimension): boolean =>
  quantities.some(([d]) => d !== dimension && quantityOf(d).test(rest))

/** Words that are neither reading nor setting, kept as the note. */
function leftOver(rest: string): string | undefined {
  const words = rest
    .replace(/;/g, ' ')
    .replace(
      /\b(?:at|on|the|with|of|is|was|and|to|spindle|motor|coast(?:s|ed|ing)?|up|down|takes|took|reads?|temp(?:erature)?)\b/gi,
      ' ',
    )
    .replace(/[\s,.:=|@-]+/g, ' ')
    .trim()
  return words === '' ? undefined : cut(words, 300)
}

const escaped = (name: string): string => name.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)
