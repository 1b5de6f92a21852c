import type { Position } from '../plan'
import { parseQuantity, plainText, type UnitSystem } from '../quantities'

/** A position as a lever plate or a list tells it, by its speed or its ratio. */
export type KnownPosition = Pick<Position, 'knownSpindleRpm' | 'knownMotorRpm' | 'knownHz' | 'knownRatio'> & {
  name: string
}

/** What was read of a table of speeds, and the lines of which nothing was. */
export interface PositionsRead {
  positions: KnownPosition[]
  /** Motor speed or hertz said once for all of them. */
  at: Pick<Position, 'knownMotorRpm' | 'knownHz'>
  notRead: string[]
}

type Column = 'name' | 'knownSpindleRpm' | 'knownMotorRpm' | 'knownHz' | 'knownRatio'

const MOST_POSITIONS = 24

const NUMBER = String.raw`\d[\d.,]*`
/** `at 1420 rpm of the motor`, `motor 1420`, `@ 50 Hz`: for the line it stands in, or for all. */
const AT_HERTZ = new RegExp(
  String.raw`(?:\bat|@|\bdrive(?: at)?|\bfor)?\s*(${NUMBER})\s*(?:hz|hertz|cycles?|c\/s)\b`,
  'i',
)
const AT_MOTOR = new RegExp(
  String.raw`\b(?:motor|engine)(?:\s+(?:speed|at|turns|runs))?\s*[:=@]?\s*(${NUMBER})\s*(?:rpm|r\/min|u\/min|tr\/min)?` +
    String.raw`|(?:\bat|@)\s*(${NUMBER})\s*(?:rpm|r\/min|u\/min|tr\/min)?(?:\s+(?:of\s+the\s+)?motor)?(?=\s*$|\s*[)\]])`,
  'i',
)
/** `2.5:1` and `2.5 : 1`; `1: 120` is the first position. */
const RATIO = new RegExp(String.raw`(${NUMBER})(?:(\s*):\2| to )(${NUMBER})(?!\s*[\d:])`, 'i')
const RPM = new RegExp(String.raw`(${NUMBER})\s*(?:rpm|r\/min|u\/min|tr\/min|min-1|min⁻¹|1\/min|/min)?`, 'gi')

const headings: readonly (readonly [RegExp, Column])[] = [
  [/motor|engine/i, 'knownMotorRpm'],
  [/hz|hertz|frequency/i, 'knownHz'],
  [/ratio/i, 'knownRatio'],
  [/rpm|speed|spindle|u\/min|tr\/min|r\/min/i, 'knownSpindleRpm'],
  [/pos|lever|gear|range|step|belt|name|setting/i, 'name'],
]

/**
 * Reads a list of speeds as it stands on a lever plate, in a note or in a spreadsheet: `A 210`, `low: 45, 70, 120`, a
 * table with a heading. What stands alone is the spindle's rpm; `2.5 : 1` is motor turns for one of the spindle;
 * `at 1420 rpm` or `50 Hz` says what the motor does then. Nothing is guessed: a line without a number is told.
 *
 * @example readPositions('A 210, B 570 at 50 Hz').positions.length // 2
 */
export function readPositions(text: string, system: UnitSystem = 'metric'): PositionsRead {
  const lines = text
    .split(/\r?\n/)
    .map((line) => plainText(line.replaceAll('\t', ' | ')))
    .filter((line) => line !== '')
  const columns = columnsOf(lines[0] ?? '')
  const read: PositionsRead = { positions: [], at: {}, notRead: [] }
  for (const line of columns ? lines.slice(1) : lines) {
    const found = columns ? fromCells(cellsOf(line), columns, system) : fromWords(line, read)
    if (found.length === 0 && !isOnlyAt(line)) read.notRead.push(line.replace(/[\s|;]+$/, ''))
    read.positions.push(...found)
  }
  read.positions = read.positions.slice(0, MOST_POSITIONS).map((p, i) => ({
    ...(p.knownRatio === undefined && p.knownMotorRpm === undefined && p.knownHz === undefined ? read.at : {}),
    ...p,
    name: p.name === '' ? `${i + 1}` : p.name,
  }))
  return read
}

const cellsOf = (line: string): string[] =>
  line.split(line.includes('|') ? '|' : line.includes(';') ? ';' : /,\s*|\s{2,}/).map((c) => c.trim())

/** The columns of a table, by their headings; undefined where the first line is no heading. */
function columnsOf(line: string): (Column | undefined)[] | undefined {
  const cells = cellsOf(line)
  if (cells.length < 2 || cells.some((cell) => /\d/.test(cell.replace(/min-1|1\/min/, '')))) return undefined
  const columns = cells.map((cell) => headings.find(([says]) => says.test(cell))?.[1])
  return columns.some((c) => c === 'knownSpindleRpm' || c === 'knownRatio') ? columns : undefined
}

function fromCells(cells: string[], columns: readonly (Column | undefined)[], system: UnitSystem): KnownPosition[] {
  const position: KnownPosition = { name: '' }
  cells.forEach((cell, i) => {
    const column = columns[i]
    if (column === undefined || cell === '') return
    if (column === 'name') position.name = cell.slice(0, 40)
    else if (column === 'knownRatio') position.knownRatio = ratioIn(cell)
    else {
      const value = parseQuantity(cell, column === 'knownHz' ? 'frequency' : 'speed', system)
      if (value.ok && value.value > 0) position[column] = value.value
    }
  })
  return position.knownSpindleRpm === undefined && position.knownRatio === undefined ? [] : [position]
}

/** `2.5 : 1` and `1 : 2.5` are motor turns to spindle turns; a number alone is spindle turns for one of the motor. */
function ratioIn(text: string): number | undefined {
  const [, motor, , spindle] = RATIO.exec(text) ?? []
  if (motor !== undefined && spindle !== undefined) {
    const ratio = amountOf(spindle) / amountOf(motor)
    return Number.isFinite(ratio) && ratio > 0 ? ratio : undefined
  }
  const alone = parseQuantity(text, 'number')
  return alone.ok && alone.value > 0 ? alone.value : undefined
}

const amountOf = (digits: string): number => {
  const read = parseQuantity(digits.replace(/[.,]+$/, ''), 'number')
  return read.ok ? read.value : Number.NaN
}

/** A line of words and numbers: what the motor does is taken out first, then each number is a speed with the word before it. */
function fromWords(line: string, read: PositionsRead): KnownPosition[] {
  const at: PositionsRead['at'] = {}
  let rest = line
  const [hertz, hz] = AT_HERTZ.exec(rest) ?? []
  if (hertz !== undefined && hz !== undefined) {
    at.knownHz = amountOf(hz)
    rest = rest.replace(hertz, ' ')
  }
  const [motor, named, alone] = AT_MOTOR.exec(rest) ?? []
  if (motor !== undefined) {
    at.knownMotorRpm = rpmOf(named ?? alone ?? '')
    rest = rest.replace(motor, ' ')
  }
  // Said on a line of its own, or once at the end of several, it holds for all.
  const [ratio] = RATIO.exec(rest) ?? []
  const byRatio = ratio === undefined ? undefined : ratioIn(ratio)
  if (byRatio !== undefined) return [{ name: nameIn(rest.replace(ratio ?? '', ' ')), knownRatio: byRatio }]
  const speeds = speedsIn(rest)
  if (speeds.length !== 1) Object.assign(read.at, at)
  return speeds.map((s) => ({ ...s, ...(speeds.length === 1 ? at : {}) }))
}

const isOnlyAt = (line: string): boolean => AT_HERTZ.test(line) || AT_MOTOR.test(line)

const rpmOf = (digits: string): number => {
  const read = parseQuantity(digits.replace(/[.,]+$/, ''), 'speed')
  return read.ok ? read.value : Number.NaN
}

/** Each speed with its name: the words before it, or the number of the step before it where that is all there is. */
function speedsIn(text: string): KnownPosition[] {
  const found = [...text.matchAll(RPM)].filter(([, digits]) => rpmOf(digits ?? '') > 0)
  const named: KnownPosition[] = []
  let from = 0
  const inOneLine = found.length > 2
  for (let i = 0; i < found.length; i += 1) {
    const here = found[i]
    const next = found[i + 1]
    if (!here) continue
    const before = nameIn(text.slice(from, here.index))
    const small = rpmOf(here[1] ?? '')
    // `1 120`, `L2: 340`, `pos 3 = 560`: the first of two is the step, where it is small, whole, and no unit follows.
    const isStep =
      next !== undefined &&
      Number.isInteger(small) &&
      small <= MOST_POSITIONS &&
      !/[a-z/]/i.test(here[0].slice((here[1] ?? '').length).trim()) &&
      /^\s*[:=.)| -]*\s*$/.test(text.slice(here.index + here[0].length, next.index)) &&
      (!inOneLine || /[:=)]/.test(text.slice(here.index + here[0].length, next.index)) || before !== '')
    if (isStep) {
      const spindle = rpmOf(next[1] ?? '')
      named.push({
        name: `${before}${/[A-Za-z]$/.test(before) && text[here.index - 1] !== ' ' ? '' : before === '' ? '' : ' '}${small}`.slice(
          0,
          40,
        ),
        knownSpindleRpm: spindle,
      })
      i += 1
      from = next.index + next[0].length
    } else {
      named.push({ name: before, knownSpindleRpm: small })
      from = here.index + here[0].length
    }
  }
  // `low: 45, 70, 120`: one word for all that follow.
  const name = named[0]?.name ?? ''
  const others = named.slice(1)
  return name !== '' && others.length > 0 && others.every((p) => p.name === '')
    ? named.map((p, i) => ({ ...p, name: `${name} ${i + 1}` }))
    : named
}

/** The words before a number, without what parts them from it. */
const nameIn = (text: string): string =>
  text
    .replace(/[\s:=,;|/·•()[\]-]+$/u, '')
    .replace(/^[\s:=,;|/·•()[\]-]+/u, '')
    .slice(0, 40)
