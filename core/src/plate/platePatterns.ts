import type { PlanPath } from '../plan'
import { dimensions, nominalVoltage, parseNumber } from '../quantities'

/** A field of the plan's motor with what the plate says for it. */
export interface PlateValue {
  path: PlanPath
  value: number | string
}

export interface PlatePattern {
  find: RegExp
  read: (match: RegExpExecArray) => { values: PlateValue[]; note?: string }
}

const NUMBER = String.raw`\d+(?:[.,]\d+)*|[.,]\d+`
/** `230`, `220-240`, `230/400`, `220-240 / 380-415`. */
const PAIR = String.raw`(?:(?:${NUMBER})(?:\s*-\s*(?:${NUMBER}))?)(?:\s*\/\s*(?:(?:${NUMBER})(?:\s*-\s*(?:${NUMBER}))?))?`
const POWER = String.raw`\d+\s+\d+\/\d+|\d+\/\d+|${NUMBER}`

/** Watts in one of the units plates print; the metric horsepower is 75 kilogram-metres in a second. */
const W_PER = { kw: 1000, w: 1, hp: dimensions.power.units[2].factor, ps: 75 * 9.80665 } as const

const number = (text: string | undefined, thousands = false): number => parseNumber(text ?? '', thousands) ?? NaN
const one = (path: PlanPath, value: number | string): { values: PlateValue[] } => ({ values: [{ path, value }] })
const kind = (value: string) => one('motor.kind', value)

/** A plate's range is a nominal voltage with what it may stray; the nominal is taken. */
function single(text: string): { value: number; ranged: boolean } {
  const [from, to] = text.split('-').map((t) => number(t.trim()))
  if (to === undefined) return { value: from ?? NaN, ranged: false }
  return { value: nominalVoltage(((from ?? NaN) + to) / 2), ranged: true }
}

function pair(text: string, low: PlanPath, high: PlanPath): { values: PlateValue[]; note?: string } {
  const read = text.split('/').map((t) => single(t.trim()))
  const values = read.slice(0, 2).map(({ value }, i): PlateValue => ({ path: i === 0 ? low : high, value }))
  return read.some((r) => r.ranged) ? { values, note: `“${text.trim()}” read as its nominal value` } : { values }
}

/** Amps of a range are those of its middle; the larger is the safe one to plan with, the smaller to protect with. */
function ampPair(text: string): { values: PlateValue[]; note?: string } {
  const read = text.split('/').map((t) => t.split('-').map((n) => number(n.trim())))
  const values = read.slice(0, 2).map((range, i): PlateValue => ({
    path: i === 0 ? 'motor.lowVoltageA' : 'motor.highVoltageA',
    value: Math.min(...range),
  }))
  return read.some((r) => r.length > 1)
    ? { values, note: `“${text.trim()} A”: the smaller is taken, which protects the motor` }
    : { values }
}

const rx = (source: string): RegExp => new RegExp(source, 'i')
/** A word that starts a saying, with the colon or equals sign people put after it. */
const label = (words: string): string => String.raw`(?<![\p{L}\d])(?:${words})\s*[:=.]?\s*`
const rxu = (source: string): RegExp => new RegExp(source, 'iu')

const power = (text: string | undefined, unit: keyof typeof W_PER) => one('motor.powerW', number(text) * W_PER[unit])
const percentOrShare = (text: string | undefined): number => {
  const n = number(text)
  return n > 1.5 ? n / 100 : n
}

/** `90L-4`: the frame, and in many catalogues the poles after it. */
function frameAndPoles(frame: string, poles: string | undefined): { values: PlateValue[] } {
  const values: PlateValue[] = [{ path: 'motor.frame', value: frame.toUpperCase().replace(/\s/g, '') }]
  return { values: poles === undefined ? values : [...values, { path: 'motor.platePoles', value: number(poles) }] }
}

/** What plates print and how, longest sayings first: each takes its words out of the line. */
export const platePatterns: readonly PlatePattern[] = [
  // What kind of motor it is, told by words that only such plates carry.
  {
    find: rx(
      String.raw`\b(?:cap(?:acitor)?[ -]?(?:start|run)\w*|(?:${NUMBER})\s*(?:µ|u|m)f(?:d)?\b|single[ -]phase|split[ -]phase)`,
    ),
    read: () => kind('single-phase'),
  },
  {
    find: rx(String.raw`\b(?:holding torque|stepp?(?:er|ing)(?: motor)?|servo(?: ?motor)?|step angle)\b[^;]*`),
    read: () => kind('servo'),
  },
  { find: rx(String.raw`\b(?:universal(?: motor)?|carbon brush\w*|ac\s*\/\s*dc)\b`), read: () => kind('universal') },
  {
    find: rx(
      String.raw`\b(?:shunt(?: wound)?|compound wound|arm(?:ature)?\s*(?:v|volts?|a|amps?)?|field\s*(?:v|volts?|a|amps?)|perm(?:anent)? mag(?:net)?(?: dc)?|d\.?c\.? motor)\b[^;]*`,
    ),
    read: () => kind('dc'),
  },
  {
    find: rx(
      String.raw`\b(?:two[ -]speed|2[ -]speed|pole[ -]chang\w*|dahlander|(?:yy|ΔΔ|dd)\s*\/\s*(?:y|Δ|d)|(?:y|Δ|d)\s*\/\s*yy)\b`,
    ),
    read: () => kind('pole-changing'),
  },
  {
    find: rxu(
      String.raw`(?:${label('ph(?:ase)?s?')}3(?!\d)|(?<!\d)3\s*(?:~|ph(?:ase)?s?(?!\p{L}))|three[ -]phase)(?:\s*(?:motor|mot\.?))?`,
    ),
    read: () => kind('induction'),
  },
  {
    find: rxu(String.raw`${label('ph(?:ase)?s?')}1(?!\d)|(?<!\d)1\s*(?:~|ph(?:ase)?s?(?!\p{L}))`),
    read: () => kind('single-phase'),
  },

  // Two speeds on one plate are made by changing poles.
  {
    find: rx(String.raw`(\d{3,5})\s*\/\s*(\d{3,5})\s*(?:rpm|r\/min|min-?1|1\/min|u\/min)`),
    read: () => kind('pole-changing'),
  },

  // Limits before the plain speed, which they would otherwise be taken for.
  {
    find: rxu(
      String.raw`${label(String.raw`n\s*max|max(?:imum)?\.?\s*(?:safe\s*)?(?:rpm|speed|operating speed)`)}(${NUMBER})(?:\s*(?:rpm|r\/min|min-?1))?`,
    ),
    read: (m) => one('motor.maximumRpm', number(m[1], true)),
  },
  {
    find: rx(String.raw`(${NUMBER})\s*(?:rpm|r\/min|min\s*\^?-?1|1\/min|u\/min|t\/min)`),
    read: (m) => one('motor.ratedSpeedRpm', number(m[1], true)),
  },
  {
    find: rxu(String.raw`${label(String.raw`r\.?p\.?m|speed|n`)}(${NUMBER})(?!\s*[:\p{L}])`),
    read: (m) => one('motor.ratedSpeedRpm', number(m[1], true)),
  },

  {
    find: rx(
      String.raw`(?:(?:const(?:ant)?\s*torque|ct)\s*[:=]?\s*)(\d{1,4})\s*:\s*1|(\d{1,4})\s*:\s*1\s*(?:ct|const(?:ant)?\s*torque)`,
    ),
    read: (m) => one('motor.inverterDutyRatio', number(m[1] ?? m[2])),
  },
  {
    find: rxu(String.raw`${label(String.raw`ma\s*\/\s*mn|mk\s*\/\s*mn|bdt|pull-?out`)}(${NUMBER})`),
    read: (m) => one('motor.breakdownRatio', number(m[1])),
  },
  {
    find: rxu(String.raw`${label(String.raw`cos\s*(?:φ|ϕ|phi|fi)?|p\.?\s?f\.?|power factor`)}(${NUMBER})`),
    read: (m) => one('motor.powerFactor', percentOrShare(m[1])),
  },
  {
    find: rxu(
      String.raw`${label(String.raw`(?:nema\s*)?(?:nom\.?\s*)?eff(?:iciency)?|η|eta|ie[1-4]\s*-?`)}(${NUMBER})\s*%?`,
    ),
    read: (m) => one('motor.efficiency', percentOrShare(m[1])),
  },
  {
    find: rxu(String.raw`${label(String.raw`s\.?\s?f\.?|serv(?:ice)?\.?\s*fact(?:or)?`)}(${NUMBER})`),
    read: (m) => one('motor.serviceFactor', number(m[1])),
  },

  { find: rx(String.raw`(${POWER})\s*kw\b`), read: (m) => power(m[1], 'kw') },
  { find: rx(String.raw`(${POWER})\s*(?:hp|bhp|h\.p\.)(?![a-z])`), read: (m) => power(m[1], 'hp') },
  { find: rx(String.raw`(${POWER})\s*(?:ps|cv|pk)\b`), read: (m) => power(m[1], 'ps') },
  { find: rxu(String.raw`${label('h\\.?p')}(${POWER})`), read: (m) => power(m[1], 'hp') },
  { find: rxu(String.raw`${label('kw')}(${POWER})`), read: (m) => power(m[1], 'kw') },
  { find: rx(String.raw`(${NUMBER})\s*w\b`), read: (m) => power(m[1], 'w') },

  {
    find: rx(String.raw`(${NUMBER})\s*(?:hz|hertz|cycles?|cyc?\.?)(?![a-z])`),
    read: (m) => one('motor.ratedFrequencyHz', number(m[1])),
  },
  {
    find: rxu(String.raw`${label('hz|hertz|cy(?:c(?:les?)?)?|freq(?:uency)?')}(${NUMBER})`),
    read: (m) => one('motor.ratedFrequencyHz', number(m[1])),
  },

  {
    find: rx(
      String.raw`(?:(?:Δ|∆|d)\s*\/\s*(?:y|λ|⅄)\s*)?(${PAIR})\s*(?:v(?:olts?)?|vac)(?![a-z])(?:\s*(?:Δ|∆|d)\s*\/\s*(?:y|λ|⅄))?`,
    ),
    read: (m) => pair(m[1] ?? '', 'motor.lowVoltageV', 'motor.highVoltageV'),
  },
  {
    find: rxu(String.raw`${label('volts?|v')}(${PAIR})`),
    read: (m) => pair(m[1] ?? '', 'motor.lowVoltageV', 'motor.highVoltageV'),
  },
  { find: rx(String.raw`(${PAIR})\s*a(?:mps?)?(?![a-z])`), read: (m) => ampPair(m[1] ?? '') },
  { find: rxu(String.raw`${label('f\\.?l\\.?a|full load amps|amps?|a')}(${PAIR})`), read: (m) => ampPair(m[1] ?? '') },

  { find: rx(String.raw`\bip\s?\d{2}\b`), read: (m) => one('motor.enclosure', m[0].toUpperCase().replace(/\s/, '')) },
  {
    find: rxu(String.raw`(?:${label('encl(?:osure)?')})?(tefc|tenv|odp|drip[ -]?proof|totally enclosed)(?!\p{L})`),
    read: (m) => one('motor.enclosure', (m[1] ?? '').toUpperCase()),
  },
  {
    find: rxu(
      String.raw`${label(String.raw`(?:ins(?:ul(?:ation)?)?\.?\s*|th\.?\s*|iso\.?\s*)?(?:class|cl)|ins(?:ul(?:ation)?)?`)}([AEBFH])(?!\p{L})`,
    ),
    read: (m) => one('motor.insulationClass', (m[1] ?? '').toUpperCase()),
  },
  {
    find: rxu(String.raw`${label('frame|fr|baugröße|size')}(\d{2,3}\s?[A-Z]{0,3}\d?)(?![\p{L}\d])`),
    read: (m) => one('motor.frame', (m[1] ?? '').toUpperCase().replace(/\s/g, '')),
  },
  {
    find: rxu(
      String.raw`(?<![\p{L}\d.])((?:56|63|71|80|90|100|112|132|160|180)\s?[SML]\d?)(?:\s*-\s*(2|4|6|8))?(?![\p{L}\d])`,
    ),
    read: (m) => frameAndPoles(m[1] ?? '', m[2]),
  },
  {
    find: rxu(String.raw`(?<!\d)(\d{1,2})\s*-?\s*pol(?:es?|ig)?(?!\p{L})|${label('poles?')}(\d{1,2})`),
    read: (m) => one('motor.platePoles', number(m[1] ?? m[2])),
  },
]
