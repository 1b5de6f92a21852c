import Papa from 'papaparse'
import { codeNamed, decode, readJottings, settingsOf, type Manual, type ShareOf } from '../manual'
import { jottedInto } from '../manual/jottedInto'
import { settingNamed } from '../manual/readJottings'
import type { SettingId } from '../plan'
import { cut } from '../rules/text'

/** What a column of a list of settings may be. */
export const settingColumns = {
  code: 'The code',
  value: 'What it holds',
  words: 'What it is',
  default: 'What it comes with',
  least: 'The least',
  most: 'The most',
  ignored: 'Nothing',
} as const
export type SettingColumn = keyof typeof settingColumns

/** A list as it came: its headings, its rows, and what each column seems to be. */
export interface SettingsTable {
  headings: string[]
  rows: string[][]
  columns: SettingColumn[]
}

const MOST_ROWS = 1000
const MOST_COLUMNS = 20
const LONGEST_TEXT = 1_000_000

/** Headings as people and programs write them, tried in this order. */
const headingWords: readonly [RegExp, SettingColumn][] = [
  [/\b(default|factory|comes with|werks)/i, 'default'],
  [/\b(min(imum)?|least|from|lower)\b/i, 'least'],
  [/\b(max(imum)?|most|upper)\b/i, 'most'],
  [/\b(value|setting|set to|actual|current value|now|holds|wert|data)\b/i, 'value'],
  [/\b(desc|name|words|function|meaning|text|title|label|comment|what)/i, 'words'],
  [/\b(code|par(am(eter)?)?|no\.?|nr\.?|number|id|address|index|pnu?)\b/i, 'code'],
]

/** A cell that looks like a drive's code: letters and figures together, or figures with a mark between. */
const LIKE_CODE = /^[a-z]{0,6}[ ._/-]?\d+(?:[._/-]\d+)*[a-z]?$/i
const LIKE_VALUE = /^[+-]?\d+(?:[.,]\d+)?(?:\s*[a-z%/°]+)?$|^(on|off|yes|no)$/i

const share = (cells: readonly string[], like: RegExp): number =>
  cells.length === 0 ? 0 : cells.filter((c) => like.test(c.trim())).length / cells.length

function guessed(headings: readonly string[], rows: readonly string[][]): SettingColumn[] {
  const taken = new Set<SettingColumn>()
  const columns = headings.map((heading): SettingColumn | undefined => {
    const found = headingWords.find(([pattern, column]) => pattern.test(heading) && !taken.has(column))?.[1]
    if (found) taken.add(found)
    return found
  })
  const cellsOf = (i: number): string[] => rows.flatMap((row) => (row[i] ?? '').trim() || []).slice(0, 60)
  // What the headings do not say the cells may: codes first, then figures, then words.
  const byCells = (column: SettingColumn, fits: (cells: string[]) => boolean): void => {
    if (taken.has(column)) return
    const at = columns.findIndex((c, i) => c === undefined && cellsOf(i).length > 0 && fits(cellsOf(i)))
    if (at === -1) return
    columns[at] = column
    taken.add(column)
  }
  byCells('code', (cells) => share(cells, LIKE_CODE) > 0.7 && new Set(cells).size > cells.length * 0.9)
  byCells('value', (cells) => share(cells, LIKE_VALUE) > 0.6)
  byCells('words', (cells) => share(cells, /[a-z]{3}/i) > 0.6)
  return columns.map((c) => c ?? 'ignored')
}

/** Whether the first row is headings: none of its cells is a figure, and it names a column. */
const isHeadings = (row: readonly string[]): boolean =>
  row.every((cell) => !/^[+-]?\d+([.,]\d+)?$/.test(cell.trim())) &&
  row.some((cell) => headingWords.some(([pattern]) => pattern.test(cell))) &&
  !row.some((cell) => LIKE_CODE.test(cell.trim()) && /\d/.test(cell))

/**
 * A table of settings from a file or a spreadsheet, with what its columns seem to be; nothing where it is no table. A
 * separator of any usual kind is found by itself.
 *
 * @example readSettingsTable('Code;Value\nh12;60')?.columns // ['code', 'value']
 */
export function readSettingsTable(text: string): SettingsTable | undefined {
  if (text.length > LONGEST_TEXT) return undefined
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' })
  const wide = data.filter((row) => row.length > 1)
  if (wide.length < data.length * 0.8 || wide.length === 0) return undefined
  const [head = []] = wide
  const named = isHeadings(head)
  const width = Math.min(MOST_COLUMNS, Math.max(...wide.map((row) => row.length)))
  const headings = Array.from({ length: width }, (_, i) => (named ? (head[i] ?? '').trim() : `Column ${i + 1}`))
  const rows = wide
    .slice(named ? 1 : 0, MOST_ROWS + 1)
    .map((row) => headings.map((_, i) => cut((row[i] ?? '').trim(), 200)))
  const columns = guessed(named ? headings : headings.map(() => ''), rows)
  return columns.includes('code') || named ? { headings, rows, columns } : undefined
}

/** One setting of a list: as it was written. */
export interface ListedSetting {
  code: string
  value?: string
  words?: string
  default?: string
  least?: string
  most?: string
}

/** The settings of a table by what its columns were said to be. */
export const settingsOfTable = ({ rows, columns }: SettingsTable): ListedSetting[] =>
  rows.flatMap((row): ListedSetting[] => {
    const cell = (column: SettingColumn): string => row[columns.indexOf(column)]?.trim() ?? ''
    const code = cell('code')
    if (code === '') return []
    const kept: ListedSetting = { code: cut(code, 24) }
    for (const column of ['value', 'words', 'default', 'least', 'most'] as const)
      if (columns.includes(column) && cell(column) !== '')
        kept[column] = cut(cell(column), column === 'words' ? 160 : 24)
    return [kept]
  })

/** The settings of jotted lines, `code value words`, and the lines of which nothing was understood. */
export function settingsOfLines(text: string, manual: Manual): { settings: ListedSetting[]; rest: string[] } {
  const settings: ListedSetting[] = []
  const rest: string[] = []
  for (const line of text.slice(0, LONGEST_TEXT).split(/\r?\n/)) {
    const plain = line.replace(/^[\s•*>-]+/, '').trim()
    if (plain === '') continue
    const known = byKnownCode(plain, manual)
    const [jotted] = known ? [] : readJottings(plain).codes
    if (known) settings.push(known)
    else if (jotted)
      settings.push({
        code: cut(jotted.code, 24),
        ...(jotted.value === undefined ? {} : { value: cut(jotted.value, 24) }),
        ...(jotted.words === '' ? {} : { words: cut(jotted.words, 160) }),
      })
    else rest.push(cut(line.trim(), 200))
  }
  return { settings, rest }
}

/** A line that begins with a code of this drive, written in any of the ways people write it. */
function byKnownCode(line: string, manual: Manual): ListedSetting | undefined {
  const words = line.split(/\s+/)
  // A code may be two words: "set 2/1"; the longer is tried first.
  for (const length of [2, 1]) {
    const head = words
      .slice(0, length)
      .join(' ')
      .replace(/[=:,]+$/, '')
    const code = codeNamed(manual, head)
    if (!code || words.length <= length) continue
    const [value = '', ...more] = words.slice(length).filter((w, i) => i > 0 || !/^[=:]$/.test(w))
    if (value === '') return { code: code.code }
    return {
      code: code.code,
      value: cut(value.replace(/[;,]$/, ''), 24),
      ...(more.length === 0 ? {} : { words: cut(more.join(' '), 160) }),
    }
  }
  return undefined
}

/** What one listed setting comes to on this drive. */
export interface ListedMeaning {
  listed: ListedSetting
  /** The manual's code that it is; nothing where the manual has none. */
  code?: string
  /** Settings that the value decides, once it is read. */
  settings: readonly SettingId[]
  understood: boolean
}

/** What a list comes to before anything of it is taken: a preview, a line each. */
export const meaningsOf = (manual: Manual, listed: readonly ListedSetting[], of: ShareOf): ListedMeaning[] =>
  listed.map((one) => {
    const code = codeNamed(manual, one.code)
    const meant = code && one.value !== undefined ? decode(code, one.value, of) : undefined
    const guess = code ? undefined : settingNamed(one.words ?? '')
    return {
      listed: one,
      ...(code ? { code: code.code } : {}),
      settings: code ? settingsOf(code) : guess === undefined ? [] : [guess],
      understood:
        code !== undefined && (one.value === undefined || meant !== undefined || settingsOf(code).length === 0),
    }
  })

/** The manual with the codes of a list that it had not, or had without their ends and defaults. */
export function listedInto(manual: Manual, listed: readonly ListedSetting[]): Manual {
  const known = jottedInto(manual, {
    terminals: [],
    codes: listed.flatMap((one) =>
      codeNamed(manual, one.code)
        ? []
        : [
            {
              code: one.code,
              value: one.default,
              words: one.words ?? '',
              sets: settingNamed(one.words ?? ''),
            },
          ],
    ),
    rest: [],
  })
  const number = (text: string | undefined): number | undefined => {
    const value = text === undefined ? NaN : Number(text.replace(',', '.').replace(/\s*[^\d.eE+-].*$/, ''))
    return Number.isFinite(value) ? value : undefined
  }
  const codes = known.codes.map((code) => {
    const one = listed.find((l) => codeNamed({ ...known, codes: [code] }, l.code))
    if (!one) return code
    const [least, most] = [number(one.least), number(one.most)]
    return {
      ...code,
      ...(code.comesWith === undefined && one.default !== undefined ? { comesWith: one.default } : {}),
      ...(code.least === undefined && least !== undefined && least <= (most ?? code.most ?? Infinity) ? { least } : {}),
      ...(code.most === undefined && most !== undefined && most >= (least ?? code.least ?? -Infinity) ? { most } : {}),
    }
  })
  return { ...known, codes: codes.slice(0, 400) }
}

/** The settings of a drive as a table for a spreadsheet: code, what it is, planned, read. */
export const settingsCsv = (
  lines: readonly { code: string; words: string; value: string; held: string; found: string }[],
): string =>
  Papa.unparse(
    [
      ['Code', 'What it is', 'As found', 'Planned', 'Value'],
      ...lines.map(({ code, words, value, held, found }) => [code, words, found, value, held]),
    ],
    { escapeFormulae: true },
  )
