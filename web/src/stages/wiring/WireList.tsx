import { answerStep, conductorPaint, cutList, scheduleOf, type ScheduleRow, type Wiring } from '@zesty/core/wiring'
import { set, type WireChange } from '@zesty/core'
import { createColumnHelper, useTable, type SortingState } from '@tanstack/react-table'
import { Check, Download, Plus } from 'lucide-react'
import { useMemo, useState } from 'react'
import { features } from '../../parts/tableFeatures'
import { SortHeader } from '../../parts/SortHeader'
import { saveFile } from '../../parts/saveFile'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { AddWire } from './AddWire'
import { ChangeWire } from './ChangeWire'
import { useQuantityText } from './useQuantityText'
import { usePart } from '../../parts/usePart'

const helper = createColumnHelper<typeof features, ScheduleRow>()

/** The wire list: every wire with both its ends; sorted, searched, ticked, taken out. */
export function WireList({ wiring }: { wiring: Wiring }) {
  const plan = usePlan()
  const change = useChange()
  const units = useUnits()
  const text = useQuantityText()
  const [sorting, setSorting] = useState<SortingState>([{ id: 'number', desc: false }])
  const [search, setSearch] = useState('')
  const [changing, setChanging] = useState<string>()
  const [adding, setAdding] = useState(false)
  const [only, setOnly] = useState<'all' | 'not-tugged' | 'by-hand'>('all')
  const all = useMemo(() => scheduleOf(wiring), [wiring])
  const steps = usePart('steps')
  const sheets = usePart('sheets')
  const kept = plan.wiring.steps
  const tugged = useMemo(() => new Set(Object.values(kept ?? {}).flatMap((s) => s.tugged ?? [])), [kept])
  const rows = useMemo(
    () => all.filter((r) => only === 'all' || (only === 'by-hand' ? r.byHand !== '' : !tugged.has(r.key))),
    [all, only, tugged],
  )
  /** Ticked where it is made: at the step that has the wire, else at the one that gathers the rest. */
  const tick = (key: string, number: number) => {
    const at = steps.find((s) => kept?.[s.id]?.tugged?.includes(key)) ?? steps.find((s) => s.wires.includes(key))
    const step = at ?? steps.at(-1)
    if (!step) return
    const record = kept?.[step.id] ?? {}
    const others = (record.tugged ?? []).filter((k) => k !== key)
    const next = tugged.has(key) ? others : [...others, key]
    change(`Wire ${number} tugged`, answerStep(plan, wiring, sheets, step, { ...record, tugged: next }))
  }
  const saveCsv = async () => {
    const { scheduleCsv } = await import('./wiringCsv')
    saveFile(`${plan.name}, wires.csv`, 'text/csv', scheduleCsv(wiring))
  }
  const columns = useMemo(
    () =>
      helper.columns([
        helper.accessor((r) => r.number, { id: 'number', header: 'No.' }),
        helper.accessor((r) => `${r.from} ${r.fromTerminal}`, { id: 'from', header: 'From', sortFn: 'alphanumeric' }),
        helper.accessor((r) => `${r.to} ${r.toTerminal}`, { id: 'to', header: 'To', sortFn: 'alphanumeric' }),
        helper.accessor((r) => r.colour, { id: 'colour', header: 'Colour', sortFn: 'alphanumeric' }),
        helper.accessor((r) => r.areaMm2, { id: 'size', header: 'Size', sortUndefined: 'last' }),
        helper.accessor((r) => r.lengthM, { id: 'length', header: 'Length', sortUndefined: 'last' }),
        helper.accessor((r) => r.purpose, { id: 'purpose', header: 'Is', sortFn: 'alphanumeric' }),
      ]),
    [],
  )
  const table = useTable({
    features,
    columns,
    data: rows,
    state: { sorting, globalFilter: search },
    onSortingChange: setSorting,
    onGlobalFilterChange: setSearch,
    globalFilterFn: 'includesString',
    enableSortingRemoval: false,
    sortDescFirst: false,
    getRowId: (r) => r.key,
  })
  const shown = table.getRowModel().rows
  const changes = plan.wiring.changes ?? []
  const drop = (of: WireChange) =>
    change('The wire as planned', [
      set('wiring.changes', changes.length === 1 ? undefined : changes.filter((c) => c !== of)),
    ])
  return (
    <section className="sheet mb-3" aria-labelledby="wires" data-path="wiring.changes">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h2 id="wires" tabIndex={-1} className="h-part">
          Wire list, {all.length} wires
        </h2>
        <label className="no-print flex items-center gap-2">
          <span className="label">Find</span>
          <input
            className="field w-[180px]"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
            placeholder="knob"
          />
        </label>
        <label className="no-print flex items-center gap-2">
          <span className="label">Show</span>
          <select className="field w-[140px]" value={only} onChange={(e) => setOnly(e.target.value as typeof only)}>
            <option value="all">All</option>
            <option value="not-tugged">Not tugged</option>
            <option value="by-hand">By hand</option>
          </select>
        </label>
        <button type="button" className="btn no-print ml-auto" onClick={() => setAdding(true)}>
          <Plus size={18} aria-hidden="true" /> A wire more
        </button>
        <button type="button" className="btn btn-quiet no-print" onClick={() => void saveCsv()}>
          <Download size={18} aria-hidden="true" /> CSV
        </button>
      </div>
      <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Wire list">
        <table className="w-full text-left text-[15px]">
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id} className="border-b border-edge">
                {group.headers.map((header) => (
                  <SortHeader
                    key={header.id}
                    words={String(header.column.columnDef.header)}
                    sorted={header.column.getIsSorted()}
                    onSort={header.column.getToggleSortingHandler()}
                  />
                ))}
                <th scope="col" className="font-semibold">
                  Tugged
                </th>
                <th scope="col" className="no-print">
                  <span className="sr-only">Change</span>
                </th>
              </tr>
            ))}
          </thead>
          <tbody>
            {shown.map(({ original: r, id }) => (
              <tr key={id} className="border-b border-rule align-middle">
                <td className="py-1.5 pr-2 font-cond text-[17px] font-semibold">{r.number}</td>
                <td className="py-1.5 pr-3">
                  {r.from} <b className="font-semibold">{r.fromTerminal}</b>
                </td>
                <td className="py-1.5 pr-3">
                  {r.to} <b className="font-semibold">{r.toTerminal}</b>
                </td>
                <td className="py-1.5 pr-3 whitespace-nowrap">
                  <Swatch letters={r.letters} /> {r.colour}
                </td>
                <td className="py-1.5 pr-3 whitespace-nowrap">
                  {r.areaMm2 === undefined ? 'not known' : text(r.areaMm2, 'area')}
                </td>
                <td className="py-1.5 pr-3 whitespace-nowrap">
                  {r.lengthM === undefined ? '' : text(r.lengthM, 'distance')}
                </td>
                <td className="py-1.5 pr-3">
                  {r.purpose}
                  {r.byHand && <span className="ml-1 rounded bg-brass-wash px-1 text-[14px]">by hand: {r.byHand}</span>}
                </td>
                <td>
                  <button
                    type="button"
                    role="checkbox"
                    aria-checked={tugged.has(r.key)}
                    aria-label={`Wire ${r.number} is tugged`}
                    className="inline-flex size-11 items-center justify-center"
                    onClick={() => tick(r.key, r.number)}
                  >
                    <span
                      aria-hidden="true"
                      className={`inline-flex size-5 items-center justify-center rounded-sm border ${tugged.has(r.key) ? 'border-green bg-green text-card' : 'border-edge'}`}
                    >
                      {tugged.has(r.key) && <Check size={16} />}
                    </span>
                  </button>
                </td>
                <td className="no-print py-0.5">
                  <button
                    type="button"
                    className="btn btn-quiet px-2 text-[14px]"
                    aria-label={`Change wire ${r.number}`}
                    onClick={() => setChanging(r.key)}
                  >
                    Change
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown.length === 0 && <p className="lead mt-2">No wire has that in it.</p>}
      {changes.length > 0 && (
        <ul className="mt-3 flex flex-col gap-1 text-[15px]">
          {changes.map((c) => {
            const refused = wiring.refused.find((r) => r.id === c.id)
            const number = wiring.wires.find((w) => w.key === c.wire)?.number
            return (
              <li key={c.id} className="flex flex-wrap items-center gap-2 border-t border-rule pt-1">
                <span>
                  <b className="font-semibold">{number === undefined ? c.wire : `Wire ${number}`}</b>:{' '}
                  {c.why ?? 'changed by hand'}
                  {refused && <span className="text-oxide">; it could not be kept: {refused.why}</span>}
                </span>
                <button type="button" className="btn btn-quiet no-print" onClick={() => drop(c)}>
                  As planned again
                </button>
              </li>
            )
          })}
        </ul>
      )}
      <details className="mt-3">
        <summary className="flex min-h-11 items-center font-semibold text-blue underline underline-offset-4">
          Loose wire to cut
        </summary>
        <ul className="text-[15px]">
          {cutList(wiring).map((line) => (
            <li key={`${line.colour} ${line.areaMm2 ?? ''}`}>
              {line.colour}, {line.areaMm2 === undefined ? 'size not known' : text(line.areaMm2, 'area')}: {line.pieces}{' '}
              {line.pieces === 1 ? 'piece' : 'pieces'}, {text(line.totalM, 'distance')} with a tenth over
              {line.unknown > 0 && `, and ${line.unknown} of which the length is not known`}
            </li>
          ))}
        </ul>
      </details>
      {adding && <AddWire wiring={wiring} onClose={() => setAdding(false)} />}
      {changing !== undefined && (
        <ChangeWire
          key={`${changing} ${units}`}
          wiring={wiring}
          wireKey={changing}
          onClose={() => setChanging(undefined)}
        />
      )}
    </section>
  )
}

function Swatch({ letters }: { letters: string }) {
  const paint = conductorPaint(letters)
  return (
    <span
      aria-hidden="true"
      className="inline-block h-2 w-7 rounded-full border border-ink align-middle"
      style={{
        background: letters === 'GNYE' ? 'repeating-linear-gradient(90deg,#4f9a3c 0 6px,#f0d23a 6px 12px)' : paint,
      }}
    />
  )
}
