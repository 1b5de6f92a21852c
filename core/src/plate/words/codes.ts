import type { Piece } from '../pieces'
import { termOf } from '../vocabulary'
import { behind, isMark, isNumber, low, type Reader, type Saying, set } from './saying'

/* Letters and codes that no field of the plan holds, known so that nothing is read out of them. */

const letterWords = set('code design des kva bauart')
const passed = set(
  'serial ser sn no nr nº mod model type typ typ. cat catalog catalogue part style spec id job order year bj baujahr date dated mfd. mfg made din en iec vde iso mg ul csa nbn brg brgs bearing bearings lager de nde order stock item ref drg ce nummer numero numéro matr fabr anno année',
)

export const codes: Reader = (pieces, at, taken, valueFirst) => {
  const word = low(pieces[at])
  if (letterWords.has(word)) {
    let to = at + 1
    while (['code', 'letter', 'kva'].includes(low(pieces[to]))) to += 1
    to = behind(pieces, to)
    const isLetter = (piece: Piece | undefined) =>
      piece?.is === 'word' && /^[A-Z]{1,2}$/i.test(piece.text) && piece.text.length === 1
    if (!taken[at - 1] && isLetter(pieces[at - 1])) return { takes: to - at, back: 1 }
    return { takes: to - at + (isLetter(pieces[to]) ? 1 : 0) }
  }
  if (word === 'ie' && isNumber(pieces[at + 1], '1', '2', '3', '4', '5')) {
    const to = behind(pieces, at + 2, ':=-.(')
    const says =
      pieces[to]?.is === 'number' && (isMark(pieces[to + 1], '%') || /^[2-9]\d([.,]\d)?$/.test(pieces[to].text))
    return { takes: to - at, ...(says ? { efficiency: true } : {}) }
  }
  if (
    word === 's' &&
    pieces[at + 1]?.is === 'number' &&
    /^([1-9]|10)$/.test(pieces[at + 1]?.text ?? '') &&
    pieces[at]?.to === pieces[at + 1]?.from
  ) {
    // `S3 40 %`: the share of time under load belongs to the duty.
    const to = behind(pieces, at + 2, '-:')
    return { takes: isNumber(pieces[to]) && isMark(pieces[to + 1], '%') ? to + 2 - at : 2 }
  }
  if (
    /^(nema|cont|continuous|contin|duty|rated|rating|time|temps|ac|usage|service|serv|mot|motor|moteur|motore|drehstrommotor|asynchron)$/.test(
      word,
    )
  )
    return { takes: 1 }
  if (passed.has(word)) return passedOver(pieces, at, taken, valueFirst)
  return undefined
}

/** A serial number, a type, a standard or a date with its word; what is written together with its first part is of it. */
function passedOver(pieces: readonly Piece[], at: number, taken: readonly boolean[], valueFirst: boolean): Saying {
  let to = at + 1
  while (passed.has(low(pieces[to])) || (isMark(pieces[to], ':=.#/') && to < pieces.length)) to += 1
  const first = pieces[to]
  const isValue = (piece: Piece | undefined) => piece?.is === 'number' || piece?.is === 'code' || isUnknown(piece)
  // A number that its unit follows is not a serial number.
  const another =
    first?.is === 'number' && (/[.,/]/.test(first.text) || termOf(low(pieces[to + 1]))?.factor !== undefined)
  if (valueFirst || another || !isValue(first)) {
    let back = 0
    while (
      !taken[at - 1 - back] &&
      at - 1 - back >= 0 &&
      (isValue(pieces[at - 1 - back]) || (back > 0 && isMark(pieces[at - 1 - back], '-/')))
    )
      back += 1
    return { takes: to - at, back, leaves: true }
  }
  to += 1
  while (pieces[to] && pieces[to - 1]?.to === pieces[to]?.from) to += 1
  // `IEC 60034-1`, `XB 12`, `Nr. 12 345 678`: what goes on after a blank, if no unit follows it.
  while (
    pieces[to]?.is === 'code' ||
    (isNumber(pieces[to]) &&
      /^\d+$/.test(pieces[to]?.text ?? '') &&
      (termOf(low(pieces[to + 1]))?.factor === undefined || isApart(pieces, to)) &&
      (first?.is === 'number' || isNearby(pieces, to)))
  )
    to += 1
  return { takes: to - at, leaves: true }
}

const isUnknown = (piece: Piece | undefined): boolean => piece?.is === 'word' && termOf(low(piece)) === undefined
/** Close to what stands before, and not to what follows. */
const isApart = (pieces: readonly Piece[], at: number): boolean =>
  isNearby(pieces, at) && (pieces[at + 1]?.from ?? 0) - (pieces[at]?.to ?? 0) > 1
const isNearby = (pieces: readonly Piece[], at: number): boolean =>
  (pieces[at]?.from ?? 0) - (pieces[at - 1]?.to ?? 0) === 1
