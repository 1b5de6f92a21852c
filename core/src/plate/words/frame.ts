import type { Piece } from '../pieces'
import { behind, isMark, isNumber, low, type PlateValue, type Reader, type Saying, set } from './saying'

const frameWords = set(
  'frame fr frm baugröße baugrösse bg baugr size taille grandezza tamaño carcasa carcassa bâti achshöhe',
)
/** IEC: shaft height and length of foot; NEMA: two or three figures with letters of its shaft and mounting, AT of DC machines. */
const FRAME =
  /^(?:(?:56|63|71|80|90|100|112|132|160|180)(?:S|M|L|A|B|SA|SB|MA|MB|LA|LB|LX)?\d?|(?:42|48|56|66)(?:C|J|H|HZ|Z|Y|CZ|CY|HC|CJ|JM)?|(?:143|145|182|184|213|215|254|256|284|286|324|326|364|365)(?:T|TC|TS|TD|TCZ|TZ|U|UC|UZ|Y|JM|JP|TY|HT)?|(?:143|145|182|184|186|213|215|218|219|254|256|258|259|284|286|287|288|324|326|328|365|366|368)ATC?|(?:203|204|224|225|254|284|324|326)U?)$/
const isFrame = (text: string) => FRAME.test(text.toUpperCase().replace(/\s/g, ''))

/** The frame that begins at a piece, with the poles that catalogues print behind it. */
function frameAt(pieces: readonly Piece[], at: number, labelled: boolean): Saying | undefined {
  const here = pieces[at]
  if (here?.is !== 'code' && !(labelled && here?.is === 'number')) return undefined
  let text = here.text
  let takes = 1
  const next = pieces[at + 1]
  if (here.is === 'number' && next?.is === 'word' && isFrame(text + next.text) && /^[A-Z]{1,3}$/.test(next.text)) {
    text += next.text
    takes = 2
  }
  if (!isFrame(text)) return undefined
  const values: PlateValue[] = [{ path: 'motor.frame', value: text.toUpperCase() }]
  const poles = pieces[at + takes + 1]
  if (isMark(pieces[at + takes], '-/') && isNumber(poles, '2', '4', '6', '8') && here.is === 'code')
    return { takes: takes + 2, values: [...values, { path: 'motor.platePoles', value: Number(poles?.text) }] }
  return { takes, values }
}

export const frame: Reader = (pieces, at, taken, valueFirst) => {
  const joined = isMark(pieces[at - 1], '-/') && pieces[at - 1]?.to === pieces[at]?.from && at > 1
  if (!frameWords.has(low(pieces[at])))
    // Alone, only what cannot be a number with its unit, nor the middle of a type.
    return joined ? undefined : frameAt(pieces, at, false)
  let to = at + 1
  while (['size', 'no', 'iec', 'nema'].includes(low(pieces[to]))) to += 1
  to = behind(pieces, to)
  if (taken[at - 1] && isFrame(pieces[at - 1]?.text ?? '')) return { takes: to - at }
  const read = frameAt(pieces, to, true)
  const before = at > 0 && !taken[at - 1] ? frameAt(pieces, at - 1, true) : undefined
  if (before && (valueFirst || read === undefined)) return { ...before, takes: to - at, back: 1 }
  return read && { ...read, takes: to - at + read.takes }
}
