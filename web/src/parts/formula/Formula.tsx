import { createElement, Fragment, type ReactNode } from 'react'
import { readFormula, type Term } from './readFormula'

/** A rule's formula, set as formulas are: MathML for what is reckoned, text for the words among it, so that it wraps. */
export function Formula({ formula }: { formula: string }) {
  return (
    <div data-testid="formula" className="flex flex-col gap-1.5">
      {readFormula(formula).map((clause, i) => (
        <p key={i} className="leading-relaxed">
          {piecesOf(clause).map((piece, j, pieces) => (
            <Fragment key={j}>
              {j > 0 && !touches(pieces[j - 1], piece) && ' '}
              {Array.isArray(piece) ? setApart(piece, j > 0) : piece}
            </Fragment>
          ))}
        </p>
      ))}
    </div>
  )
}

type Piece = string | Term[]

/** Whether no space belongs between two pieces. */
const touches = (before: Piece | undefined, piece: Piece): boolean =>
  (typeof piece === 'string' && isMark(piece)) || (typeof before === 'string' && before.endsWith('('))

/** Of things that a bracket holds: from so many on it is broken, so that it wraps. */
const LONG = 12

/** Words, and what is reckoned between them; long ones may break before a sign. */
function piecesOf(terms: readonly Term[]): Piece[] {
  const pieces: Piece[] = []
  const say = (text: string) => {
    const last = pieces[pieces.length - 1]
    if (typeof last === 'string')
      pieces[pieces.length - 1] = isMark(text) || last.endsWith('(') ? last + text : `${last} ${text}`
    else pieces.push(text)
  }
  for (const term of opened(terms)) {
    const last = pieces[pieces.length - 1]
    if (term.kind === 'words' || term.kind === 'mark') say(term.text)
    else if (!Array.isArray(last) || (term.kind === 'sign' && last.length > 1)) pieces.push([term])
    else last.push(term)
  }
  return pieces
}

const isMark = (text: string): boolean => /^[,.:;)%]/.test(text)

/** Brackets that hold words, or very much, as the things that they hold. */
const opened = (terms: readonly Term[]): Term[] =>
  terms.flatMap((term): Term[] => {
    if (term.kind === 'function' && sizeOf([term]) > LONG)
      return [{ kind: 'words', text: term.name }, ...opened([term.of])]
    const holdsWords = term.kind === 'fenced' && term.inside.some(({ kind }) => kind === 'words')
    return term.kind === 'fenced' && (holdsWords || sizeOf([term]) > LONG)
      ? [mark(term.by[0]), ...opened(term.inside), mark(term.by[1])]
      : [term]
  })

const mark = (text: string): Term => ({ kind: 'mark', text })

/** How many things stand in it. */
const sizeOf = (terms: readonly Term[]): number =>
  terms.reduce((sum, term) => {
    switch (term.kind) {
      case 'fenced':
        return sum + sizeOf(term.inside)
      case 'fraction':
        return sum + Math.max(sizeOf(term.over), sizeOf(term.under))
      case 'function':
        return sum + 1 + sizeOf([term.of])
      case 'product':
      case 'root':
        return sum + sizeOf(term.of)
      default:
        return sum + 1
    }
  }, 0)

/** A piece of its own; a sign that it begins with still stands between two things. */
const setApart = ([first, ...others]: Term[], goesOn: boolean): ReactNode =>
  createElement(
    'math',
    { displaystyle: 'true' },
    goesOn && first?.kind === 'sign' ? leaf('mo', first.text, { form: 'infix' }) : first && <Set term={first} />,
    element('mrow', others),
  )

/** React has types for HTML and SVG only. */
const element = (name: string, terms: readonly Term[], attributes: Record<string, string> = {}): ReactNode =>
  createElement(
    name,
    attributes,
    ...terms.map((term, i) => (
      <Fragment key={i}>
        {areFactors(terms[i - 1], term) && createElement('mspace', { width: '0.15em' })}
        <Set term={term} />
      </Fragment>
    )),
  )

/** Whether two things stand side by side to be multiplied. */
const areFactors = (before: Term | undefined, after: Term): boolean =>
  before !== undefined && ![before, after].some(({ kind }) => kind === 'sign' || kind === 'words' || kind === 'mark')

const leaf = (name: string, text: string, attributes: Record<string, string> = {}): ReactNode =>
  createElement(name, attributes, text)

function Set({ term }: { term: Term }): ReactNode {
  switch (term.kind) {
    case 'number':
      return leaf('mn', term.text)
    case 'words':
      return leaf('mtext', `\u00a0${term.text}\u00a0`)
    case 'mark':
      return leaf('mo', term.text, { separator: 'true' })
    case 'product':
      return element('mrow', term.of)
    case 'sign':
      return leaf('mo', term.text)
    case 'symbol':
      return term.index === undefined
        ? leaf('mi', term.text)
        : createElement('msub', {}, leaf('mi', term.text), leaf(/^\d+$/.test(term.index) ? 'mn' : 'mi', term.index))
    case 'root':
      return element('msqrt', term.of)
    case 'fraction':
      return createElement('mfrac', {}, element('mrow', term.over), element('mrow', term.under))
    case 'power':
      return createElement('msup', {}, element('mrow', [term.base]), element('mrow', term.exponent))
    case 'fenced':
      return createElement(
        'mrow',
        {},
        leaf('mo', term.by[0], { fence: 'true' }),
        element('mrow', term.inside),
        leaf('mo', term.by[1], { fence: 'true' }),
      )
    case 'function':
      return createElement(
        'mrow',
        {},
        leaf('mi', term.name),
        // Applies it, and is not seen.
        leaf('mo', '\u2061'),
        element('mrow', [term.of]),
      )
  }
}
