import { parseQuantity, type Dimension } from '../quantities'
import { cut } from '../rules/text'
import { measurementKinds, type MeasurementKind, type Reading } from './measurement'
import { instant, kindNamed, leadOf, withoutHoles, type ReadingsContext } from './readingWords'

/** What a column of a table holds: a reading of a kind, the kind and value of each line, or what is said beside. */
export interface ReadingColumn {
  holds: 'what' | 'value' | 'unit' | 'position' | 'when' | 'lead' | 'words' | 'setting' | 'reading'
  /** Where a setting or words go. */
  field?: keyof Reading
  dimension?: Dimension
  kind?: MeasurementKind
  lead?: 'u' | 'v' | 'w'
  /** The unit that the heading names in brackets. */
  unit: string
}

/** Headings as they are written here and as people head their own columns. The first that fits counts. */
const headings: readonly (readonly [RegExp, Omit<ReadingColumn, 'unit'>])[] = [
  [/^(?:what|kind|measured|measurement)$/, { holds: 'what' }],
  [/^(?:value|reading|amount)$/, { holds: 'value' }],
  [/^units?$/, { holds: 'unit' }],
  [/^(?:pos(?:ition)?|belt|step|lever|gear|range)$/, { holds: 'position' }],
  [/^(?:when|date|time taken|taken|taken at|day)$/, { holds: 'when' }],
  [/^(?:lead|phase|leg)$/, { holds: 'lead' }],
  [/^(?:instrument|meter|with)$/, { holds: 'words', field: 'instrument' }],
  [/^(?:by|who|name)$/, { holds: 'words', field: 'by' }],
  [/^(?:notes?|remarks?|comments?)$/, { holds: 'words', field: 'note' }],
  [/^(?:of|where|place)$/, { holds: 'words', field: 'of' }],
  [/^(?:at )?(?:hz|hertz|frequency|setting)$/, { holds: 'setting', field: 'hz', dimension: 'frequency' }],
  [/^(?:at )?motor(?: speed| rpm)?$/, { holds: 'setting', field: 'motorRpm', dimension: 'speed' }],
  [/^(?:at )?dial$/, { holds: 'setting', field: 'dial', dimension: 'number' }],
  [
    /^(?:at )?(?:command(?:ed)?|s[- ]?word)(?: speed| rpm)?$/,
    { holds: 'setting', field: 'commandedRpm', dimension: 'speed' },
  ],
  [/^(?:spindle )?hours(?: run)?$/, reading('spindle-hours')],
  [/^from(?: speed| rpm)?$/, { holds: 'setting', field: 'fromRpm', dimension: 'speed' }],
  [/^to(?: speed| rpm)?$/, { holds: 'setting', field: 'toRpm', dimension: 'speed' }],
  [/^(?:spindle(?: speed| rpm)?|rpm|speed|tacho(?:meter)?)$/, reading('spindle-speed')],
  [/^(?:surface speed|blade(?: speed)?|belt speed|blade or belt speed)$/, reading('surface-speed')],
  [/^(?:amps?|current|a)$/, reading('amps')],
  [/^(?:amps? )?([uvw])(?:[12])?(?: amps?)?$|^(?:amps? )?[lt]([123])(?: amps?)?$/, reading('amps')],
  [/^(?:volts?|voltage|v)$/, reading('volts')],
  [/^(?:coast(?: seconds)?|free run)$/, reading('coast')],
  [/^(?:up|run[- ]?up|seconds up|acceleration)$/, reading('run-up')],
  [/^(?:down|run[- ]?down|seconds down|stop|seconds down, braked)$/, reading('run-down')],
  [/^(?:temp(?:erature)?|bearing|housing|°c|°f)$/, reading('temperature')],
  [/^(?:insulation|megohm|megger|mω)$/, reading('insulation')],
  [/^(?:torque|seat torque|chuck|torque that loosens the chuck)$/, reading('seat-torque')],
]

function reading(kind: MeasurementKind): Omit<ReadingColumn, 'unit'> {
  return { holds: 'reading', kind }
}

/** The columns of a table by its headings; undefined where the first line is none. */
export function columnsOf(cells: readonly string[]): (ReadingColumn | undefined)[] | undefined {
  if (cells.length < 2) return undefined
  const columns = cells.map((cell): ReadingColumn | undefined => {
    const unit = /\(([^)]*)\)\s*$/.exec(cell)?.[1]?.trim() ?? ''
    const bare = cell
      .replace(/\([^)]*\)\s*$/, '')
      .trim()
      .toLowerCase()
    for (const [says, column] of headings) {
      const found = says.exec(bare)
      if (found) return { ...column, ...leadIn(found[1] ?? found[2]), unit }
    }
    return undefined
  })
  const holds = (what: ReadingColumn['holds']) => columns.some((c) => c?.holds === what)
  return (holds('what') && holds('value')) || holds('reading') ? columns : undefined
}

const leadIn = (written: string | undefined): Pick<ReadingColumn, 'lead'> => {
  const lead = leadOf(written ?? '')
  return lead === undefined ? {} : { lead }
}

/** Spreadsheets run cells that begin like a formula; a leading apostrophe keeps them words. */
const formula = /^'(?=[=+\-@\t\r])/

/** The readings of one line, or why there are none. */
export function readingOfRow(
  cells: readonly string[],
  columns: readonly (ReadingColumn | undefined)[],
  context: ReadingsContext,
): Record<string, unknown>[] | string {
  const at: Record<string, unknown> = { takenAt: context.takenAt }
  const found: Record<string, unknown>[] = []
  let what = ''
  let value = ''
  let unit = ''
  for (const [i, column] of columns.entries()) {
    const text = (cells[i] ?? '').trim().replace(formula, '')
    if (!column || text === '') continue
    switch (column.holds) {
      case 'what':
        what = text
        break
      case 'value':
        value = text
        unit ||= column.unit
        break
      case 'unit':
        unit = text
        break
      case 'position': {
        const position = context.positions.find(({ name }) => name.toLowerCase() === text.toLowerCase())
        if (!position) return `No position is called "${cut(text, 40)}".`
        at.positionId = position.id
        break
      }
      case 'when': {
        const when = momentOf(text)
        if (when === undefined) return `"${cut(text, 40)}" is no day such as 2026-03-04 or 2026-03-04 10:20.`
        at.takenAt = when
        break
      }
      case 'lead': {
        const lead = leadOf(text.replace(/^[ltr]/i, '').slice(0, 1))
        if (lead === undefined) return `"${cut(text, 40)}" is no lead: U, V or W.`
        at.lead = lead
        break
      }
      case 'words':
        if (column.field) at[column.field] = text
        break
      case 'setting': {
        const read = amountIn(text, column.unit, column.dimension ?? 'number', context)
        if (!read.ok) return read.message
        if (column.field) at[column.field] = read.value
        break
      }
      case 'reading': {
        if (!column.kind) break
        const read = amountIn(text, column.unit, measurementKinds[column.kind].dimension, context)
        if (!read.ok) return read.message
        found.push({ kind: column.kind, value: read.value, ...(column.lead ? { lead: column.lead } : {}) })
        break
      }
    }
  }
  if (what !== '' || value !== '') {
    const kind = kindNamed(what)
    if (kind === undefined)
      return `"${cut(what, 40)}" is none of: ${Object.values(measurementKinds)
        .map(({ name }) => name)
        .join('; ')}.`
    const read = amountIn(value, unit, measurementKinds[kind].dimension, context)
    if (!read.ok) return read.message
    found.push({ kind, value: read.value })
  }
  if (found.length === 0) return 'No reading stands in this line.'
  return found.map((one) => withoutHoles({ ...at, ...one }))
}

/** A bare number is in the unit that the heading or the line's own cell names. */
const amountIn = (text: string, unit: string, dimension: Dimension, { system }: ReadingsContext) =>
  parseQuantity(/[^\d\s.,/+-]/.test(text) || unit === '' ? text : `${text} ${unit}`, dimension, system)

function momentOf(text: string): string | undefined {
  if (/^\d{4}-\d\d-\d\dT.*Z$/.test(text))
    return Number.isNaN(Date.parse(text)) ? undefined : new Date(text).toISOString()
  const [, day, hour] = /^(\d{4}-\d\d-\d\d)(?:[T ](\d\d:\d\d)(?::\d\d)?)?$/.exec(text) ?? []
  return day === undefined ? undefined : instant(day, hour)
}
