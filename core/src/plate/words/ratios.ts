import { behind, isMark, isNumber, low, type Reader, type Saying } from './saying'

/** `2p = 4` counts poles. */
export const twoP: Reader = (pieces, at) =>
  isNumber(pieces[at], '2') && low(pieces[at + 1]) === 'p' && isMark(pieces[at + 2], '=') && isNumber(pieces[at + 3])
    ? { takes: 4, values: [{ path: 'motor.platePoles', value: Number(pieces[at + 3]?.text) }] }
    : undefined

/** `10:1 CT`, `CT 10:1`: how far down a motor for drives bears its torque. */
export const constantTorque: Reader = (pieces, at) => {
  const isRatio = (i: number) => isNumber(pieces[i]) && isMark(pieces[i + 1], ':') && isNumber(pieces[i + 2], '1')
  const wordsAt = (i: number): number =>
    low(pieces[i]) === 'ct' ? 1 : /^const(ant)?$/.test(low(pieces[i])) && /^torq(ue)?$/.test(low(pieces[i + 1])) ? 2 : 0
  const told = (i: number, takes: number): Saying => ({
    takes,
    values: [{ path: 'motor.inverterDutyRatio', value: Number(pieces[i]?.text) }],
  })
  if (isRatio(at) && wordsAt(at + 3) > 0) return told(at, 3 + wordsAt(at + 3))
  const to = behind(pieces, at + wordsAt(at))
  return wordsAt(at) > 0 && isRatio(to) ? told(to, to + 3 - at) : undefined
}
