import type { MotorKind } from '../plan/motorPlate'
import { turnsOnMains } from './crossCheck'
import { figureOf } from './figures'
import type { Figure, Told } from './motorSaid'

/** Words that only a motor of one kind carries, those first that decide against the others. */
const kindWords: readonly (readonly [MotorKind, RegExp])[] = [
  ['servo', /\b(?:stepp?(?:er|ing)|servo|step angle|holding torque|schrittmotor|nema\s?(?:17|23|24|34)\b)/i],
  ['brushless', /\b(?:brushless|bldc|bürstenlos\w*|ec[ -]motor|pmsm|sans balais)\b/i],
  ['repulsion', /\b(?:repulsion|répulsion|repulsions\w*|repulsión|repulsione|brush[ -](?:lift|rais)\w*)/iu],
  ['universal', /\b(?:universal|carbon brush\w*|ac\s*\/\s*dc|dc\s*\/\s*ac|series[ -]wound)\b/i],
  [
    'pole-changing',
    /\b(?:(?:two|2|dual)[ -]speeds?(?!\s*[:=]?\s*\d{3})|pole[ -]chang\w*|dahlander|polumschaltbar|deux vitesses|due velocità|dos velocidades|2 vitesses)\b|(?:(?<!\p{L})(?:yy|ΔΔ|dd)\s*\/\s*(?:y|Δ|d)|(?<!\p{L})(?:y|Δ|d)\s*\/\s*yy)(?!\p{L})/iu,
  ],
  [
    'single-phase',
    /\b(?:cap(?:acitor)?\.?[ -]?(?:start|run)\w*|single[ -]?phase|split[ -]?phase|shaded[ -]pole|einphasen\w*|wechselstrommotor|monophas\p{L}+|monofas\p{L}+|monofásic\p{L}+)|\b(?:\d+[.,]?\d*)\s*(?:µ|u|μ|m)f(?:d)?\b/iu,
  ],
  [
    'dc',
    /(?<!\p{L})(?:shunt|stab(?:ilized)? shunt|compound[ -]wound|\p{L}*nebenschluss\p{L}*|im[aá]n permanente|motor (?:cc|c\.c\.)(?!\p{L})|tread\s?mill\w*|(?:v|volts?|a|amps?)\s+(?:arm(?:ature)?|field|fld)(?!\p{L})|fld\.?\s+(?:v|volts?|a|amps?)\b|armature|arm\.?\s+(?:v|volts?|a|amps?)\b|perm(?:anent)?\.?[ -]?mag(?:net)?\b|pmdc|d\.?c\.? motor|gleichstrom\w*|field (?:v|volts?|a|amps?)\b|courant continu|corrente continua|corriente continua)/iu,
  ],
  ['high-frequency', /\b(?:spindle|frässpindel|spindelmotor|elettromandrino|broche|high[ -]frequency)\b/i],
  [
    'induction',
    /\b(?:three[ -]?phase|poly[ -]?phase|drehstrom\w*|dreiphasen\w*|triphas\p{L}+|trifas\p{L}+|trifásic\p{L}+)/iu,
  ],
]
/** Direct volts, which a brake or a capacitor has too. */
const DIRECT = /\d\s*v\s*\.?\s*d\.?\s*c\b|\bv(?:dc|cc|cd)\b|\bv\s*=(?!\s*\d)|\bd\.?\s?c\.?\s+\d|\bvolts? d\.?c\.?\b/i
const OTHER_THING =
  /\b(?:brake|bremse|frein|freno|cap|capacitor|kondensator|condensateur|condensatore|heater|db)\b|(?:µ|u|μ|m)fd?\b/i

interface KindWord {
  kind: MotorKind
  words: string
}

/** What kinds of motor a line names. */
export function kindsIn(line: string): KindWord[] {
  const found = kindWords.flatMap(([kind, words]) => {
    const match = words.exec(line)
    return match ? [{ kind, words: match[0] }] : []
  })
  const direct = DIRECT.exec(line)
  return direct && found.length === 0 && !OTHER_THING.test(line) ? [{ kind: 'dc', words: direct[0] }] : found
}

/** The one that counts, of all that a plate names. */
const kindOf = (kinds: readonly MotorKind[]): MotorKind | undefined =>
  kindWords.map(([kind]) => kind).find((kind) => kinds.includes(kind))

/** Mains hertz end here: a motor for more runs from a drive alone. */
const HIGH_FREQUENCY_HZ = 100

/**
 * The kind of motor by the plate's words, its phases, two speeds or hertz that no mains has.
 *
 * @param named kinds that the words of each line name
 * @param words what words say, phases among them
 */
export function kindTold(
  named: readonly KindWord[][],
  words: readonly Told[],
  figures: readonly Figure[],
  hertz: readonly number[],
): { value: MotorKind | undefined; told: Told[] } {
  const phases = words.filter((w) => w.path === 'motor.kind')
  const saysPhases = (kind: MotorKind) => phases.some((w) => w.values.includes(kind))
  const inWords = named.flat().map((k) => k.kind)
  // Of a motor with a field or a driver of its own, two speeds are base and top.
  const ownSpeeds = inWords.some((kind) => kind !== 'pole-changing' && kind !== 'induction' && kind !== 'single-phase')
  const twoSpeeds = ownSpeeds
    ? undefined
    : figures.find(
        (f) =>
          f.part === undefined &&
          f.group.alternatives.length === 2 &&
          f.doubt === undefined &&
          (f.quantity === 'poles' || (f.quantity === 'speed' && hertz.length < 2)) &&
          f.group.alternatives.every((a) => f.quantity === 'poles' || turnsOnMains(figureOf(a.low, f.term))),
      )
  const said = kindOf([
    ...inWords,
    ...phases.flatMap((w) => w.values as MotorKind[]),
    ...(twoSpeeds ? ['pole-changing' as const] : []),
  ])
  const [only] = hertz
  const isHigh =
    (said === undefined || said === 'induction') &&
    hertz.length === 1 &&
    only !== undefined &&
    only >= HIGH_FREQUENCY_HZ &&
    figures.every((f) => f.quantity !== 'hertz' || f.doubt === undefined)
  const value = isHigh ? 'high-frequency' : said
  if (value === undefined) return { value, told: [] }
  const inLine = named.findIndex((line) => line.some((k) => k.kind === value))
  const line =
    inLine >= 0
      ? inLine
      : (phases.find((w) => w.values.includes(value)) ?? twoSpeeds ?? figures.find((f) => f.quantity === 'hertz'))?.line
  const both = saysPhases('induction') && (saysPhases('single-phase') || inWords.includes('single-phase'))
  const doubt = both ? { doubt: 'the plate tells one phase and three' } : {}
  return { value, told: [{ path: 'motor.kind', values: [value], line: line ?? 0, ...doubt }] }
}
