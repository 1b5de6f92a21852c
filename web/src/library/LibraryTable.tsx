import { dimensionKind, type UnitSystem } from '@zesty/core'
import { createColumnHelper, useTable, type ColumnFiltersState, type SortingState } from '@tanstack/react-table'
import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react'
import { useMemo, useState, type ReactNode } from 'react'
import { features } from '../parts/tableFeatures'
import { useUnits } from '../state/units'
import type { KeptOf } from '../state/useItems'
import { LibraryFilters, type Filters } from './LibraryFilters'
import { plateColumns, type PlateColumn, type PlateKind } from './plateColumns'

type Row = KeptOf<PlateKind>

const helper = createColumnHelper<typeof features, Row>()

/** Motors or drives in a table that is searched, narrowed and sorted; what may be done with each is the caller's. */
export function LibraryTable({
  kind,
  items,
  actions,
}: {
  kind: PlateKind
  items: readonly Row[]
  actions: (item: Row) => ReactNode
}) {
  const units = useUnits()
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }])
  const [filters, setFilters] = useState<Filters>({ search: '', picked: {}, leastW: undefined, mostW: undefined })
  const columns = useMemo(
    () =>
      helper.columns([
        helper.accessor((row) => row.name, { id: 'name', header: 'Name', sortFn: 'alphanumeric' }),
        ...plateColumns[kind].map((column) =>
          helper.accessor((row) => column.value(row), {
            id: column.id,
            header: column.heading,
            sortUndefined: 'last',
            enableGlobalFilter: column.dimension === undefined,
            filterFn: column.dimension ? 'inNumberRange' : 'equalsString',
          }),
        ),
      ]),
    [kind],
  )
  const columnFilters = useMemo((): ColumnFiltersState => {
    const picked = Object.entries(filters.picked).filter(([, value]) => value !== '')
    const power = filters.leastW !== undefined || filters.mostW !== undefined
    return [
      ...picked.map(([id, value]) => ({ id, value })),
      ...(power ? [{ id: 'powerW', value: nominal(filters) }] : []),
    ]
  }, [filters])
  const table = useTable({
    features,
    columns,
    data: items,
    getRowId: (row) => row.id,
    state: { sorting, columnFilters, globalFilter: filters.search },
    onSortingChange: setSorting,
    globalFilterFn: 'includesString',
    // Else a column whose first row is empty would be left out of the search.
    getColumnCanGlobalFilter: () => true,
  })
  const rows = table.getRowModel().rows
  return (
    <div className="flex min-h-0 flex-col gap-3">
      <LibraryFilters kind={kind} items={items} filters={filters} onChange={setFilters} />
      <p role="status" className="lead">
        {rows.length === items.length ? `All ${items.length}` : `${rows.length} of ${items.length}`}
        {rows.length === 0 && '. Nothing answers to that; take something out of the search.'}
      </p>
      <div className="relative overflow-x-auto" role="region" aria-label={`${kind}s of the library`} tabIndex={0}>
        <table className="w-full border-collapse text-[15px]">
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id} className="border-b-2 border-ink-2 align-bottom">
                {group.headers.map(({ id, column }) => (
                  <Heading
                    key={id}
                    title={String(column.columnDef.header)}
                    unit={unitOf(kind, id, units)}
                    numeric={plateColumns[kind].some((c) => c.id === id && c.dimension !== undefined)}
                    sorted={column.getIsSorted()}
                    first={id === 'name'}
                    onSort={() => column.toggleSorting()}
                  />
                ))}
                <th className="px-1 py-1 text-left">
                  <span className="sr-only">What to do with it</span>
                </th>
              </tr>
            ))}
          </thead>
          <tbody>
            {rows.map(({ id, original }) => (
              <tr key={id} className="border-b border-rule">
                <th scope="row" className="sticky left-0 z-10 min-w-[150px] bg-card py-1 pr-2 text-left font-semibold">
                  {original.name}
                </th>
                {plateColumns[kind].map((column) => (
                  <td key={column.id} className={`px-2 py-1 ${column.dimension ? 'text-right whitespace-nowrap' : ''}`}>
                    {column.text(original, units)}
                  </td>
                ))}
                <td className="py-0 pl-2 whitespace-nowrap">{actions(original)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}

/** Sizes are nominal: 1 hp is meant by 746 W as well as by 745.7 W. */
const NOMINAL = 0.01

const nominal = ({ leastW, mostW }: Filters): [number, number] => [
  (leastW ?? 0) * (1 - NOMINAL),
  (mostW ?? Number.MAX_VALUE / 2) * (1 + NOMINAL),
]

const unitOf = (kind: PlateKind, id: string, units: UnitSystem): string => {
  const column: PlateColumn | undefined = plateColumns[kind].find((c) => c.id === id)
  return column?.dimension ? dimensionKind(column.dimension).shown[units] : ''
}

function Heading({
  title,
  unit,
  numeric,
  sorted,
  first,
  onSort,
}: {
  title: string
  unit: string
  numeric: boolean
  sorted: false | 'asc' | 'desc'
  first: boolean
  onSort: () => void
}) {
  const Icon = sorted === 'asc' ? ArrowUp : sorted === 'desc' ? ArrowDown : ArrowUpDown
  return (
    <th
      scope="col"
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
      className={`py-0 text-left align-bottom ${first ? 'sticky left-0 z-10 bg-card' : ''}`}
    >
      <button
        type="button"
        className={`flex min-h-11 w-full min-w-11 items-end gap-1 py-1 leading-tight font-semibold ${first ? '' : 'px-2'} ${numeric ? 'flex-row-reverse text-right' : 'text-left'}`}
        onClick={onSort}
      >
        <span>
          {title}
          {unit && <span className="block font-normal text-ink-2">{unit}</span>}
        </span>
        <Icon size={14} aria-hidden="true" className={`mb-0.5 shrink-0 ${sorted ? 'text-blue' : 'text-ink-2'}`} />
      </button>
    </th>
  )
}
