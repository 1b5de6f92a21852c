import { groupAt, links, type Link, type NumberGroup } from './groups'
import { piecesOf, plainLine, type Piece } from './pieces'
import { joinedTerm, LONGEST_PHRASE, sameThing, termOf, type Part, type Term } from './vocabulary'
import { wordReaders } from './words'
import { low as word, type PlateValue } from './words/saying'

/** A line as numbers, what may name them, and what parts them. */
export type Item =
  | NumberGroup
  | {
      is: 'term'
      term: Term
      from: number
      to: number
      /** A sign behind it binds it to what follows. */ binds: boolean
    }
  | { is: 'links'; links: Link[]; from: number; to: number }
  | { is: 'about'; part: Part; from: number; to: number }
  | { is: 'parting'; cost: number; from: number; to: number }

export interface LineItems {
  items: Item[]
  values: (PlateValue & { doubt?: string; from: number })[]
  /** Words that mean nothing here. */
  unread: Piece[]
  /** How the winding is linked, where the plate says so in words of their own. */
  connection?: Link
}

/** The longest phrase of words that begins at a piece and names a quantity. */
function phraseAt(
  pieces: readonly Piece[],
  at: number,
  taken: readonly boolean[],
): { term: Term; takes: number; words: number } | undefined {
  let phrase = ''
  let best: { term: Term; takes: number; words: number } | undefined
  let words = 0
  for (let to = at; words < LONGEST_PHRASE && to < pieces.length && !taken[to]; to += 1) {
    const piece = pieces[to]
    if (piece?.is === 'word') {
      phrase += `${phrase === '' || phrase.endsWith('/') ? '' : ' '}${word(piece)}`
      words += 1
    } else if (piece?.is === 'mark' && piece.text === '/' && words > 0) phrase += '/'
    else if (piece?.is === 'mark' && (piece.text === '°' || (piece.text === '-' && words > 0))) {
      if (piece.text === '°') {
        phrase += '°'
        words += phrase === '°' ? 0 : 1
      }
    } else break
    const joined = phrase.replace('° ', '°')
    const term = termOf(joined)
    if (term) best = { term, takes: to + 1 - at, words }
  }
  return best
}

/** `40C`, `40 C`: a C means degrees only behind a number. */
const isDegrees = (pieces: readonly Piece[], at: number): boolean =>
  word(pieces[at]) === 'c' && pieces[at - 1]?.is === 'number'

/** `4P`. */
const isPoles = (pieces: readonly Piece[], at: number): boolean =>
  word(pieces[at]) === 'p' &&
  pieces[at - 1]?.to === pieces[at]?.from &&
  /^(?:2|4|6|8|10|12)$/.test(pieces[at - 1]?.text ?? '')

/** `1725 RPM 60 HZ`: begins with a number or a code and ends with what names the last. */
function tellsValuesFirst(pieces: readonly Piece[]): boolean {
  const [first, last] = [pieces[0], pieces.filter((p) => p.is !== 'mark').at(-1)]
  return (
    pieces.length > 1 &&
    (first?.is === 'number' || first?.is === 'code' || (first?.is === 'word' && termOf(word(first)) === undefined)) &&
    last?.is === 'word' &&
    (last.text.length > 1 || termOf(word(last))?.factor !== undefined)
  )
}

const POLES: Term = { quantity: 'poles' }
const DEGREES: Term = { quantity: 'temperature' }
const EFFICIENCY: Term = { quantity: 'efficiency', label: true }

/** What a line holds, word by word: first what words say by themselves, then numbers and what may name them. */
export function itemsOf(line: string): LineItems {
  const pieces = piecesOf(plainLine(line))
  const taken = pieces.map(() => false)
  const values: LineItems['values'] = []
  const unread: Piece[] = []
  const valueFirst = tellsValuesFirst(pieces)
  const named: (Item | undefined)[] = pieces.map(() => undefined)
  const place = (at: number) => ({ from: pieces[at]?.from ?? 0, to: pieces[at]?.to ?? 0 })
  for (let at = 0; at < pieces.length; at += 1) {
    if (taken[at]) continue
    const phrase = phraseAt(pieces, at, taken)
    if (phrase && phrase.words > 1) {
      const binds = /[:=([]/.test(pieces[at + phrase.takes]?.text ?? '')
      for (let i = at; i < at + phrase.takes; i += 1) taken[i] = true
      named[at] = { is: 'term', term: phrase.term, ...place(at), to: place(at + phrase.takes - 1).to, binds }
      at += phrase.takes - 1
      continue
    }
    for (const read of wordReaders) {
      const said = read(pieces, at, taken, valueFirst)
      if (!said) continue
      for (let i = at - (said.back ?? 0); i < at + said.takes; i += 1) {
        taken[i] = true
        const piece = pieces[i]
        if (said.leaves && piece) unread.push(piece)
      }
      const from = pieces[at]?.from ?? 0
      values.push(
        ...(said.values ?? []).map((v) => ({ ...v, from, ...(said.doubt === undefined ? {} : { doubt: said.doubt }) })),
      )
      if (said.about) named[at] = { is: 'about', part: said.about, ...place(at) }
      if (said.efficiency) named[at] = { is: 'term', term: EFFICIENCY, ...place(at), binds: true }
      at += said.takes - 1
      break
    }
  }
  const items: Item[] = []
  let connection: Link | undefined
  for (let at = 0; at < pieces.length; at += 1) {
    const piece = pieces[at]
    const known = named[at]
    if (known) items.push(known)
    if (!piece || taken[at]) continue
    if (piece.is === 'number') {
      const { group, takes } = groupAt(pieces, at, taken)
      items.push(group)
      at += takes - 1
      continue
    }
    if (piece.is === 'mark') {
      // `1.8°`: degrees of an angle; those of heat have their letter.
      if (piece.text === '°' && pieces[at - 1]?.to === piece.from && !/^[cf]$/.test(word(pieces[at + 1])))
        items.push({ is: 'term', term: DEGREES, ...place(at), binds: false })
      else if ('|;'.includes(piece.text)) items.push({ is: 'parting', cost: 2.5, ...place(at) })
      else if (piece.text === ',') items.push({ is: 'parting', cost: 1, ...place(at) })
      else if ('()[]'.includes(piece.text)) items.push({ is: 'parting', cost: 0.3, ...place(at) })
      continue
    }
    const pair = linksAt(pieces, at)
    if (pair?.links.length === 1 && isConnection(pieces, at)) connection = pair.links[0]
    if (pair) {
      items.push({ is: 'links', links: pair.links, ...place(at) })
      at += pair.takes - 1
      continue
    }
    const term = isDegrees(pieces, at)
      ? { term: DEGREES, takes: 1 }
      : isPoles(pieces, at)
        ? { term: POLES, takes: 1 }
        : phraseAt(pieces, at, taken)
    if (term) {
      const binds = /[:=([]/.test(pieces[at + term.takes]?.text ?? '')
      items.push({ is: 'term', term: term.term, ...place(at), to: place(at + term.takes - 1).to, binds })
      at += term.takes - 1
      continue
    }
    unread.push(piece)
    items.push({ is: 'parting', cost: 1, ...place(at) })
  }
  return { items: withUnits(items), values, unread, ...(connection === undefined ? {} : { connection }) }
}

const CONNECTION = /^(?:conn|connection|connected|schaltung|schalt|couplage|collegamento|conexión|conexion)$/
const isConnection = (pieces: readonly Piece[], at: number): boolean =>
  [at - 2, at - 1, at + 1].some((i) => CONNECTION.test(word(pieces[i])))

/** `Δ/Y`, or one sign alone; a bare D or Y counts only in a pair or at volts, which `groupAt` sees to. */
function linksAt(pieces: readonly Piece[], at: number): { links: Link[]; takes: number } | undefined {
  const first = links[word(pieces[at])]
  if (!first) return undefined
  const second =
    pieces[at + 1]?.is === 'mark' && '/-'.includes(pieces[at + 1]?.text ?? '') ? links[word(pieces[at + 2])] : undefined
  return second ? { links: [...first, ...second], takes: 3 } : { links: first, takes: 1 }
}

/** `P [kW]`, `Speed (rpm)` and `A Strom` name one thing: the label takes its unit, the unit its label. */
function withUnits(items: Item[]): Item[] {
  const joined: Item[] = []
  for (let i = 0; i < items.length; i += 1) {
    const [here, open, unit] = [items[i], items[i + 1], items[i + 2]]
    const before = joined.at(-1)
    if (!here) continue
    if (
      here.is === 'term' &&
      here.binds &&
      open?.is === 'parting' &&
      open.cost < 1 &&
      unit?.is === 'term' &&
      sameThing(here.term, unit.term)
    ) {
      joined.push({ ...here, term: { ...joinedTerm(here.term, unit.term), label: true }, to: unit.to, binds: true })
      i += items[i + 3]?.is === 'parting' ? 3 : 2
    } else if (here.is === 'term' && before?.is === 'term' && isOneSaying(before, here))
      joined[joined.length - 1] = {
        ...before,
        term: joinedTerm(before.term, here.term),
        to: here.to,
        binds: here.binds,
      }
    else joined.push(here)
  }
  return joined
}

type TermItem = Extract<Item, { is: 'term' }>
/** Two words for one number: at least one of them is no unit, and they stand close. */
const isOneSaying = (a: TermItem, b: TermItem): boolean =>
  sameThing(a.term, b.term) && [a.term, b.term].some((t) => t.label ?? t.weak ?? false) && b.from - a.to < 3
