import Papa from 'papaparse'
import { dimensionKind } from '../quantities'
import { measurementKinds, type Reading } from './measurement'

const HEADINGS = [
  ...[
    'What',
    'Value',
    'Unit',
    'Lead',
    'Of',
    'Position',
    'At hertz (Hz)',
    'At motor speed (rpm)',
    'At dial',
    'Commanded (rpm)',
  ],
  ...['From speed (rpm)', 'To speed (rpm)', 'Instrument', 'By', 'When', 'Note'],
]

/** Twelve digits are the same number when read again, without the tail of a binary fraction. */
const written = (value: number | undefined): string =>
  value === undefined ? '' : value.toLocaleString('en-GB', { useGrouping: false, maximumSignificantDigits: 12 })

/** Readings as CSV (RFC 4180), in base units with the unit beside; read back by `readReadings`. */
export function readingsCsv(readings: readonly Reading[], positions: readonly { id: string; name: string }[]): string {
  const named = new Map(positions.map(({ id, name }) => [id, name]))
  const rows = readings.map((r) => [
    measurementKinds[r.kind].name,
    written(r.value),
    dimensionKind(measurementKinds[r.kind].dimension).units.find((u) => u.factor === 1 && !u.offset)?.symbol ?? '',
    r.lead === undefined ? '' : r.lead.toUpperCase(),
    r.of ?? '',
    r.positionId === undefined ? '' : (named.get(r.positionId) ?? ''),
    ...[r.hz, r.motorRpm, r.dial, r.commandedRpm, r.fromRpm, r.toRpm].map(written),
    ...[r.instrument, r.by, r.takenAt, r.note].map((words) => words ?? ''),
  ])
  return Papa.unparse([HEADINGS, ...rows], { escapeFormulae: true })
}
