import { plainText } from '../quantities'
import { termOf } from './vocabulary'

/**
 * The smallest parts of a plate's line. A number is never cut out of something larger: `90L` and `6205ZZ` are codes,
 * `230V` is a number and a word, `3~` a number and a mark.
 */
export interface Piece {
  is: 'number' | 'word' | 'code' | 'mark'
  /** As it stands; letters of an abbreviation without their dots. */
  text: string
  from: number
  to: number
}

/** Signs that are printed in many ways, each made one letter of the same length, so that places in the line hold. */
const alike: readonly (readonly [RegExp, string])[] = [
  [/[∆△▲]/g, 'Δ'],
  [/[λ⅄⋏人ʎ]/g, 'Y'],
  [/[ϕɸØøФ]/g, 'φ'],
  [/[µμ]/g, 'u'],
  [/[’‘`´]/g, "'"],
  [/[“”]/g, '"'],
  [/[×✕]/g, 'x'],
  [/[≈∼]/g, '~'],
]

/** Ways to write turns in a minute, each replaced by a word of its own and blanks. */
const perMinute =
  /(?<![\p{L}\d])(?:(?:tr|rev|giri|omdr|rot|r|u|t|g|n)\s?\/\s?(?:min\.?|mn|1')(?!\p{L})|1\s?\/\s?min\.?(?!\p{L}))|(?<!\p{L})min\.?\s?(?:\^|⁻)?\s?\(?[-⁻]\s?[1¹]\)?(?!\d)|(?<=\d)(?:rpm|(?:tr|rev|giri|r|u|t|g)?\s?\/\s?min)(?!\p{L})/giu

/** A line with its signs made plain. */
export function plainLine(line: string): string {
  let text = plainText(line.replace(/\t/g, ' | '))
  for (const [find, as] of alike) text = text.replace(find, as)
  text = text.replace(/\.{2,3}|…/g, '÷')
  return text.replace(perMinute, (found) => ' rpm'.padEnd(found.length)).trim()
}

/** `5 1/2`, `1-1/2`, `3/4`: proper, over what rules are divided by. */
const FRACTION = /(?:\d{1,2}(?:\s|-|\s-\s))?\d{1,2}\/(?:2|3|4|5|6|8|10|12|16|20|32|40)(?![\d/]|[.,]\d)/y
/** `1 420` only before turns in a minute: elsewhere two numbers stand side by side. */
const SPACED = /[1-9]\d? \d{3}(?=\s*rpm)(?!\d)/y
const NUMBER = /\d+(?:[.,']\d+)*|[.,]\d+/y
const WORD = /\p{L}[\p{L}\d]*(?:\.(?=\p{L})\p{L}[\p{L}\d]*)*\.?/uy
const LETTERS = /[\p{L}\d]*/uy

const matchAt = (pattern: RegExp, text: string, at: number): string | undefined => {
  pattern.lastIndex = at
  return pattern.exec(text)?.[0]
}

/** Horsepower and inches are told in fractions; `60 1/4 HP` is a number of its own before a quarter. */
const MOST_WITH_FRACTION = 30

const properFraction = (text: string): boolean => {
  const [, whole, over, under] = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)$/.exec(text) ?? []
  return (
    Number(over) < Number(under) && (whole === undefined || (Number(whole) > 0 && Number(whole) <= MOST_WITH_FRACTION))
  )
}

/** Words that are no quantity and stand directly behind a number without a blank. */
const glued = new Set('ph phase phasen φ p y d δ yy c vy vd vδ aa'.split(' '))
const standsAtNumber = (word: string): boolean => {
  const term = termOf(word)
  return glued.has(word) || (term !== undefined && term.weak === undefined)
}

/** Words behind which a number stands without a blank; one letter only before a number that no code has. */
const gluedBefore = new Set(
  'volts amps hp kw ps cv hz rpm ph un in pn fn nn cosφ cos eff sf pf ip ie ic b s im imb fr frame fla lra'.split(' '),
)
const letterBefore = /^([vayδuinf])(?=\d{1,3}(?![\d\p{L}]))/iu

/** The letters of a word that a number follows without a blank, if they may have one. */
function beforeNumber(text: string): string | undefined {
  const letters = /^\p{L}+(?=\d)/u.exec(text)?.[0]
  if (letters !== undefined && gluedBefore.has(letters.toLowerCase())) return letters
  return letterBefore.exec(text)?.[1] ?? (/^n\d{4}\b/i.test(text) ? text[0] : undefined)
}

/** A word, or the words that dots part; figures within make it a code. */
function wordPieces(text: string, from: number): Piece[] {
  if (/\d/.test(text)) return [{ is: 'code', text, from, to: from + text.length }]
  const parts = text.replace(/\.$/, '').split('.')
  // `h.p.` is one word of letters with dots, `Isol.Kl.` two that are cut short.
  if (parts.every((part) => part.length === 1))
    return [{ is: 'word', text: parts.join(''), from, to: from + text.length }]
  let at = from
  return parts.map((part, i): Piece => {
    const to = i === parts.length - 1 ? from + text.length : at + part.length
    const piece: Piece = { is: 'word', text: part, from: at, to }
    at += part.length + 1
    return piece
  })
}

/** NEMA frames whose letter is that of degrees or hertz as well. */
const FRAME_LIKE_UNIT = /^(?:42|48|56|66)(?:C|HZ|Y)$/i

/** A number with the unit that stands at it, or the code that it begins. */
function numberPieces(number: string, line: string, from: number): Piece[] {
  const to = from + number.length
  const tail = matchAt(LETTERS, line, to) ?? ''
  // `1.5k.w`: an abbreviation with its dots.
  const dotted = matchAt(WORD, line, to) ?? ''
  if (/^\p{L}(\.\p{L})+\.?$/u.test(dotted) && standsAtNumber(dotted.replaceAll('.', '').toLowerCase()))
    return [{ is: 'number', text: number, from, to }]
  const asNumber: Piece = { is: 'number', text: number, from, to }
  if (tail === '' || (standsAtNumber(tail.toLowerCase()) && !FRAME_LIKE_UNIT.test(number + tail))) return [asNumber]
  // `3PH400V` is cut behind the unit, `90L` is one code.
  const unit = /^(\p{L}{2,})(?=\d)/u.exec(tail)?.[1]
  if (unit !== undefined && standsAtNumber(unit.toLowerCase()))
    return [asNumber, { is: 'word', text: unit, from: to, to: to + unit.length }]
  return [{ is: 'code', text: number + tail, from, to: to + tail.length }]
}

function piecesAt(line: string, at: number): Piece[] {
  const fraction = matchAt(FRACTION, line, at)
  const number =
    (fraction !== undefined && properFraction(fraction) ? fraction : undefined) ??
    matchAt(SPACED, line, at) ??
    matchAt(NUMBER, line, at)
  if (number !== undefined) return numberPieces(number, line, at)
  const word = matchAt(WORD, line, at)
  if (word === undefined) return [{ is: 'mark', text: line[at] ?? '', from: at, to: at + 1 }]
  const letters = beforeNumber(line.slice(at, at + word.length + 4))
  return letters === undefined
    ? wordPieces(word, at)
    : [{ is: 'word', text: letters, from: at, to: at + letters.length }]
}

/** The pieces of a line that `plainLine` has made plain. */
export function piecesOf(line: string): Piece[] {
  const pieces: Piece[] = []
  let at = 0
  while (at < line.length) {
    if (line[at] === ' ') {
      at += 1
      continue
    }
    const found = piecesAt(line, at)
    pieces.push(...found)
    at = Math.max(at + 1, found.at(-1)?.to ?? at)
  }
  return pieces
}
