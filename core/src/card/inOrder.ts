import { codesByName, entryOrder, entryReasons, type Entry, type Wish } from '../manual'
import type { Card, CardLine } from './cardLine'
import { finished } from './finished'
import type { Making } from './making'

/** Coded lines in the order that the locks allow, with the entries that serve them; each part before those without a code. */
export function inOrder(making: Making, open: readonly CardLine[]): Pick<Card, 'lines' | 'first' | 'cycle'> {
  const { manual, now } = making
  const places = new Map(making.lines.map(({ id }, i) => [id, i]))
  const rank = ({ settings: [id] }: CardLine): number => (id === undefined ? places.size : (places.get(id) ?? 0))
  const coded = open.filter(({ code }) => code !== undefined).sort((a, b) => rank(a) - rank(b))
  const plain = open.filter(({ code }) => code === undefined)
  const byKey = new Map(coded.map((line) => [line.key, line]))
  // What stands at a limit, or names no value in the drive’s writing, is asked of nobody.
  const wishes = coded
    .filter(({ problem }) => problem === undefined)
    .map(({ key, value }): Wish => ({ code: key, value }))
  const made = entryOrder(manual, wishes, now.held, now.told, (code) => byKey.get(code)?.first === true)
  const stuck = coded.filter(({ problem }) => problem !== undefined)
  if ('cycle' in made) {
    const sorted = [...coded, ...plain].sort((a, b) => Number(b.first) - Number(a.first))
    return { lines: sorted, first: sorted.filter(({ first }) => first).length, cycle: made.cycle }
  }
  const lines = made.entries.map((entry, i) => {
    const line = lineFor(making, entry, byKey.get(entry.code))
    return { ...line, first: i < made.first }
  })
  const sooner = [...lines.slice(0, made.first), ...[...stuck, ...plain].filter(({ first }) => first)]
  const later = [...lines.slice(made.first), ...[...stuck, ...plain].filter(({ first }) => !first)]
  return { lines: [...sooner, ...later], first: sooner.length }
}

/** The line of an entry: the plan’s own, or one that only serves another. */
function lineFor(making: Making, entry: Entry, own: CardLine | undefined): CardLine {
  if (own && entry.for === 'plan') return own
  const code = codesByName(making.manual).get(entry.code)
  const means = code?.values.find((v) => v.value === entry.value)?.means
  return finished(making, {
    key: entry.for === 'plan' || entry.for === 'closes' ? entry.code : `${entry.code} ${entry.for}`,
    code: entry.code,
    words: code?.words ?? entry.code,
    settings: [],
    value: entry.value,
    means: means === undefined ? [] : [means],
    why: [`${entryReasons[entry.for]}${entry.because === undefined ? '' : `: ${entry.because}`}.`],
    basis: 'computed',
    for: entry.for,
    first: false,
    ...(entry.because === undefined ? {} : { because: entry.because }),
  })
}
