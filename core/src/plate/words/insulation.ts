import type { Piece } from '../pieces'
import { behind, isMark, low, one, type Reader, set } from './saying'

const insulationWords = set(
  'ins insul insulation class classe clase cl kl klasse isol iso isolation isolierung isolamento isolant aislamiento aisl wärmeklasse wärmekl th thcl therm thermal i syst system cls isoliert isolationsklasse isolierstoffklasse kls',
)
/** They speak of insulation only beside another of its words. */
const besideOthers = set('i th therm thermal syst system')
const classOfDegrees: Record<string, string> = { '105': 'A', '120': 'E', '130': 'B', '155': 'F', '180': 'H' }
const isClass = (piece: Piece | undefined) => piece?.is === 'word' && /^[AEBFH]$/i.test(piece.text)
const classed = (piece: Piece | undefined) => one('motor.insulationClass', (piece?.text ?? '').toUpperCase())

export const insulation: Reader = (pieces, at, taken, valueFirst) => {
  const joined = /^(?:CL|KL|INS)([ABEFH])$/.exec(pieces[at]?.is === 'word' ? pieces[at].text : '')?.[1]
  if (joined !== undefined) return { takes: 1, ...one('motor.insulationClass', joined) }
  const degrees = classOfDegrees[pieces[at]?.text ?? '']
  if (degrees !== undefined && isMark(pieces[at + 1], '(') && isClass(pieces[at + 2]) && isMark(pieces[at + 3], ')'))
    return { takes: 4, ...classed(pieces[at + 2]) }
  let to = at
  let told = false
  while (insulationWords.has(low(pieces[to]))) {
    told ||= !besideOthers.has(low(pieces[to]))
    to = behind(pieces, to + 1, ':=.-')
  }
  if (!told) return undefined
  const next = pieces[to]
  const before = !taken[at - 1] && isClass(pieces[at - 1])
  if (isClass(next)) {
    if (before && valueFirst) return { takes: to - at, back: 1, ...classed(pieces[at - 1]) }
    const contested = before && pieces[at - 1]?.text !== next?.text
    if (!contested) return { takes: to + 1 - at, ...classed(next) }
    return { takes: to - at, back: 1, ...classed(pieces[at - 1]), doubt: 'a letter stands on either side' }
  }
  const named = classOfDegrees[next?.text ?? '']
  if (named !== undefined) {
    const letter = isMark(pieces[to + 1], '(') && isClass(pieces[to + 2]) && isMark(pieces[to + 3], ')')
    return { takes: to - at + (letter ? 4 : 1), ...one('motor.insulationClass', named) }
  }
  return before ? { takes: to - at, back: 1, ...classed(pieces[at - 1]) } : undefined
}
