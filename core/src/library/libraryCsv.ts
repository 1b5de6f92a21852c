import Papa from 'papaparse'
import { dimensionKind, parseQuantity, type Dimension, type Parsed } from '../quantities'
import { faultsOf, firstFaults, type Fault, type Outcome } from '../rules/rule'
import { cut } from '../rules/text'
import { libraryColumns, type LibraryColumn } from './libraryColumns'
import { libraryItemSchema, MOST_ITEMS, type LibraryItem, type TableKind } from './libraryItem'

const NAME = 'Name'

/** More than any heading and any table of the library has. */
const LONGEST_HEADING = 200
const MOST_HEADINGS = 200
const NOTHING = 1e-16
/** As many cells as there may be headings, each as long as one. */
const LONGEST_LINE = LONGEST_HEADING * MOST_HEADINGS
/** Empty lines are passed over, but not for ever. */
const LINES_READ = 10 * MOST_ITEMS
/** Letters of a cell that a message repeats. */
const SHOWN = 60

/** Spreadsheets run cells that begin like a formula; a leading apostrophe keeps them words. */
const formula = /^'(?=[=+\-@\t\r])/

/** Items of one kind as CSV (RFC 4180): a heading line with units, a line each, unknown fields empty. */
export function libraryCsv(kind: TableKind, items: readonly LibraryItem[]): string {
  const ofKind = items.filter((item) => item.kind === kind)
  // Columns that nobody filled only widen the sheet.
  const filled = (column: LibraryColumn) => ofKind.some(({ item }) => Reflect.get(item, column.key) !== undefined)
  const columns = ofKind.length === 0 ? libraryColumns(kind) : libraryColumns(kind).filter(filled)
  const rows = ofKind.map(({ name, item }) => [name, ...columns.map((c) => printCell(c, Reflect.get(item, c.key)))])
  return Papa.unparse([[NAME, ...columns.map((c) => c.heading)], ...rows], { escapeFormulae: true })
}

function printCell({ field, unit }: LibraryColumn, value: unknown): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return written(field.dimension ? inUnit(value, field.dimension, unit) : value)
  return typeof value === 'string' ? (field.options?.[value] ?? value) : ''
}

/**
 * Twelve digits: enough to be the same number when read, without the tail of a binary fraction or an exponent. What is
 * nothing in any unit would be hundreds of zeros.
 */
const written = (value: number): string =>
  Math.abs(value) < NOTHING ? '0' : value.toLocaleString('en-GB', { useGrouping: false, maximumSignificantDigits: 12 })

function inUnit(value: number, dimension: Dimension, unit: string): number {
  const found = dimensionKind(dimension).units.find((u) => u.symbol === unit)
  return found ? (value - (found.offset ?? 0)) / found.factor : value
}

/**
 * Reads a CSV of one kind: headings as written by `libraryCsv`, in any order, with or without their
 * units; cells as people type, `3/4 hp` or `7,5 A`. Taken whole or not at all: every fault is named by
 * its line and heading.
 */
export function readLibraryCsv(kind: TableKind, text: string): Outcome<LibraryItem[]> {
  const strange = noTable(text)
  if (strange) return { ok: false, faults: [strange] }
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const broken = errors.filter((e) => e.type === 'Quotes')
  if (broken.length > 0)
    return {
      ok: false,
      faults: broken.map((e) => ({ field: lineName(e.row ?? 0), message: 'has a quotation mark that is not closed' })),
    }
  const [headings = [], ...lines] = data
  const wide = headings.findIndex((heading) => heading.length > LONGEST_HEADING)
  if (headings.length > MOST_HEADINGS || wide !== -1)
    return { ok: false, faults: [{ field: 'line 1', message: 'is no line of headings: too long' }] }
  const columns = headings.map((heading) => columnFor(kind, heading))
  const faults = headingFaults(headings, columns)
  if (lines.length > MOST_ITEMS)
    faults.push({ field: '', message: `holds ${lines.length} lines; at most ${MOST_ITEMS} are taken at once` })
  if (faults.length > 0) return { ok: false, faults }
  const items = lines.map((cells, i) => readLine(kind, headings, columns, cells, lineName(i + 1), faults))
  repeatedNames(items, faults)
  return faults.length > 0
    ? { ok: false, faults: firstFaults(faults) }
    : { ok: true, value: items.flatMap((item) => item ?? []) }
}

/** What is larger than any table, before anything takes its time over it. */
function noTable(text: string): Fault | undefined {
  let from = 0
  for (let line = 0; line < LINES_READ; line += 1) {
    const found = text.indexOf('\n', from)
    const end = found === -1 ? text.length : found
    if (end - from > LONGEST_LINE) return { field: lineName(line), message: `is longer than ${LONGEST_LINE} letters` }
    if (found === -1) return undefined
    from = found + 1
  }
  return { field: '', message: `holds more than ${LINES_READ} lines, empty ones among them` }
}

const lineName = (index: number): string => `line ${index + 1}`

const bare = (heading: string): string =>
  heading
    .replace(/\([^)]*\)\s*$/, '')
    .trim()
    .toLowerCase()

const columnFor = (kind: TableKind, heading: string): LibraryColumn | typeof NAME | undefined =>
  bare(heading) === bare(NAME)
    ? NAME
    : libraryColumns(kind).find((c) => bare(c.heading) === bare(heading) || c.key === heading.trim())

function headingFaults(
  headings: readonly string[],
  columns: readonly (LibraryColumn | typeof NAME | undefined)[],
): Fault[] {
  const faults: Fault[] = []
  headings.forEach((heading, i) => {
    if (columns[i] === undefined) faults.push({ field: 'line 1', message: `"${heading}" is not a heading known here` })
    else if (columns.indexOf(columns[i]) < i)
      faults.push({ field: 'line 1', message: `"${heading}" stands there twice` })
  })
  if (!columns.includes(NAME)) faults.push({ field: 'line 1', message: `needs a heading "${NAME}"` })
  return faults
}

function readLine(
  kind: TableKind,
  headings: readonly string[],
  columns: readonly (LibraryColumn | typeof NAME | undefined)[],
  cells: readonly string[],
  line: string,
  faults: Fault[],
): LibraryItem | undefined {
  let name = ''
  const item: Record<string, unknown> = {}
  const before = faults.length
  if (cells.length > columns.length) faults.push({ field: line, message: 'has more cells than there are headings' })
  columns.forEach((column, i) => {
    const text = (cells[i] ?? '').trim().replace(formula, '')
    if (column === NAME) name = text
    else if (column && text !== '') {
      const read = readCell(column, text, unitIn(headings[i] ?? ''))
      if (read.ok) item[column.key] = read.value
      else faults.push({ field: `${line}, ${column.field.label}`, message: read.message })
    }
  })
  if (faults.length > before) return undefined
  const checked = libraryItemSchema.safeParse({ kind, name, item })
  if (checked.success) return checked.data
  for (const { field, message } of faultsOf(checked.error, { kind, name, item })) {
    const key = field.replace(/^item\./, '')
    const column = libraryColumns(kind).find((c) => c.key === key)
    // The heading is known, so what is not known is that this kind of thing should have it.
    const strange = column !== undefined && message === 'is not a key known here'
    faults.push({
      field: `${line}, ${column?.field.label ?? (key === 'name' ? NAME : key)}`,
      message: strange ? `is nothing that this kind of ${kind} has here; leave the cell empty` : message,
    })
  }
  return undefined
}

const unitIn = (heading: string): string => /\(([^)]*)\)\s*$/.exec(heading)?.[1]?.trim() ?? ''

/** A cell as typed; a bare number is in the unit that the heading names, else in the column's own. */
function readCell({ field, unit }: LibraryColumn, text: string, headingUnit: string): Parsed<unknown> {
  if (field.options) return readOption(field.options, text)
  if (!field.dimension) return field.schema.safeParse(true).success ? readYesNo(text) : { ok: true, value: text }
  const named = /[^\d\s.,/+-]/.test(text) ? '' : headingUnit === '' ? unit : headingUnit
  return parseQuantity(named === '' ? text : `${text} ${named}`, field.dimension)
}

function readOption(options: Readonly<Record<string, string>>, text: string): Parsed<string> {
  const wanted = text.toLowerCase()
  const found = Object.entries(options).find(([key, words]) => key === wanted || words.toLowerCase() === wanted)
  return found
    ? { ok: true, value: found[0] }
    : { ok: false, message: `"${cut(text, SHOWN)}" is none of: ${Object.values(options).join('; ')}` }
}

function readYesNo(text: string): Parsed<boolean> {
  const word = text.toLowerCase()
  if (['yes', 'y', 'true', '1'].includes(word)) return { ok: true, value: true }
  if (['no', 'n', 'false', '0'].includes(word)) return { ok: true, value: false }
  return { ok: false, message: `"${cut(text, SHOWN)}" is neither yes nor no` }
}

function repeatedNames(items: readonly (LibraryItem | undefined)[], faults: Fault[]): void {
  const seen = new Set<string>()
  items.forEach((item, i) => {
    if (!item) return
    if (seen.has(item.name)) faults.push({ field: lineName(i + 1), message: `"${item.name}" stands there twice` })
    seen.add(item.name)
  })
}
