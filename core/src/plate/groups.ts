import type { Piece } from './pieces'
import { termOf, type Term } from './vocabulary'
import { low as word } from './words/saying'

/** One number, or the two ends of a range. */
export interface Range {
  low: string
  high?: string
}

/** Numbers that belong together: `230/400`, `208-230/460`, with the signs that stand at them. */
export interface NumberGroup {
  is: 'group'
  alternatives: Range[]
  /** Star or delta beside each alternative, where it stands there. */
  links: (Link | undefined)[]
  percent: boolean
  from: number
  to: number
}
export type Link = 'star' | 'delta'

/** Signs and words of the two links. */
export const links: Record<string, Link[]> = {
  y: ['star'],
  star: ['star'],
  wye: ['star'],
  stern: ['star'],
  étoile: ['star'],
  etoile: ['star'],
  stella: ['star'],
  estrella: ['star'],
  δ: ['delta'],
  d: ['delta'],
  delta: ['delta'],
  mesh: ['delta'],
  dreieck: ['delta'],
  triangle: ['delta'],
  triangolo: ['delta'],
  triángulo: ['delta'],
}
const RANGE_MARKS = '-÷…'
/** Where the second number of a range stands, if one follows: `208-230`, `220 to 240`, `220...240`. */
function rangeEnd(pieces: readonly Piece[], at: number): number | undefined {
  let to = at
  if (/^(to|bis|à|thru)$/.test(word(pieces[to]))) to += 1
  else
    while (
      pieces[to]?.is === 'mark' &&
      (RANGE_MARKS.includes(pieces[to]?.text ?? '') || (pieces[to]?.text === '.' && pieces[to + 1]?.text !== '/'))
    )
      to += 1
  return to > at && pieces[to]?.is === 'number' ? to : undefined
}

/** A number with what is joined to it by dashes and slashes; the same unit or a sign may stand within: `230VΔ/400VY`. */
export function groupAt(
  pieces: readonly Piece[],
  at: number,
  taken: readonly boolean[],
): { group: NumberGroup; takes: number } {
  const alternatives: Range[] = []
  const signs: (Link | undefined)[] = []
  let start = at
  let end: number
  for (;;) {
    const top = rangeEnd(pieces, start + 1)
    alternatives.push({
      low: pieces[start]?.text ?? '',
      ...(top === undefined ? {} : { high: pieces[top]?.text ?? '' }),
    })
    end = (top ?? start) + 1
    // Between this and the next alternative: a unit, a sign, a slash, a sign.
    const unit = links[word(pieces[end])] ? undefined : termOf(word(pieces[end]))
    const named = unit?.factor === undefined ? end : end + 1
    const sign = links[word(pieces[named])]?.[0]
    const slash = sign ? named + 1 : named
    const nextSign = links[word(pieces[slash + 1])]?.[0]
    const over = slash + (nextSign ? 2 : 1)
    const goesOn =
      pieces[slash]?.text === '/' &&
      pieces[over]?.is === 'number' &&
      !taken[over] &&
      // `1.5 kW / 2 hp` are two things, `230 V / 400 V` is one.
      (named === end || sameUnitFollows(pieces, over, unit))
    if (!goesOn) {
      const beside =
        named === end && sign !== undefined && (signs.length > 0 || pieces[end]?.from === pieces[end - 1]?.to)
      if (beside) signs[alternatives.length - 1] = sign
      if (beside) end += 1
      break
    }
    if (sign) signs[alternatives.length - 1] = sign
    if (nextSign) signs[alternatives.length] = nextSign
    start = over
  }
  const percent = pieces[end]?.text === '%'
  const group: NumberGroup = {
    is: 'group',
    alternatives,
    links: alternatives.map((_, i) => signs[i]),
    percent,
    from: pieces[at]?.from ?? 0,
    to: pieces[end - 1]?.to ?? 0,
  }
  return { group, takes: end - at + (percent ? 1 : 0) }
}

function sameUnitFollows(pieces: readonly Piece[], at: number, unit: Term | undefined): boolean {
  for (let i = at; i < Math.min(at + 4, pieces.length); i += 1) {
    const name = word(pieces[i])
    if (name === '' || links[name]) continue
    return termOf(name)?.quantity === unit?.quantity && termOf(name)?.factor === unit?.factor
  }
  return false
}
