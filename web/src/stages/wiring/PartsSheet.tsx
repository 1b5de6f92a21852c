import { partStates, set, type Plan } from '@zesty/core'
import { partsOf, stillToPay, toolsOf, type PartLine, type Wiring } from '@zesty/core/wiring'
import { createColumnHelper, useTable, type SortingState } from '@tanstack/react-table'
import { Download } from 'lucide-react'
import { useMemo, useState } from 'react'
import { features } from '../../parts/tableFeatures'
import { saveFile } from '../../parts/saveFile'
import { SortHeader } from '../../parts/SortHeader'
import { useChange, usePlan } from '../../state/openPlan'
import { useQuantityText } from './useQuantityText'

type Kept = NonNullable<Plan['wiring']['parts']>[string]
type PartState = NonNullable<Kept['state']>
type Row = PartLine & Kept

const helper = createColumnHelper<typeof features, Row>()

const columns = helper.columns([
  helper.accessor((r) => r.name, { id: 'name', header: 'Part or tool', sortFn: 'alphanumeric' }),
  helper.accessor((r) => r.quantity, { id: 'quantity', header: 'How many' }),
  helper.accessor((r) => (r.state === undefined ? '' : partStates[r.state]), {
    id: 'state',
    header: 'It is',
    sortFn: 'alphanumeric',
  }),
  helper.accessor((r) => r.price, { id: 'price', header: 'Price', sortUndefined: 'last' }),
])

/** What is to be bought or at hand: how many, what is had, what is on its way, what it costs. */
export function PartsSheet({ wiring }: { wiring: Wiring }) {
  const plan = usePlan()
  const change = useChange()
  const text = useQuantityText()
  const [sorting, setSorting] = useState<SortingState>([])
  const [search, setSearch] = useState('')
  const [only, setOnly] = useState<'all' | 'open' | 'part' | 'tool'>('all')
  const kept = plan.wiring.parts
  const lines = useMemo(() => [...partsOf(wiring), ...toolsOf(plan, wiring)], [plan, wiring])
  const rows = useMemo(
    () =>
      lines
        .map((line): Row => ({ ...line, ...kept?.[line.key] }))
        .filter((r) => only === 'all' || (only === 'open' ? r.state !== 'had' : r.kind === only)),
    [lines, kept, only],
  )
  const table = useTable({
    features,
    columns,
    data: rows,
    state: { sorting, globalFilter: search },
    onSortingChange: setSorting,
    onGlobalFilterChange: setSearch,
    globalFilterFn: 'includesString',
    sortDescFirst: false,
    getRowId: (r) => r.key,
  })
  const shown = table.getRowModel().rows
  const saveCsv = async () => {
    const { partsCsv } = await import('./wiringCsv')
    saveFile(`${plan.name}, parts.csv`, 'text/csv', partsCsv(plan, lines))
  }
  const write = ({ key, name }: PartLine, more: Partial<Kept>) =>
    change(name, [set('wiring.parts', { ...kept, [key]: { ...kept?.[key], ...more } })])
  return (
    <section className="sheet mb-3" aria-labelledby="parts" data-path="wiring.parts">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 id="parts" tabIndex={-1} className="h-part">
          Parts and tools
        </h2>
        <label className="no-print flex items-center gap-2">
          <span className="label">Find</span>
          <input className="field w-[150px]" value={search} onChange={(e) => setSearch(e.target.value)} />
        </label>
        <label className="no-print flex items-center gap-2">
          <span className="label">Show</span>
          <select className="field w-[150px]" value={only} onChange={(e) => setOnly(e.target.value as typeof only)}>
            <option value="all">All</option>
            <option value="open">Not had yet</option>
            <option value="part">Parts</option>
            <option value="tool">Tools</option>
          </select>
        </label>
        <button type="button" className="btn btn-quiet no-print ml-auto" onClick={() => void saveCsv()}>
          <Download size={18} aria-hidden="true" /> CSV
        </button>
      </div>
      <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Parts and tools">
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
              </tr>
            ))}
          </thead>
          <tbody>
            {shown.map(({ original: r }) => (
              <tr key={r.key} className="border-b border-rule">
                <td className="min-w-[180px] py-1 pr-3">
                  {r.name}
                  {r.kind === 'tool' && <span className="ml-1.5 text-[14px] text-ink-2">tool</span>}
                </td>
                <td className="py-1 pr-3 whitespace-nowrap">
                  {r.unit === 'm' ? (r.quantity === 0 ? 'not known' : text(r.quantity, 'distance')) : r.quantity}
                </td>
                <td className="py-1 pr-3">
                  <select
                    aria-label={`${r.name} is`}
                    className="field w-[150px]"
                    value={r.state ?? ''}
                    onChange={(e) =>
                      write(r, { state: e.target.value === '' ? undefined : (e.target.value as PartState) })
                    }
                  >
                    <option value="">Not said</option>
                    {Object.entries(partStates).map(([state, words]) => (
                      <option key={state} value={state}>
                        {words}
                      </option>
                    ))}
                  </select>
                  {(r.state === 'ordered' || r.state === 'paid') && (
                    <input
                      type="date"
                      aria-label={`${r.name} is expected on`}
                      className="field mt-1 w-[150px]"
                      value={r.expectedOn ?? ''}
                      onChange={(e) => write(r, { expectedOn: e.target.value === '' ? undefined : e.target.value })}
                    />
                  )}
                </td>
                <td className="py-1">
                  <Price name={r.name} price={r.price} onPrice={(price) => write(r, { price })} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown.length === 0 && <p className="lead mt-2">Nothing of the kind.</p>}
      <p className="mt-2 font-semibold">
        Still to pay for, as far as prices are typed: {text(stillToPay(plan, lines), 'money')}
      </p>
    </section>
  )
}

const MOST = 100_000

function Price({
  name,
  price,
  onPrice,
}: {
  name: string
  price: number | undefined
  onPrice: (price: number | undefined) => void
}) {
  const [isFault, setFault] = useState(false)
  const read = (typed: string) => {
    const next = typed.trim() === '' ? undefined : Number(typed.trim().replace(',', '.'))
    const fits = next === undefined || (Number.isFinite(next) && next >= 0 && next <= MOST)
    setFault(!fits)
    if (fits && next !== price) onPrice(next)
  }
  return (
    <>
      <input
        aria-label={`Price of ${name}`}
        className="field w-[100px]"
        inputMode="decimal"
        key={price}
        defaultValue={price ?? ''}
        aria-invalid={isFault}
        onBlur={(e) => read(e.target.value)}
      />
      {isFault && (
        <p role="alert" className="text-[14px] font-medium text-oxide">
          A number from 0 to {MOST}
        </p>
      )}
    </>
  )
}
