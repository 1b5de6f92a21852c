import { behind, isMark, isNumber, low, one, type Reader, set } from './saying'

const phaseWords = set('ph φ phase phases phasen phasig fase fases fasi phasé')
const kindOfPhases = (text: string | undefined) => one('motor.kind', text === '3' ? 'induction' : 'single-phase')

export const phases: Reader = (pieces, at) => {
  const here = pieces[at]
  if (isNumber(here, '1', '3')) {
    if (isMark(pieces[at + 1], '~')) return { takes: 2, ...kindOfPhases(here?.text) }
    const dash = isMark(pieces[at + 1], '-') ? 1 : 0
    if (phaseWords.has(low(pieces[at + 1 + dash]))) return { takes: 2 + dash, ...kindOfPhases(here?.text) }
    if (low(pieces[at + 1]) === 'ac' && isNumber(pieces[at + 2])) return { takes: 2, ...kindOfPhases(here?.text) }
  }
  if (phaseWords.has(low(here))) {
    // `SINGLE PHASE 1 HP`: the word before has told how many, and the number is another thing's.
    if (/^(single|three|poly)$/.test(low(pieces[at - (isMark(pieces[at - 1], '-') ? 2 : 1)]))) return { takes: 1 }
    const to = behind(pieces, at + 1, ':=.-')
    if (isNumber(pieces[to], '1', '3') && !isMark(pieces[to + 1], '/'))
      return { takes: to + 1 - at, ...kindOfPhases(pieces[to]?.text) }
  }
  return undefined
}
