import Papa from 'papaparse'
import { plainText } from '../quantities'
import { faultsOf, firstFaults } from '../rules/rule'
import { cut } from '../rules/text'
import { MOST_READINGS, readingSchema, type Reading } from './measurement'
import { columnsOf, readingOfRow } from './readingColumns'
import { readingsOfLine } from './readingLine'
import type { ReadingsContext } from './readingWords'

const LONGEST_TEXT = 1_000_000
const LONGEST_LINE = 1000
/** Letters of a line that a message repeats. */
const SHOWN = 80

export interface ReadingsRead {
  readings: Reading[]
  /** Lines of which nothing was taken, each with why. */
  notRead: { line: string; why: string }[]
}

/**
 * Reads what somebody noted at the machine: lines such as `412 rpm at 50 Hz on slow`, `coast 14 s from 1420 rpm`,
 * `U 3.1 A`, or a table with headings, from a spreadsheet or as CSV. Nothing is guessed: a line whose number has no unit,
 * or whose seconds do not say of what, is told with what would do.
 *
 * @example readReadings('412 rpm at 50 Hz', { positions: [], system: 'metric', takenAt: '2026-03-01T10:00:00Z' }).readings[0]?.value // 412
 */
export function readReadings(text: string, context: ReadingsContext): ReadingsRead {
  if (text.length > LONGEST_TEXT)
    return { readings: [], notRead: [{ line: cut(text, SHOWN), why: 'The whole is too long: take it in parts.' }] }
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' })
  const [headings = [], ...rows] = data
  const columns = columnsOf(headings)
  const read: ReadingsRead = { readings: [], notRead: [] }
  const take = (line: string, of: (line: string) => unknown[] | string) => {
    const found = of(line)
    if (typeof found === 'string') return void read.notRead.push({ line: cut(line.trim(), SHOWN), why: found })
    for (const one of found) {
      const checked = readingSchema.safeParse(one)
      if (checked.success && read.readings.length < MOST_READINGS) read.readings.push(checked.data)
      else
        read.notRead.push({
          line: cut(line.trim(), SHOWN),
          why: checked.success ? `At most ${MOST_READINGS} are taken at once.` : inWords(checked.error, one),
        })
    }
  }
  if (columns) for (const cells of rows) take(cells.join(' | '), () => readingOfRow(cells, columns, context))
  else
    for (const line of text.split(/\r?\n/))
      if (line.trim() !== '')
        take(line, () =>
          line.length > LONGEST_LINE ? 'The line is too long.' : readingsOfLine(plainText(line), context),
        )
  return read
}

const inWords = (error: Parameters<typeof faultsOf>[0], one: unknown): string =>
  firstFaults(faultsOf(error, one))
    .map(({ field, message }) => `${field}: ${message}`)
    .join('; ')
