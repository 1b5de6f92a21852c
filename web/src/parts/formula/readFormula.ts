/**
 * A formula as rules write it on one line, read into what is set: `T = 60 P / (2 pi n)`, words among it.
 *
 * A slash without spaces divides the two things beside it, one with spaces everything multiplied before it. Letters stand
 * for quantities, what follows the first letter or an underscore is its index; words of three letters and more are words.
 */
export type Term =
  | { kind: 'number'; text: string }
  | { kind: 'symbol'; text: string; index?: string }
  | { kind: 'words'; text: string }
  /** What parts or ends: a comma, a colon, a per cent. */
  | { kind: 'mark'; text: string }
  | { kind: 'sign'; text: string }
  | { kind: 'fraction'; over: Term[]; under: Term[] }
  | { kind: 'power'; base: Term; exponent: Term[] }
  | { kind: 'product'; of: Term[] }
  | { kind: 'root'; of: Term[] }
  | { kind: 'fenced'; by: readonly [string, string]; inside: Term[] }
  | { kind: 'function'; name: string; of: Term }

const greek: Readonly<Record<string, string>> = {
  eta: 'η',
  lambda: 'λ',
  mu: 'µ',
  omega: 'ω',
  phi: 'φ',
  pi: 'π',
  rho: 'ρ',
  theta: 'θ',
}
const functions = new Set(['max', 'min', 'floor', 'ceil', 'ln', 'sin', 'cos', 'tan', 'asin', 'acos'])
/** Those that take what follows without brackets. */
const ofAngles = new Set(['sin', 'cos', 'tan'])
const signs: Readonly<Record<string, string>> = {
  '-': '−',
  '<=': '≤',
  '>=': '≥',
  '-/+': '∓',
  '||': '∥',
  x: '×',
}
/** Words and units so short that they could be a symbol with its index. */
const shortWords = new Set('an as at be by do if in is it no of on or so to up Hz kW mm ms us kg'.split(' '))
const units: Readonly<Record<string, string>> = {
  'W/m2K': 'W/(m² K)',
  'kg/m3': 'kg/m³',
  'J/(kg K)': 'J/(kg K)',
  'm/us': 'm/µs',
  'm/s': 'm/s',
  'ohm mm2/m': 'Ω mm²/m',
  'N m/mm': 'N m/mm',
  ohm: 'Ω',
  Mohm: 'MΩ',
}

interface Token {
  kind: 'number' | 'name' | 'words' | 'mark'
  text: string
  /** Whether a space stands before it. */
  apart: boolean
}

const escaped = (text: string): string => text.replace(/[()/]/g, '\\$&')

const PATTERN = new RegExp(
  [
    `(?<words>(?:${Object.keys(units).map(escaped).join('|')})(?![A-Za-z0-9])|at \\d+ C\\b|pole pairs|\\d+-[a-z]+|[A-Za-z]+(?:[-’.][A-Za-z0-9]+)+(?:/[A-Za-z]+)?|E\\d+)`,
    '(?<number>\\d+(?: \\d{3}(?!\\d))*(?:\\.\\d+)?)',
    '(?<name>[A-Za-z]+\\d*(?:_[A-Za-z0-9]+)?)',
    '(?<mark>-/\\+|<=|>=|\\|\\||\\S)',
  ].join('|'),
  'g',
)

function tokensOf(text: string): Token[] {
  return [...text.matchAll(PATTERN)].map(({ 0: found, groups = {}, index }) => ({
    kind: groups['words'] ? 'words' : groups['number'] ? 'number' : groups['name'] ? 'name' : 'mark',
    text: found,
    apart: /\s/.test(text[index - 1] ?? ''),
  }))
}

/** What the clauses of a formula are, in order: each set on a line of its own. */
export const readFormula = (formula: string): Term[][] =>
  formula
    .split(/;\s+/)
    .filter((clause) => clause.trim() !== '')
    .map((clause) => new Reader(tokensOf(clause.trim())).all())

class Reader {
  private at = 0
  constructor(private readonly tokens: readonly Token[]) {}

  /** The one that is read next, if any is left. A method: what it gives changes. */
  private next(): Token | undefined {
    return this.tokens[this.at]
  }

  all(): Term[] {
    const terms: Term[] = []
    while (this.next()) {
      terms.push(...this.until(undefined))
      // A fence that closes nothing is printed as it stands.
      if (this.next()) terms.push({ kind: 'mark', text: this.take().text })
    }
    return terms
  }

  private take(): Token {
    const token = this.tokens[this.at++]
    if (!token) throw new Error('a formula ended early')
    return token
  }

  /** Goes on where this comes next, and says whether it did. */
  private skip(text: string): boolean {
    const found = this.next()?.text === text
    if (found) this.at += 1
    return found
  }

  /** Everything up to the fence that closes it, or to the end. */
  private until(closing: string | undefined): Term[] {
    const terms: Term[] = []
    for (let token = this.next(); token && token.text !== closing && token.text !== ')'; token = this.next()) {
      if (token.text === '/' && terms.length > 0) {
        this.take()
        if (!token.apart) partLastWord(terms)
        const over = terms.splice(token.apart ? startOfProduct(terms) : terms.length - 1)
        terms.push({ kind: 'fraction', over: bare(over), under: bare([this.factor()]) })
      } else add(terms, this.factor())
    }
    return terms
  }

  /** One thing, with its power; `2C` is one. */
  private factor(): Term {
    const base = this.powered()
    const after = this.next()
    if (base.kind !== 'number' || after?.kind !== 'name' || after.apart) return base
    return { kind: 'product', of: [base, this.powered()] }
  }

  private powered(): Term {
    let base = this.atom()
    while (this.skip('^')) {
      const minus = this.skip('-') ? [sign('-')] : []
      base = { kind: 'power', base, exponent: [...minus, ...bare([this.atom()])] }
    }
    return base
  }

  private atom(): Term {
    if (!this.next()) return { kind: 'words', text: '' }
    const { kind, text } = this.take()
    if (kind === 'number') return { kind: 'number', text: text.replace(/ /g, '\u202f') }
    if (kind === 'words') return { kind: 'words', text: units[text] ?? text.replace(/ C$/, ' °C') }
    if (kind === 'mark') return this.marked(text)
    if (text === 'x') return sign(text)
    if (text === 'sqrt' && this.next()?.text === '(') return { kind: 'root', of: this.fenced().inside }
    if (text === 'sum' && this.next()?.text !== 'of') return sign('∑')
    if (functions.has(text)) {
      const after = this.next()
      const takes = after && (after.kind === 'mark' ? /[(|]/.test(after.text) : ofAngles.has(text))
      // Some are words too, and names of quantities: `min + dial (max - min)`.
      return takes ? { kind: 'function', name: text, of: this.factor() } : { kind: 'words', text }
    }
    return this.named(text)
  }

  private named(text: string): Term {
    const [head = '', index] = text.split('_')
    const letter = greek[head]
    if (letter !== undefined) return symbol(letter, index)
    if (units[text] !== undefined) return { kind: 'words', text: units[text] }
    // The article, and not a quantity.
    if (text === 'a' && /^(?!and$)[a-z]{3,}$/.test(this.next()?.text ?? '')) return { kind: 'words', text }
    if (index !== undefined && head.length === 1) return symbol(head, index)
    if (/^[A-Z]{2,}$/.test(head) || shortWords.has(head) || /^[A-Za-z]{3,}$/.test(head) || index !== undefined)
      return isImaginary(head) ? symbol(head.slice(0, 2), head.slice(2)) : { kind: 'words', text }
    if (isImaginary(head)) return symbol(head.slice(0, 2), head.slice(2))
    if (/^d[A-Z]$/.test(head)) return symbol(`Δ${head.slice(1)}`, undefined)
    return symbol(head.slice(0, 1), head.slice(1))
  }

  private marked(text: string): Term {
    if (text === '(') {
      this.at -= 1
      return this.fenced()
    }
    if (text === '|') {
      const inside = this.until('|')
      this.skip('|')
      return { kind: 'fenced', by: ['|', '|'], inside }
    }
    return /^[-+=<>∓]|^(-\/\+|<=|>=|\|\|)$/.test(text) ? sign(text) : { kind: 'mark', text }
  }

  private fenced(): Term & { kind: 'fenced' } {
    this.take()
    const inside = this.until(')')
    this.skip(')')
    return { kind: 'fenced', by: ['(', ')'], inside }
  }
}

/** Words that follow one another are one. */
function add(terms: Term[], term: Term): void {
  const last = terms[terms.length - 1]
  if (last?.kind === 'words' && term.kind === 'words')
    terms[terms.length - 1] = { kind: 'words', text: `${last.text} ${term.text}` }
  else terms.push(term)
}

/** Of several words only the last stands before a slash. */
function partLastWord(terms: Term[]): void {
  const last = terms[terms.length - 1]
  const space = last?.kind === 'words' ? last.text.lastIndexOf(' ') : -1
  if (last?.kind !== 'words' || space === -1) return
  const [words, word] = [last.text.slice(0, space), last.text.slice(space + 1)]
  terms.splice(-1, 1, { kind: 'words', text: words }, { kind: 'words', text: word })
}

const sign = (text: string): Term => ({ kind: 'sign', text: signs[text] ?? text })

const symbol = (text: string, index: string | undefined): Term =>
  index === undefined || index === '' ? { kind: 'symbol', text } : { kind: 'symbol', text, index }

/** `jX1`: a reactance on the imaginary axis. */
const isImaginary = (head: string): boolean => /^j[XZ]/.test(head)

/** Without the brackets that a bar or a raised place makes needless. */
const bare = (terms: Term[]): Term[] => {
  const [only] = terms
  return terms.length === 1 && only?.kind === 'fenced' && only.by[0] === '(' ? only.inside : terms
}

/** Where the product begins that a bar is drawn under. */
function startOfProduct(terms: readonly Term[]): number {
  let from = terms.length - 1
  while (from > 0) {
    const before = terms[from - 1]
    if (!before || before.kind === 'sign' || before.kind === 'words' || before.kind === 'mark') break
    from -= 1
  }
  return from
}
