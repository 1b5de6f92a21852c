import { figureOf } from './figures'
import { itemsOf, type LineItems } from './items'

/** A stretch of a plate that is read by itself, with the line it stands in. */
export interface Segment {
  line: number
  text: string
  /** The mains hertz whose column or row this is. */
  hertz?: number
  /** Headings and values did not stand square, so which belongs to which is a guess. */
  doubt?: string
}

/** What a line holds, as far as its place in a table goes. */
interface Shape {
  text: string
  cells: string[]
  read: LineItems
  groups: number
  terms: number
  /** Hertz, where it says nothing else. */
  onlyHertz: number[]
}

const CELLS = /\s*\|\s*|\t+|;|\s{2,}/
const cellsOf = (text: string): string[] =>
  text
    .trim()
    .replace(/^\|/, '')
    .replace(/\|$/, '')
    .split(CELLS)
    .map((c) => c.trim())

function shapeOf(text: string): Shape {
  const read = itemsOf(text)
  const groups = read.items.flatMap((i) => (i.is === 'group' ? [i] : []))
  const terms = read.items.flatMap((i) => (i.is === 'term' ? [i.term] : []))
  const hertzAlone =
    groups.length > 0 &&
    terms.length > 0 &&
    terms.every((t) => t.quantity === 'hertz') &&
    read.values.length === 0 &&
    read.unread.length === 0
  return {
    text,
    cells: cellsOf(text),
    read,
    groups: groups.length,
    terms: terms.length,
    onlyHertz: hertzAlone
      ? groups.flatMap((g) => g.alternatives.map((a) => figureOf(a.low, { quantity: 'hertz', factor: 1 })))
      : [],
  }
}

const isHeading = ({ groups, terms, read, cells }: Shape): boolean =>
  groups === 0 &&
  terms > 0 &&
  read.values.length === 0 &&
  (cells.length === 1 || cells.filter((c) => c !== '').length > 1 || terms === 1)
/** Numbers and codes without a word that names one. */
const isValues = ({ groups, terms }: Shape): boolean => groups > 0 && terms === 0

/** Heading and value of each column, where both lines have the same number of cells or of things said. */
function columns(heading: Shape, values: Shape): string[] | undefined {
  const heads = heading.cells
  if (heads.length > 1 && heads.length === values.cells.length)
    return heads.map((head, i) => `${head} ${values.cells[i] ?? ''}`)
  const named = termTexts(heading)
  const said = valueTexts(values)
  if (named.length === said.length) return named.map((name, i) => `${name} ${said[i] ?? ''}`)
  return undefined
}

/** The words of a heading that each name one thing. */
function termTexts({ text, read }: Shape): string[] {
  if (read.unread.length > 0) return text.split(/\s+/)
  return read.items.flatMap((i) => (i.is === 'term' ? [text.slice(i.from, i.to)] : []))
}
const valueTexts = ({ text }: Shape): string[] =>
  text
    .trim()
    .replace(/\s*([/-])\s*/g, '$1')
    .split(/\s+/)

/** Columns by where they stand, where they cannot be counted: each value to the heading nearest to its middle. */
function byPlace(heading: Shape, values: Shape): string[] {
  const places = (text: string) =>
    [...text.matchAll(/\S+(?: \S+)*/g)].map((m) => ({ text: m[0], middle: m.index + m[0].length / 2 }))
  const heads = places(heading.text.replaceAll('\t', '        '))
  return places(values.text.replaceAll('\t', '        ')).map((value) => {
    const nearest = heads.reduce((a, b) =>
      Math.abs(b.middle - value.middle) < Math.abs(a.middle - value.middle) ? b : a,
    )
    return `${nearest.text} ${value.text}`
  })
}

/** A line of a table whose columns are the hertz above: each column's own text. */
function hertzColumns(row: Shape, hertz: readonly number[]): string[] | undefined {
  const groups = row.read.items.flatMap((i) => (i.is === 'group' ? [i] : []))
  const kinds = new Set(row.read.items.flatMap((i) => (i.is === 'term' ? [i.term.quantity] : [])))
  if (groups.length !== hertz.length || kinds.size !== 1) return undefined
  const terms = row.read.items.flatMap((i) => (i.is === 'term' ? [row.text.slice(i.from, i.to)] : []))
  const label = terms[0] ?? ''
  const unit = terms.length > 1 ? (terms[1] ?? '') : ''
  return groups.map((g) => `${label} ${row.text.slice(g.from, g.to)}${unit === label ? '' : ` ${unit}`}`)
}

/** Where a second hertz begins in one line, if it tells two: `50 Hz 1.5 kW ... 60 Hz 1.8 kW ...`. */
function splitAtHertz(text: string): string[] {
  const found = [...text.matchAll(/(?<![\d.,/-])(?:50|60)\s*(?:hz|cy(?:c(?:les?)?)?)\b/gi)]
  const [first, second] = found
  if (found.length !== 2 || !first || !second) return [text]
  const startsWith = text.slice(0, first.index).trim() === ''
  const cut = startsWith ? second.index : first.index + first[0].length
  return [text.slice(0, cut), text.slice(cut)]
}

/**
 * The lines of a plate as stretches that each say one thing after another: tables are taken apart, by headings over
 * values, by columns for two mains hertz, and by a word and its number on lines of their own.
 */
export function layOut(lines: readonly string[]): Segment[] {
  const shapes = lines.map(shapeOf)
  const segments: Segment[] = []
  let heading: Shape | undefined
  let columnsOfHertz: number[] | undefined
  let carried: number | undefined
  for (let line = 0; line < shapes.length; line += 1) {
    const here = shapes[line] as Shape
    const next = shapes[line + 1]
    if (here.onlyHertz.length === 2 && here.groups === 2) {
      columnsOfHertz = here.onlyHertz
      for (const hertz of here.onlyHertz) segments.push({ line, text: `${hertz} Hz`, hertz })
      continue
    }
    const cells = columnsOfHertz && hertzColumns(here, columnsOfHertz)
    if (cells) {
      cells.forEach((text, i) => segments.push({ line, text, hertz: columnsOfHertz?.[i] ?? 0 }))
      continue
    }
    columnsOfHertz = undefined
    // A number on a line of its own, and what it is on the next.
    if (isValues(here) && here.groups === 1 && next && isHeading(next) && next.terms === 1 && !heading) {
      segments.push({ line, text: `${here.text} ${next.text}` }, { line: line + 1, text: '' })
      line += 1
      continue
    }
    if (
      isHeading(here) &&
      next &&
      (isValues(next) ||
        (isHeading(next) &&
          next.cells.length === here.cells.length &&
          shapes[line + 2] &&
          isValues(shapes[line + 2] as Shape)))
    ) {
      // A line of units under a line of words: one heading.
      const units = isHeading(next) && here.cells.length > 1
      heading = units ? shapeOf(here.cells.map((c, i) => `${c} ${next.cells[i] ?? ''}`).join(' | ')) : here
      segments.push({ line, text: '' })
      if (units) segments.push({ line: (line += 1), text: '' })
      continue
    }
    if (heading && isValues(here)) {
      const square = columns(heading, here)
      const rows = square ?? byPlace(heading, here)
      const hertz = rows.map((r) => shapeOf(r)).find((r) => r.onlyHertz.length === 1)?.onlyHertz[0]
      for (const text of rows)
        segments.push({
          line,
          text,
          ...(hertz === undefined ? {} : { hertz }),
          ...(square ? {} : { doubt: 'its column does not stand under one heading' }),
        })
      // One word over one number is done with it; a table may have more rows.
      if (heading.terms === 1) heading = undefined
      continue
    }
    heading = undefined
    if (here.onlyHertz.length === 1) carried = here.onlyHertz[0]
    for (const text of splitAtHertz(here.text)) {
      const own = shapeOf(text).read
      const told = hertzIn(own)
      const hertz = told ?? (here.onlyHertz.length === 1 ? undefined : carried)
      segments.push({ line, text, ...(hertz === undefined ? {} : { hertz }) })
    }
  }
  return segments
}

/** The one hertz that a stretch tells in so many words, `50 Hz` or `Hz 50`. */
function hertzIn({ items }: LineItems): number | undefined {
  const found = items.flatMap((item, i) => {
    if (item.is !== 'group' || item.alternatives.length > 1) return []
    const beside = [items[i - 1], items[i + 1]].some((o) => o?.is === 'term' && o.term.quantity === 'hertz')
    const value = Number(item.alternatives[0]?.low)
    return beside && (value === 50 || value === 60) ? [value] : []
  })
  return found.length === 1 ? found[0] : undefined
}
